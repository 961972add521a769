import { blocksOfDrags } from "./blocks";
import { rosettes } from "./designs";
import { changeTimes } from "./frames";
import type { Group } from "./group";
import { inLab, openDesk, type Lab } from "./lab";
import { median } from "./median";
import type { Row } from "./row";

export const neighbours: Group = {
  name: "neighbours",
  about:
    "Changes in bursts with short rests, in which the neighbours are painted anew, beside the same without neighbours.",
  folders: ["web/src"],
  measure: inLab(benchNeighbours),
};

/**
 * A number of a design of 5,000 copies is changed in bursts with short rests, nine neighbours being painted whenever
 * it rests: frames beside the same without neighbours, and how long the main thread is kept in drags.
 */
async function benchNeighbours(lab: Lab): Promise<Row[]> {
  const page = await openDesk(lab, rosettes(5_000));
  const number = page.getByRole("spinbutton", { name: "width", exact: true });
  const show = async (tab: string) => {
    await page.getByRole("tab", { name: tab }).click();
    await number.focus();
  };
  const bursts = async () => {
    const times: number[] = [];
    for (let burst = 0; burst < 5; burst++) {
      times.push(...(await changeTimes(page, 6)));
      await page.waitForTimeout(350);
    }
    return times;
  };
  await show("Neighbours");
  await page.getByLabel("How many neighbours").selectOption("9");
  await page.waitForTimeout(3_000);
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await show("Neighbours");
    times[0].push(...(await bursts()));
    await show("Build-up");
    times[1].push(...(await bursts()));
  }
  await show("Neighbours");
  const box = await number.boundingBox();
  if (!box) throw new Error("no number to drag");
  const blocks = await blocksOfDrags(page, { x: box.x + 8, y: box.y + 8 }, 60);
  await page.close();
  return [
    {
      what: "change a number, 5,000 copies, nine neighbours",
      measured: median(times[0]),
      yardstick: median(times[1]),
      unit: "ms",
      limit: 1.2,
    },
    { what: "longest block while dragging it", measured: median(blocks), yardstick: null, unit: "ms", limit: 50 },
  ];
}
