import { at } from "../geometry/at";

/**
 * Pairs rows and columns of a table of costs, each once and as many as can be, so that the sum is least: the assignment problem, by
 * Kuhn's and Munkres's method (Munkres, 1957) with potentials, in O(n³). Answers row and column of each pair.
 */
export function cheapestPairs(costs: readonly (readonly number[])[]): [number, number][] {
  const [rows, columns] = [costs.length, costs[0]?.length ?? 0];
  if (rows > columns) {
    const turned = Array.from({ length: columns }, (_, column) => costs.map((row) => at(row, column)));
    return cheapestPairs(turned).map(([column, row]) => [row, column]);
  }
  // Row and column 0 stand for none.
  const rowRaise = new Float64Array(rows + 1);
  const columnRaise = new Float64Array(columns + 1);
  const rowOf = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    const least = new Float64Array(columns + 1).fill(Infinity);
    const before = new Int32Array(columns + 1);
    const isDone = new Uint8Array(columns + 1);
    rowOf[0] = row;
    let column = 0;
    while (at(rowOf, column) !== 0) {
      isDone[column] = 1;
      const own = at(rowOf, column);
      let [step, next] = [Infinity, 0];
      for (let k = 1; k <= columns; k++) {
        if (isDone[k]) continue;
        const cost = at(at(costs, own - 1), k - 1) - at(rowRaise, own) - at(columnRaise, k);
        if (cost < at(least, k)) [least[k], before[k]] = [cost, column];
        if (at(least, k) < step) [step, next] = [at(least, k), k];
      }
      for (let k = 0; k <= columns; k++) {
        if (isDone[k]) {
          rowRaise[at(rowOf, k)] = at(rowRaise, at(rowOf, k)) + step;
          columnRaise[k] = at(columnRaise, k) - step;
        } else least[k] = at(least, k) - step;
      }
      column = next;
    }
    for (; column !== 0; column = at(before, column)) rowOf[column] = at(rowOf, at(before, column));
  }
  return Array.from(rowOf.subarray(1), (row, column): [number, number] => [row - 1, column]).filter(
    ([row]) => row >= 0,
  );
}
