import { rasterise } from "../src";

/** The lines of a drawing of stitches, those of one thread in a row together. */
export function runsByThread(svg: string): string[][] {
  const blocks: { color: string; runs: string[] }[] = [];
  for (const [, color = "", d = ""] of svg.matchAll(/<path stroke="([^"]+)" d="([^"]+)"/g)) {
    if (blocks.at(-1)?.color === color) blocks.at(-1)?.runs.push(d);
    else blocks.push({ color, runs: [d] });
  }
  return blocks.map(({ runs }) => runs);
}

const SIDE = 1400;
const MILLIMETRES = 200;

/** Thread as a picture made by other software, and which of its pieces a run lies in. */
export function darkPixels(runs: readonly string[]) {
  const lines = runs.map((d) => `<path d="${d}"/>`).join("");
  const half = MILLIMETRES / 2;
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${SIDE}" height="${SIDE}" viewBox="${-half} ${-half} ${MILLIMETRES} ${MILLIMETRES}">` +
    `<g fill="none" stroke="#000" stroke-width="0.4" stroke-linecap="round">${lines}</g></svg>`;
  const isDark = rasterise(svg, SIDE, ({ pixels }) =>
    Uint8Array.from({ length: SIDE * SIDE }, (_, k) => Number((pixels[4 * k + 3] ?? 0) > 127)),
  );
  const pieces = new Int32Array(SIDE * SIDE);
  let count = 0;
  const flood = (start: number) => {
    count += 1;
    const open = [start];
    pieces[start] = count;
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      for (const near of [at - 1, at + 1, at - SIDE, at + SIDE]) {
        if (!isDark[near] || pieces[near] !== 0) continue;
        pieces[near] = count;
        open.push(near);
      }
    }
  };
  return {
    pieceAt(run: string): number {
      const [x = 0, y = 0] = (run.split("L")[1] ?? run.slice(1)).split(" ").map(Number);
      const [column, row] = [x, y].map((value) => Math.round(((value + half) / MILLIMETRES) * SIDE - 0.5));
      const at = (row ?? 0) * SIDE + (column ?? 0);
      if (pieces[at] === 0) flood(at);
      return pieces[at] ?? 0;
    },
  };
}
