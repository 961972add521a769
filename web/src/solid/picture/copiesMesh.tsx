import { useEffect, useLayoutEffect, useMemo, useRef } from "react";
import { BufferAttribute, BufferGeometry, Color, Matrix4, type InstancedMesh, type Plane } from "three";
import { spaceAt, spaceDeterminant, type Mesh } from "@twin-petal/core";
import type { ShownGroup } from "@/workers/solidWork";
import { Surface } from "./surface";

interface CopiesMeshProps {
  readonly group: ShownGroup;
  readonly mesh: Mesh;
  readonly part: string;
  readonly cut: readonly Plane[];
  readonly clear: boolean;
  readonly visible: boolean;
}

/** A mesh's geometry as the view draws it; `mirrored` turns its faces over, for copies that are mirrored. */
export function geometryOf({ positions, triangles }: Mesh, mirrored = false): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(positions, 3));
  geometry.setIndex(new BufferAttribute(mirrored ? turnedOver(triangles) : triangles, 1));
  return geometry;
}

function turnedOver(triangles: Uint32Array): Uint32Array {
  const turned = triangles.slice();
  for (let k = 0; k + 2 < turned.length; k += 3) {
    turned[k + 1] = triangles[k + 2] ?? 0;
    turned[k + 2] = triangles[k + 1] ?? 0;
  }
  return turned;
}

/** All copies of one mesh, drawn at once. */
export function CopiesMesh({ group, ...props }: CopiesMeshProps) {
  const { plain, mirrored } = useMemo(() => byHand(group), [group]);
  return (
    <>
      {plain.length > 0 && <Instances group={group} indices={plain} isMirrored={false} {...props} />}
      {mirrored.length > 0 && <Instances group={group} indices={mirrored} isMirrored {...props} />}
    </>
  );
}

/** Copies as they are and mirrored ones, by their place in the group. */
function byHand({ matrices, copies }: ShownGroup): { plain: number[]; mirrored: number[] } {
  const all = Array.from(copies, (_, index) => index);
  const isMirrored = (index: number) => spaceDeterminant(spaceAt(matrices, index)) < 0;
  return { plain: all.filter((index) => !isMirrored(index)), mirrored: all.filter(isMirrored) };
}

interface InstancesProps extends CopiesMeshProps {
  readonly indices: readonly number[];
  readonly isMirrored: boolean;
}

function Instances({ group, indices, isMirrored, mesh, part, cut, clear, visible }: InstancesProps) {
  const { matrices, copies, colors } = group;
  const geometry = useMemo(() => geometryOf(mesh, isMirrored), [mesh, isMirrored]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const drawn = useRef<InstancedMesh>(null);
  useLayoutEffect(() => {
    const instanced = drawn.current;
    if (!instanced) return;
    const matrix = new Matrix4();
    const color = new Color();
    indices.forEach((index, place) => {
      const [a, b, c, d, e, f, g, h, i, x, y, z] = spaceAt(matrices, index);
      instanced.setMatrixAt(place, matrix.set(a, d, g, x, b, e, h, y, c, f, i, z, 0, 0, 0, 1));
      instanced.setColorAt(place, color.set(colors[index] ?? "#888888"));
    });
    instanced.instanceMatrix.needsUpdate = true;
    if (instanced.instanceColor) instanced.instanceColor.needsUpdate = true;
    instanced.computeBoundingSphere();
  }, [indices, matrices, colors, geometry]);
  const numbers = useMemo(() => indices.map((index) => copies[index] ?? 0), [indices, copies]);
  return (
    <instancedMesh
      key={`${indices.length}-${geometry.uuid}`}
      ref={drawn}
      args={[geometry, undefined, indices.length]}
      userData={{ part, copies: numbers }}
      frustumCulled={false}
      visible={visible}
    >
      <Surface cut={cut} clear={clear} />
    </instancedMesh>
  );
}
