import { openWorkshop } from "./desk";
import { execFileSync } from "node:child_process";
import { statSync } from "node:fs";
import type { Page } from "@playwright/test";
import { Maker } from "./making";
import { expect, test } from "./server";

/** The hands of a designer who makes things that stand up. */
class Builder extends Maker {
  readonly view = this.page.locator("#solid-view");

  async makeSolid(depth: string): Promise<void> {
    await this.word("make it solid …").click();
    await this.type("depth", depth);
  }

  /** Types into the last of several numbers of one name. */
  async typeLast(name: string, text: string): Promise<void> {
    await this.number(name).last().click();
    await this.page.getByRole("textbox", { name, exact: true }).fill(text);
    await this.page.keyboard.press("Enter");
  }

  /** Waits until everything is united, and answers its volume. */
  async volume(): Promise<number> {
    await expect(this.view).toHaveAttribute("data-state", "united");
    return Number(await this.view.getAttribute("data-volume"));
  }

  /** The depth of the first part, as saved. */
  async depth(): Promise<unknown> {
    const solid: unknown = (await this.file()).parts[0]?.solid;
    return typeof solid === "object" && solid !== null && "depth" in solid ? solid.depth : null;
  }
}

/** What the other program says of an STL that was taken away. */
async function takenAway(page: Page, path: string): Promise<{ volume: number; parts: number; open: number }> {
  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.stl/ }).click();
  await (await downloading).saveAs(path);
  expect(statSync(path).size).toBeGreaterThan(1000);
  const said = execFileSync("admesh", [path], { encoding: "utf8" });
  const figure = (name: RegExp) => Number(name.exec(said)?.[1]);
  return {
    volume: figure(/Volume\s*:\s*([\d.]+)/),
    parts: figure(/Number of parts\s*:\s*(\d+)/),
    open: figure(/Total disconnected facets\s*:\s*(\d+)/),
  };
}

test("a steam-vent plate from an empty sheet: holes halfway, counted by a number, cut through, checked, printed", async ({
  page,
}, info) => {
  const desk = new Builder(page);
  await desk.begin("ring");
  await desk.type("outer radius", "60");
  await desk.type("inner radius", "20");
  await desk.makeSolid("5");
  await desk.addPart("disc");
  await desk.type("radius", "4");
  await desk.addRule("ring");
  await desk.typeLast("radius", "(60 + 20) / 2");
  await desk.type("count", "24");
  await desk.makeSolid("5");
  await desk.choose("solid role", "is cut out of the others");
  await page.keyboard.press("Escape");
  await page.keyboard.press("d");
  const plate = Math.PI * 5 * (60 ** 2 - 20 ** 2);
  const hole = Math.PI * 5 * 16;
  expect((await desk.volume()) / (plate - 24 * hole)).toBeCloseTo(1, 2);

  // One number changed: the holes stay evenly spaced and cut through.
  await desk.type("count", "30");
  await expect(desk.view).not.toHaveAttribute("data-state", "united");
  expect((await desk.volume()) / (plate - 30 * hole)).toBeCloseTo(1, 2);

  await openWorkshop(page, "Solid");
  await expect(desk.check("Holes")).toHaveAttribute("data-state", "passed");
  await expect(desk.check("Holes")).toContainText("31 holes go through");
  await expect(desk.check("In one piece")).toHaveAttribute("data-state", "passed");
  await desk.type("bed width", "100");
  await expect(desk.check("Fits the bed")).toHaveAttribute("data-state", "failed");
  await expect(desk.check("Fits the bed")).toContainText("leaves the bed by 10 mm");
  await page.getByRole("button", { name: "Undo: bed width" }).click();
  await expect(desk.check("Fits the bed")).toHaveAttribute("data-state", "passed");

  const made = await takenAway(page, info.outputPath("plate.stl"));
  expect(made).toMatchObject({ parts: 1, open: 0 });
  expect(made.volume / (plate - 30 * hole)).toBeCloseTo(1, 3);

  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.locator("[data-job=done]")).toBeVisible();
  await expect(page.locator("[data-job=done]")).toContainText("layer 25 of 25");
  await page.getByRole("link", { name: "Desk" }).click();
  await expect(desk.view).toBeVisible();
});

