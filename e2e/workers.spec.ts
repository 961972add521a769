import type { Page, Worker } from "@playwright/test";
import { countPixels, Desk, openWorkshop } from "./desk";
import { expect, test } from "./server";

/** The workers of a page of one kind. */
const workersOf = (page: Page, kind: string): Worker[] =>
  page.workers().filter((worker) => new RegExp(`/${kind}\\.worker`).test(worker.url()));

/** Ends the workers of one kind, as a browser does that has no memory left for them. */
async function endWorkers(page: Page, kind: string): Promise<void> {
  await expect.poll(() => workersOf(page, kind).length).toBeGreaterThan(0);
  for (const worker of workersOf(page, kind)) {
    const gone = worker.waitForEvent("close");
    await worker.evaluate(() => self.close());
    await gone;
  }
}

const PETAL = {
  format: "twin-petal/1",
  name: "Petals",
  sheet: { width: 100, height: 100, ground: "#FFFFFF" },
  parts: [
    {
      id: "a",
      motif: { kind: "petal", length: 40, width: 16 },
      rules: [{ kind: "turn", count: 6 }],
      finish: { fill: "#17566B" },
      solid: { depth: 2 },
    },
  ],
};
const BRINE = [0x17, 0x56, 0x6b] as const;

test("a painter that ended is started anew: the last picture stays, and the next one comes", async ({ page }) => {
  const desk = new Desk(page);
  await desk.lay(JSON.stringify(PETAL));
  const six = countPixels(await desk.picture(), BRINE);
  await endWorkers(page, "painter");
  expect(countPixels(await desk.picture(), BRINE)).toBe(six);
  await desk.type("count", "3");
  await expect.poll(async () => Math.round((10 * countPixels(await desk.picture(), BRINE)) / six)).toBe(5);
  await expect.poll(() => workersOf(page, "painter").length).toBe(1);
});

test("a design under which the painter ends again and again is told, not tried again, and mended by undo", async ({
  page,
}) => {
  const desk = new Desk(page);
  await desk.lay(JSON.stringify(PETAL));
  const six = countPixels(await desk.picture(), BRINE);
  await desk.type("count", "7");
  await desk.ready();
  const seven = countPixels(await desk.picture(), BRINE);
  await endWorkers(page, "painter");
  await expect.poll(() => workersOf(page, "painter").length).toBe(1);
  await desk.ready();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await endWorkers(page, "painter");
  await expect(page.getByRole("alert").filter({ hasText: "more than this browser gives" })).toBeVisible();
  expect(countPixels(await desk.lastPicture(), BRINE)).toBe(seven);
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect.poll(async () => countPixels(await desk.picture(), BRINE)).toBe(six);
});

test("what paints small pictures is started anew when it is needed", async ({ page }) => {
  const desk = new Desk(page);
  await desk.lay(JSON.stringify(PETAL));
  await endWorkers(page, "assistant");
  await page.getByRole("button", { name: "Add a rule" }).click();
  await expect.poll(() => workersOf(page, "assistant").length).toBe(1);
});

for (const [name, kind, current] of [
  ["Cut", "cut", "#cut-view canvas[data-painted=yes]"],
  ["Stitch", "stitch", "#stitch-view canvas[data-painted=yes]"],
  ["Print", "print", "#print-view[data-current=yes]"],
  ["Solid", "solid", "#solid-view[data-state=united]"],
  ["Solid", "solidPainter", "#solid-view canvas[data-painted=yes]"],
] as const) {
  test(`the workshop for ${name.toLowerCase()} goes on when its ${kind} worker has ended`, async ({ page }) => {
    const desk = new Desk(page);
    await desk.lay(JSON.stringify(PETAL));
    await desk.type("count", "7");
    await desk.saved();
    await openWorkshop(page, name);
    await expect(page.locator(current).first()).toBeVisible();
    await endWorkers(page, kind);
    await page.keyboard.press("Control+z");
    await expect.poll(() => workersOf(page, kind).length).toBeGreaterThan(0);
    await expect(page.locator(current).first()).toBeVisible();
    await expect(page.getByRole("alert")).toHaveCount(0);
  });
}
