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
  const yAt = (x: number) =>
    ay + ((by - ay) * (Math.min(Math.max(ax, bx), Math.max(Math.min(ax, bx), x)) - ax)) / (bx - ax);
  const [p, q] = [yAt(left), yAt(right)];
  return [Math.min(p, q), Math.max(p, q)];
}
