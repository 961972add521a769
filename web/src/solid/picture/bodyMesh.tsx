import { useEffect, useMemo } from "react";
import { BufferAttribute, BufferGeometry, type Plane } from "three";
import type { ShownBody } from "@/workers/solidWork";
import { geometryOf } from "./copiesMesh";
import { Surface } from "./surface";

/** One united body with its edges. */
export function BodyMesh({ body, cut }: { body: ShownBody; cut: readonly Plane[] }) {
  const geometry = useMemo(() => geometryOf(body.mesh), [body]);
  const edges = useMemo(() => {
    const lines = new BufferGeometry();
    lines.setAttribute("position", new BufferAttribute(body.edges, 3));
    return lines;
  }, [body]);
  useEffect(
    () => () => {
      geometry.dispose();
      edges.dispose();
    },
    [geometry, edges],
  );
  return (
    <>
      <mesh geometry={geometry} userData={{ body: true }}>
        <Surface color={body.color} cut={cut} />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color="#2B2140" transparent opacity={0.55} clippingPlanes={[...cut]} />
      </lineSegments>
    </>
  );
}