test("a soap basket from an empty sheet: hoops of two outlines tilted around by a named count, with a base", async ({
  page,
}, info) => {
  const desk = new Builder(page);
  await desk.begin("polygon");
  await desk.type("sides", "10");
  await desk.type("radius", "60");
  await desk.word("combine with …").click();
  await page.getByRole("menuitem", { name: "polygon" }).click();
  await desk.choose("combined", "the first less the others");
  await desk.type("shape 2: sides", "10");
  await desk.type("shape 2: radius", "55");
  await desk.addRule("ring");
  await desk.type("count", "16");
  await desk.typeLast("radius", "10");
  await desk.makeSolid("4");
  await desk.word("tilt each copy …").click();
  await desk.type("right side raised", "50");
  await desk.type("turned about its foot", "30");
  await page.keyboard.press("d");
  const hoops = await desk.volume();
  const file = await desk.file();
  expect(file.parts[0]).toMatchObject({ solid: { tilt: { y: 50, z: 30 }, lift: "rest" } });
  expect(hoops).toBeGreaterThan(90_000);
  await openWorkshop(page, "Solid");
  await expect(desk.check("On the bed")).toHaveAttribute("data-state", "passed");
  await expect(desk.check("In one piece")).toContainText("it hangs together");
  const made = await takenAway(page, info.outputPath("basket.stl"));
  expect(made.open).toBe(0);
  expect(made.volume / hoops).toBeCloseTo(1, 2);
});

