/** The least and greatest y of a straight edge from (ax, ay) to (bx, by) between two upright lines. */
export function heightsWithin(
  ax: number,
  ay: number,
  bx: number,
  by: number,
  left: number,
  right: number,
): [number, number] {
  if (ax === bx) return [Math.min(ay, by), Math.max(ay, by)];
  const shareAt = (x: number) => Math.min(1, Math.max(0, (x - ax) / (bx - ax)));
  const yAt = (x: number) => ay + (by - ay) * shareAt(x);
  const [p, q] = [yAt(left), yAt(right)];
  return [Math.min(p, q), Math.max(p, q)];
}
