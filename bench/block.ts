import { blocksOfDrags } from "./blocks";
import { rosettes } from "./designs";
import type { Group } from "./group";
import { inLab, openDesk, type Lab } from "./lab";
import { median } from "./median";
import type { Row } from "./row";

export const block: Group = {
  name: "block",
  about:
    "The longest gap between tasks on the main thread while a number is pulled for two seconds; the median of seven drags.",
  folders: ["web/src"],
  measure: inLab(benchBlock),
};

/** The longest the main thread is kept from answering while a number is dragged at 10,000 copies. */
async function benchBlock(lab: Lab): Promise<Row[]> {
  const page = await openDesk(lab, rosettes(10_000));
  const box = await page.getByRole("spinbutton", { name: "width", exact: true }).boundingBox();
  if (!box) throw new Error("no number to drag");
  const blocks = await blocksOfDrags(page, { x: box.x + 8, y: box.y + 8 }, 60);
  await page.close();
  return [
    {
      what: "longest block while dragging, 10,000 copies",
      measured: median(blocks),
      yardstick: null,
      unit: "ms",
      limit: 50,
    },
  ];
}
