import { useLayoutEffect, useMemo } from "react";
import { useThree, type RootState } from "@react-three/fiber";
import { Plane, Vector3 } from "three";
import type { SpacePoint } from "@twin-petal/core";
import type { LaidLayer } from "@/workers/solidWork";
import { BodyMesh } from "./bodyMesh";
import type { CutOpen, SolidContent } from "./content";
import { CopiesMesh } from "./copiesMesh";

interface PicturedProps extends SolidContent {
  /** Told whenever everything is in the scene and can be drawn. */
  onLaidOut: (state: RootState) => void;
}

/** Solids as they are drawn: copies while the hand moves, united bodies when they are there. */
export function Pictured({ bed, groups, meshes, bodies, cuts, marked, laid, onLaidOut }: PicturedProps) {
  const cut = useMemo(() => cuts.map(planeOf), [cuts]);
  // The effects of what is in the scene come before its own.
  const state = useThree((own) => own.get);
  useLayoutEffect(() => onLaidOut(state()));
  return (
    <>
      <ambientLight intensity={1.5} />
      <directionalLight position={[-3, -4, 6]} intensity={2.3} />
      <directionalLight position={[5, 2, 2]} intensity={0.7} />
      <Bed {...bed} />
      {bodies?.map((body) => (
        <BodyMesh key={body.color} body={body} cut={cut} />
      ))}
      {groups.map(({ part, clear, group }, index) => {
        const mesh = meshes.get(group.mesh);
        // Copies stay there to be pointed at, also where the united bodies are drawn.
        const shown = { group, part, clear, cut, visible: bodies === null };
        return mesh && <CopiesMesh key={`${part} ${index}`} mesh={mesh} {...shown} />;
      })}
      <Marked points={marked} />
      {laid && <Laid layer={laid} />}
    </>
  );
}

function planeOf({ axis, at }: CutOpen): Plane {
  const normal = new Vector3();
  normal.setComponent(axis, axis === 1 ? 1 : -1);
  return new Plane(normal, axis === 1 ? -at : at);
}

/** The bed, as squares of a centimetre. */
function Bed({ width, depth }: { width: number; depth: number }) {
  const lines = useMemo(() => {
    const points: number[] = [];
    for (let x = -width / 2; x <= width / 2 + 1e-6; x += 10) points.push(x, -depth / 2, 0, x, depth / 2, 0);
    for (let y = -depth / 2; y <= depth / 2 + 1e-6; y += 10) points.push(-width / 2, y, 0, width / 2, y, 0);
    return Float32Array.from(points);
  }, [width, depth]);
  return (
    <lineSegments key={lines.length} position={[0, 0, -0.05]}>
      <bufferGeometry>
        <bufferAttribute attach="attributes-position" args={[lines, 3]} />
      </bufferGeometry>
      <lineBasicMaterial color="#B9C0C6" transparent opacity={0.6} />
    </lineSegments>
  );
}

/** The lines of a layer. */
function Laid({ layer: { lines } }: { layer: LaidLayer }) {
  const key = useMemo(() => `${lines.length} ${lines[2] ?? 0}`, [lines]);
  return (
    <lineSegments key={key} renderOrder={2}>
      <bufferGeometry>
        <bufferAttribute attach="attributes-position" args={[lines, 3]} />
      </bufferGeometry>
      <lineBasicMaterial color="#C8442B" depthTest={false} />
    </lineSegments>
  );
}

function Marked({ points }: { points: readonly SpacePoint[] }) {
  const line = useMemo(() => Float32Array.from(points.flatMap(({ x, y, z }) => [x, y, z])), [points]);
  return (
    <>
      {points.length > 0 && (
        <points key={`points ${line.join()}`} renderOrder={3}>
          <bufferGeometry>
            <bufferAttribute attach="attributes-position" args={[line, 3]} />
          </bufferGeometry>
          <pointsMaterial color="#C8442B" size={9} sizeAttenuation={false} depthTest={false} />
        </points>
      )}
      {points.length === 2 && (
        <lineSegments key={`line ${line.join()}`} renderOrder={3}>
          <bufferGeometry>
            <bufferAttribute attach="attributes-position" args={[line, 3]} />
          </bufferGeometry>
          <lineBasicMaterial color="#C8442B" depthTest={false} />
        </lineSegments>
      )}
    </>
  );
}