test("a lily from an empty sheet: petals raised and turned by a formula, in two colours, on a stem", async ({
  page,
}) => {
  const desk = new Builder(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  await desk.type("count", "10");
  await desk.addRule("vary");
  await page.getByRole("button", { name: "vary more …" }).click();
  await page.getByRole("menuitem", { name: "its tip raised by" }).click();
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await desk.makeSolid("2.4");
  await desk.type("edge", "0.8");
  await desk.choose("lift", "is lifted by");
  await desk.type("lift", "50");
  await desk.addPart("disc");
  await desk.type("radius", "4");
  await desk.makeSolid("56");
  await page.keyboard.press("d");
  await desk.volume();
  const file = await desk.file();
  expect(file.parts[0]).toMatchObject({ solid: { lift: 50, edge: { size: 0.8 } } });
  // The petal is swapped for another, and stands as it did.
  await page.getByRole("button", { name: "Part Petal" }).click();
  const before = await desk.volume();
  await desk.choose("motif", "leaf");
  await expect(desk.view).not.toHaveAttribute("data-state", "united");
  expect(await desk.volume()).not.toBeCloseTo(before, 0);
});

test("the solid view is turned by pointer and keys, cut open and measured; copies are chosen; depth is pulled", async ({
  page,
}) => {
  const desk = new Builder(page);
  await desk.open("steam-vent");
  await page.getByRole("button", { name: "Part Plate" }).click();
  await page.keyboard.press("d");
  await desk.volume();
  const box = await desk.view.boundingBox();
  if (!box) throw new Error("the solid is not shown");
  const shot = async () => (await desk.view.locator("canvas").screenshot()).toString("base64");
  const first = await shot();
  await desk.pull({ x: box.x + box.width / 2, y: box.y + 120 }, 120, 30);
  const turned = await shot();
  expect(turned).not.toBe(first);
  await desk.view.focus();
  await page.keyboard.press("ArrowLeft");
  await expect.poll(shot).not.toBe(turned);
  await page.getByRole("button", { name: "Seen from above" }).click();
  const above = await shot();
  await page.getByRole("button", { name: "Cut it open" }).click();
  await expect.poll(shot).not.toBe(above);
  await page.getByRole("button", { name: "Close it again" }).click();

  // From above the plate is as wide as the ring of its pixels; two clicks on its rim, left and right.
  await page.getByRole("button", { name: "Measure between two points" }).click();
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.click(middle.x - 100, middle.y);
  await expect(page.getByLabel("Measured")).toHaveText("click a second point");
  await page.mouse.click(middle.x + 100, middle.y);
  await expect(page.getByLabel("Measured")).toHaveText(/^\d+\.\d\d mm$/);
  await page.getByRole("button", { name: "Measure between two points" }).click();

  const depth = page.getByRole("button", { name: /^Depth, 5 mm/ });
  const seen = await depth.boundingBox();
  await page.getByRole("button", { name: "Seen from the front" }).click();
  await expect.poll(() => depth.boundingBox()).not.toEqual(seen);
  const handle = await depth.boundingBox();
  if (!handle) throw new Error("no handle");
  await desk.pull({ x: handle.x + 16, y: handle.y + 16 }, 0, -20);
  await expect.poll(() => desk.depth()).toBeGreaterThan(5);
  await page.keyboard.press("Control+z");
  await expect.poll(() => desk.depth()).toBe(5);

  // Neighbours of a solid's number are solids.
  await desk.number("depth").focus();
  await expect(page.getByRole("button", { name: "6 mm" })).toBeVisible();
  await page.getByRole("button", { name: "6 mm" }).click();
  await expect(desk.number("depth")).toContainText("6");
});

test("a copy pointed at in the solid view is the same copy as on the sheet", async ({ page }) => {
  const desk = new Builder(page);
  const parts = [
    { id: "a", motif: { kind: "disc", radius: 5 }, solid: { depth: 3 } },
    {
      id: "b",
      name: "Knobs",
      motif: { kind: "disc", radius: 12 },
      rules: [{ kind: "ring", count: 4, radius: 40 }],
      solid: { depth: 6 },
    },
  ];
  await desk.lay(JSON.stringify({ format: "twin-petal/1", name: "Knobs", parts }));
  await page.getByRole("button", { name: "Part a" }).click();
  await page.keyboard.press("d");
  await desk.volume();
  await page.getByRole("button", { name: "Seen from above" }).click();
  await expect(desk.view.locator("canvas")).toHaveAttribute("data-painted", "yes");
  const box = await desk.view.boundingBox();
  if (!box) throw new Error("the solid is not shown");
  // The ring begins at the top and runs clockwise: its second copy is on the right.
  const away = Math.min(box.width, box.height) * 0.27;
  await page.mouse.click(box.x + box.width / 2 + away, box.y + box.height / 2);
  await expect(page.getByText("Knobs, copy 2")).toBeVisible();
  await expect(page.getByRole("button", { name: "Part Knobs" })).toHaveAttribute("aria-pressed", "true");
});

test("uniting much shows its share and can be stopped at once; what cannot be made is told, and nothing is lost", async ({
  page,
}) => {
  const desk = new Builder(page);
  const petals = {
    id: "a",
    name: "Petals",
    motif: { kind: "petal", length: 40, width: 14 },
    rules: [
      { kind: "turn", count: 120 },
      { kind: "vary", tiltX: "50 * t", rise: "8 + 8 * sin(i * 20)" },
    ],
    solid: { depth: 3, edge: { size: 1 } },
  };
  // As finely as a file is made, which takes long; on the desk the same is coarser and soon done.
  const making = { solid: { tolerance: 0.003 } };
  await desk.lay(JSON.stringify({ format: "twin-petal/1", name: "Thistle", making, parts: [petals] }));
  await openWorkshop(page, "Solid");
  await expect(desk.view).toHaveAttribute("data-state", "uniting");
  await expect(page.getByRole("progressbar", { name: "Uniting" })).toBeVisible();
  // At once: a click that waits for a still picture would come after the last petal.
  await page.getByRole("button", { name: "Stop", exact: true }).dispatchEvent("click");
  await expect(desk.view).toHaveAttribute("data-state", "stopped");
  await page.getByRole("link", { name: "Desk" }).click();
  await desk.ready();
  await page.keyboard.press("d");
  await desk.type("count", "6");
  expect(await desk.volume()).toBeGreaterThan(0);

  await desk.type("depth", "0");
  await expect(page.getByText("depth: must be a number from 0.001")).toBeVisible();
  await page.keyboard.press("Escape");
  await desk.addPart("disc");
  await desk.type("radius", "95");
  await desk.makeSolid("90");
  await desk.choose("solid role", "is cut out of the others");
  await expect(page.getByRole("alert").filter({ hasText: "taken away whole" })).toBeVisible();
});
