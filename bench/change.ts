import { openBareDrawing } from "./bareDrawing";
import { COUNTS, rosettes } from "./designs";
import { changeTimes } from "./frames";
import type { Group } from "./group";
import { inLab, openDesk, type Lab } from "./lab";
import { median } from "./median";
import type { Row } from "./row";

const LIMITS = new Map([[10_000, 1.3]]);

export const change: Group = {
  name: "change",
  about:
    "From the arrow key to the finished picture (React, worker, evaluation, painting and back), change after change, beside a worker that only draws the same outlines at the same size.",
  folders: ["core/src/rules", "core/src/scene", "core/src/design", "core/src/fields", "web/src"],
  measure: inLab(async (lab) => {
    const rows: Row[] = [];
    for (const count of COUNTS) rows.push(await benchChange(lab, count));
    return rows;
  }),
};

/** From a changed number to the finished picture, change after change; beside a worker that only draws. */
async function benchChange(lab: Lab, count: number): Promise<Row> {
  const rounds = count >= 100_000 ? 5 : 15;
  const desk = await openDesk(lab, rosettes(count));
  const bare = await openBareDrawing(lab, desk, rosettes(count));
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await desk.bringToFront();
    times[0].push(...(await changeTimes(desk, rounds)));
    await bare.bringToFront();
    times[1].push(...(await bare.evaluate((many) => window.draw(many), rounds)));
  }
  await desk.close();
  await bare.close();
  return {
    what: `change a number, ${count.toLocaleString("en")} copies`,
    measured: median(times[0]),
    yardstick: median(times[1]),
    unit: "ms",
    limit: LIMITS.get(count) ?? null,
  };
}
