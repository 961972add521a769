import { openBareDrawing } from "./bareDrawing";
import { blocksOfDrags } from "./blocks";
import { drawnRing } from "./designs";
import { frameTimes } from "./frames";
import type { Group } from "./group";
import { inLab, openDesk, type Lab } from "./lab";
import { median } from "./median";
import type { Row } from "./row";

export const nodes: Group = {
  name: "nodes",
  about:
    "A node of a drawn motif is moved by keys, frame after frame, beside a worker that only draws; the block is the longest gap between tasks on the main thread in a drag of two seconds, the median of seven drags.",
  folders: ["core/src/motif", "core/src/rules", "core/src/scene", "core/src/design", "core/src/fields", "web/src"],
  measure: inLab(benchNodes),
};

/** A node of a motif of 200 is dragged, 500 copies following: frames, and how long the main thread is kept. */
async function benchNodes(lab: Lab): Promise<Row[]> {
  const design = drawnRing(200, 500);
  const desk = await openDesk(lab, design);
  const bare = await openBareDrawing(lab, desk, design);
  await desk.bringToFront();
  await desk.keyboard.press("2");
  await desk.waitForSelector("#node-layer");
  await desk.locator("#node-layer").press(".");
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await desk.bringToFront();
    times[0].push(...(await frameTimes(desk, "#node-layer", 15)));
    await bare.bringToFront();
    times[1].push(...(await bare.evaluate((many) => window.draw(many), 15)));
  }
  await bare.close();
  await desk.bringToFront();
  const box = await desk.locator("[data-testid=node-0]").boundingBox();
  if (!box) throw new Error("no node to drag");
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const blocks = await blocksOfDrags(desk, from, 12);
  await desk.close();
  return [
    {
      what: "drag a node of 200, 500 copies: a frame",
      measured: median(times[0]),
      yardstick: median(times[1]),
      unit: "ms",
      limit: 1.3,
    },
    {
      what: "longest block while dragging that node",
      measured: median(blocks),
      yardstick: null,
      unit: "ms",
      limit: 50,
    },
  ];
}
