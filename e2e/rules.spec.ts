import type { Page } from "@playwright/test";
import { Maker } from "./making";
import { expect, test } from "./server";

/** A design with a guide to run along and an ornament part above it; the ornament is chosen. */
async function openWithLine(page: Page, motif: object, line: object, rules: readonly object[] = []): Promise<Maker> {
  const desk = new Maker(page);
  const parts = [
    { id: "line", name: "Line", role: "guide", motif: line },
    { id: "shape", name: "Shape", motif, rules },
  ];
  await desk.lay(JSON.stringify({ format: "twin-petal/1", name: "Along a line", parts }));
  return desk;
}

/** Pulls a handle of the given name by so many millimetres on a sheet of 200. */
async function pullHandle(desk: Maker, name: RegExp, dx: number, dy: number): Promise<void> {
  const handle = desk.page.getByRole("button", { name });
  // A handle just shown may still move as the picture it belongs to arrives.
  let box = await handle.boundingBox();
  const isStill = async () => {
    const before = JSON.stringify(box);
    box = await handle.boundingBox();
    return before === JSON.stringify(box);
  };
  await desk.ready();
  await expect.poll(isStill).toBe(true);
  if (!box) throw new Error(`no handle ${name}`);
  const origin = await desk.at(0, 0);
  const to = await desk.at(dx, dy);
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await desk.pull(from, to.x - origin.x, to.y - origin.y);
}

/** Picks the neighbour of a number so many pictures from the middle one. */
async function pickNeighbour(desk: Maker, label: string, words: string): Promise<void> {
  const list = desk.page.getByRole("list", { name: `Neighbours of ${label}` });
  await expect(list.locator("canvas[data-shown=yes]").first()).toBeVisible();
  await list.getByRole("button", { name: words, exact: true }).click();
}

type Stored = Record<string, unknown>;

const isStored = (value: unknown): value is Stored => typeof value === "object" && value !== null;

/** A rule of a part as it is saved. */
function storedRule({ parts }: Awaited<ReturnType<Maker["file"]>>, part: number): Stored {
  const rules: unknown = parts[part]?.rules;
  const rule: unknown = Array.isArray(rules) ? rules[0] : undefined;
  return isStored(rule) ? rule : {};
}

function placeOf(value: unknown): { x: number; y: number } {
  return isStored(value) ? { x: Number(value.x), y: Number(value.y) } : { x: NaN, y: NaN };
}

const sideOf = (vectors: unknown, side: "a" | "b") => placeOf(isStored(vectors) ? vectors[side] : undefined);

const valueOf = async (desk: Maker, name: string) => Number(await desk.number(name).getAttribute("aria-valuenow"));

test("a turn: its pivot dragged, its angle held and released, its count's neighbour picked", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  await page.getByRole("button", { name: /^angle of the turn/ }).focus();
  await desk.keys("ArrowRight");
  await expect.poll(() => valueOf(desk, "angle")).toBeGreaterThan(45);
  await page.getByRole("button", { name: "close it" }).click();
  await pullHandle(desk, /^Pivot of the turn/, 0, 20);
  await expect(desk.number("pivot down")).toHaveAttribute("aria-valuenow", /^(19|20|21)/);
  await desk.type("count", "14");
  await desk.type("angle", "25");
  await expect(page.getByText("10° short of a full circle")).toBeVisible();
  await page.getByRole("radio", { name: "count", exact: true }).click();
  await expect(page.getByRole("radio", { name: "count follows" })).toBeVisible();
  await desk.type("angle", "30");
  await expect(desk.number("count")).toHaveAttribute("aria-valuenow", "11");
  await page.getByRole("button", { name: "close it" }).click();
  await expect(page.getByRole("radio", { name: "angle follows" })).toBeVisible();
  await desk.number("count").focus();
  await pickNeighbour(desk, "count", "12");
  await expect(desk.copies("12")).toBeVisible();
  await page.getByRole("button", { name: /^Undo: count/ }).click();
  await expect(desk.copies("11")).toBeVisible();
});

test("copies that coincide are reported, and one action keeps one of each", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  await desk.type("count", "24");
  await desk.type("angle", "30");
  await expect(page.getByText(/12 copies stand exactly where another does already/)).toBeVisible();
  await page.getByRole("button", { name: "keep one of each" }).click();
  await expect(desk.copies("12")).toBeVisible();
  await page.getByRole("button", { name: "keep all" }).click();
  await expect(desk.copies("24")).toBeVisible();
});

test("a reflection: its line turned in the sentence, its choice's neighbour picked by key", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("leaf");
  await desk.type("bend", "0.5");
  await desk.addRule("reflect");
  await expect(desk.copies("2")).toBeVisible();
  await desk.number("angle").focus();
  await desk.keys("Shift+ArrowUp", "k");
  await expect.poll(() => valueOf(desk, "angle")).toBe(11);
  await pullHandle(desk, /^angle of the reflect/, 15, 0);
  await expect.poll(() => valueOf(desk, "angle")).toBeGreaterThan(15);
  await page.getByRole("button", { name: "kept: it and its image" }).click();
  await page.getByRole("menuitem", { name: "only the image" }).click();
  await expect(desk.copies("1")).toBeVisible();
});

test("the second copy of a step is dragged: the step is what it was dragged to", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("step");
  await desk.type("count", "5");
  // The foot of the second copy goes 30 across and 12 up from the source's.
  await pullHandle(desk, /^Foot of the second copy/, 30, -12);
  const scale = (await desk.at(1, 0)).x - (await desk.at(0, 0)).x;
  const pixel = 1 / scale;
  const step = async () => storedRule(await desk.file(), 0);
  const { move } = await step();
  const moved = placeOf(move);
  expect(Math.hypot(moved.x - 30, moved.y + 12)).toBeLessThan(0.001 * Math.hypot(30, 12) + pixel / 100);
  // The tip, 40 mm above the foot, goes to where a turn of 35° and a scale of 0.8 would bring it.
  const foot = { x: 30, y: -12 };
  const radians = (35 * Math.PI) / 180;
  const wanted = { x: foot.x + 32 * Math.sin(radians), y: foot.y - 32 * Math.cos(radians) };
  await pullHandle(desk, /^Tip of the second copy/, wanted.x - foot.x, wanted.y - (foot.y - 40));
  const { turn, scale: factor } = await step();
  expect(Math.abs(Number(turn) - 35)).toBeLessThan(0.1);
  expect(Math.abs(Number(factor) / 0.8 - 1)).toBeLessThan(0.001);
  await expect(desk.number("turn")).toHaveAttribute("aria-valuenow", String(turn));
  await page.getByRole("button", { name: /^Tip of the second copy/ }).focus();
  await desk.keys("ArrowLeft");
  await expect.poll(() => valueOf(desk, "turn")).toBeLessThan(35);
  await desk.number("turn").focus();
  await desk.type("turn", "20");
  await desk.number("turn").focus();
  await pickNeighbour(desk, "turn", "22°");
  await expect(desk.number("turn")).toHaveAttribute("aria-valuenow", "22");
});

test("a ring: radius, start and span on handles, all facings as pictures", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.type("length", "20");
  await desk.addRule("ring");
  await pullHandle(desk, /^Radius of the ring/, 0, 10);
  await expect.poll(() => valueOf(desk, "radius")).toBeCloseTo(40, 0);
  await page.getByRole("button", { name: "only an arc …" }).click();
  await pullHandle(desk, /^start of the ring/, 20, 0);
  await expect.poll(() => valueOf(desk, "start")).toBeGreaterThan(15);
  await page.getByRole("button", { name: /^arc of the ring/ }).focus();
  await desk.keys("ArrowLeft", "ArrowLeft");
  await expect.poll(() => valueOf(desk, "arc")).toBeLessThan(360);
  await page.getByRole("button", { name: "face: out" }).focus();
  await pickNeighbour(desk, "face", "in");
  await expect(page.getByRole("button", { name: "face: in" })).toBeVisible();
  expect((await desk.file()).parts[0]).toMatchObject({ rules: [{ kind: "ring", face: "in" }] });
});

test("a spiral: its form is chosen in the sentence, its pitch and turns pulled by drops, its sizes told", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "3");
  await desk.addRule("spiral");
  await expect(desk.copies("60")).toBeVisible();
  await page.getByRole("button", { name: /^pitch of the spiral/ }).focus();
  await desk.keys("Shift+ArrowUp");
  await expect.poll(() => valueOf(desk, "pitch")).toBeGreaterThan(8.5);
  await pullHandle(desk, /^turns of the spiral/, 20, 0);
  await expect.poll(() => valueOf(desk, "turns")).toBeGreaterThan(4.02);
  await desk.number("turns").focus();
  await desk.keys("ArrowUp");
  await page.getByRole("button", { name: "how large …" }).click();
  await page.getByRole("button", { name: "size: of one size" }).click();
  await page.getByRole("menuitem", { name: "sized from first to last" }).click();
  await desk.type("size to", "2");
  await page.getByRole("button", { name: "form: evenly" }).focus();
  await pickNeighbour(desk, "form", "as a sunflower’s seeds");
  await desk.type("count", "200");
  await expect(desk.copies("200")).toBeVisible();
  expect((await desk.file()).parts[0]).toMatchObject({
    rules: [{ kind: "spiral", form: "sunflower", count: 200, size: { from: 0.4, to: 2 } }],
  });
});

test("a grid: lattice, columns and rows in the sentence, its pitch by its drop, a plane group, colours by row", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("grid");
  await expect(desk.copies("25")).toBeVisible();
  await page.getByRole("button", { name: "lattice: square" }).focus();
  await pickNeighbour(desk, "lattice", "hexagonal");
  await desk.type("columns", "3");
  await page.getByRole("button", { name: /^pitch of the grid/ }).focus();
  await desk.keys("Shift+ArrowRight");
  await expect(desk.number("pitch")).toHaveAttribute("aria-valuenow", "40");
  await expect(page.getByText("Repeats every 40 × 69.282 mm.")).toBeVisible();
  await page.getByRole("button", { name: "by a plane group …" }).click();
  await page.getByRole("button", { name: "group: no group" }).click();
  await page.getByRole("menuitem", { name: "p4gm" }).click();
  await expect(desk.copies("120")).toBeVisible();
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await page.getByRole("button", { name: /^fill order:/ }).click();
  await page.getByRole("menuitem", { name: "row by row" }).click();
  expect((await desk.file()).parts[0]).toMatchObject({
    rules: [{ kind: "grid", lattice: "hex", columns: 3, pitch: 40, group: "p4gm" }],
    finish: { fill: { by: "row" } },
  });
  await page.getByRole("button", { name: "fill the sheet …" }).click();
  await page.getByRole("button", { name: "fills: columns and rows" }).click();
  await page.getByRole("menuitem", { name: "the whole sheet" }).click();
  await expect(page.getByText("Grid over the whole sheet")).toBeVisible();
});

test("a free lattice: both its sides are pulled by their ends", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "4");
  await desk.addRule("grid");
  await page.getByRole("button", { name: "lattice: square" }).click();
  await page.getByRole("menuitem", { name: "free" }).click();
  await pullHandle(desk, /^First side of the lattice/, 0, 10);
  await page.getByRole("button", { name: /^Second side of the lattice/ }).focus();
  // Pressed faster than pictures come, each key counts.
  await desk.keys("Shift+ArrowLeft", "Shift+ArrowLeft", "Shift+ArrowLeft");
  const { vectors } = storedRule(await desk.file(), 0);
  const [a, b] = [sideOf(vectors, "a"), sideOf(vectors, "b")];
  expect(a.x).toBeCloseTo(30, 0);
  expect(a.y).toBeCloseTo(10, 0);
  expect(b).toEqual({ x: -30, y: 30 });
});

test("a border: its frieze group and its length, its pitch pulled, then along a line's corners", async ({ page }) => {
  const frame = { kind: "rectangle", width: 140, height: 90, corner: 20, at: { y: 45 } };
  const desk = await openWithLine(page, { kind: "leaf", length: 12, width: 6 }, frame);
  await desk.addRule("border");
  await page.getByRole("button", { name: /^group: p1,/ }).focus();
  await pickNeighbour(desk, "group", "p2mg, mirrors and half turns");
  await expect(desk.copies("32")).toBeVisible();
  await pullHandle(desk, /^pitch of the border/, -6, 0);
  await expect.poll(() => valueOf(desk, "pitch")).toBeCloseTo(18, 0);
  await desk.type("border length", "100");
  await expect(page.getByRole("radio", { name: "pitch follows" })).toBeVisible();
  await page.getByRole("radio", { name: "count", exact: true }).click();
  await expect(page.getByRole("radio", { name: "count follows" })).toBeVisible();
  expect((await desk.file()).parts[1]).toMatchObject({ rules: [{ kind: "border", group: "p2mg", length: 100 }] });
  await page.getByRole("button", { name: "along a part’s line …" }).click();
  await page.getByRole("button", { name: "path: a level line" }).click();
  await page.getByRole("menuitem", { name: "Line", exact: true }).click();
  await page.getByRole("button", { name: "bent: as it is" }).click();
  await page.getByRole("menuitem", { name: "bent to follow it" }).click();
  await page.getByRole("button", { name: "close it" }).click();
  await desk.type("count", "20");
  await expect(desk.copies("80")).toBeVisible();
});

test("along a line: its ends pulled, bent to it, by count and by pitch", async ({ page }) => {
  const line = { kind: "line", length: 150, angle: 90, at: { x: -75 } };
  const desk = await openWithLine(page, { kind: "petal", length: 14, width: 6 }, line);
  await desk.addRule("along");
  await expect(desk.copies("12")).toBeVisible();
  await pullHandle(desk, /^End on the line/, -30, 0);
  await page.getByRole("button", { name: /^Beginning on the line/ }).focus();
  await desk.keys("ArrowRight", "ArrowRight", "ArrowRight");
  await expect.poll(() => valueOf(desk, "to")).toBeCloseTo(0.8, 1);
  await expect.poll(() => valueOf(desk, "from")).toBeCloseTo(0.02, 1);
  await page.getByRole("button", { name: "bent: as they are" }).focus();
  await pickNeighbour(desk, "bent", "bent to follow it");
  await page.getByRole("radio", { name: "count", exact: true }).click();
  await expect(page.getByRole("radio", { name: "count follows" })).toBeChecked();
  await desk.type("pitch", "20");
  await expect(desk.copies("6")).toBeVisible();
  expect((await desk.file()).parts[1]).toMatchObject({
    rules: [{ kind: "along", path: "line", bend: true, pitch: 20 }],
  });
});

test("scatter: its gap, another chance, inside a part, off another", async ({ page }) => {
  const desk = await openWithLine(page, { kind: "disc", radius: 2 }, { kind: "ring", outer: 80, inner: 40 });
  await desk.addRule("scatter");
  await expect(desk.copies("60")).toBeVisible();
  await page.getByRole("button", { name: "region: the whole sheet" }).click();
  await page.getByRole("menuitem", { name: "Line" }).click();
  await desk.type("count", "2000");
  await expect(page.getByText(/there is room for \d+ of 2,000 at this gap/)).toBeVisible();
  await page.getByRole("button", { name: "again" }).click();
  await expect(desk.number("seed")).toHaveAttribute("aria-valuenow", "2");
  await pullHandle(desk, /^gap of the scatter/, 3, 0);
  await expect.poll(() => valueOf(desk, "gap")).toBeCloseTo(15, 0);
  await desk.type("gap", "12");
  await desk.number("gap").focus();
  await pickNeighbour(desk, "gap", "13 mm");
  await page.getByRole("button", { name: "turned and sized by chance …" }).click();
  await desk.type("turn to", "90");
  expect((await desk.file()).parts[1]).toMatchObject({
    rules: [{ kind: "scatter", region: "line", seed: 2, gap: 13, turn: [0, 90] }],
  });
});

test("between: the second shape changed, moved on the sheet, its count's neighbour picked", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.addRule("between");
  await expect(desk.copies("7")).toBeVisible();
  await page.getByRole("button", { name: "second shape: disc" }).click();
  await page.getByRole("menuitem", { name: "star" }).click();
  await pullHandle(desk, /^Place of the second shape/, 50, 0);
  await expect.poll(() => valueOf(desk, "second shape across")).toBeCloseTo(50, 0);
  await desk.number("count").focus();
  await pickNeighbour(desk, "count", "9");
  await expect(desk.copies("9")).toBeVisible();
  await desk.number("ease").focus();
  await desk.keys("Shift+ArrowUp");
  expect((await desk.file()).parts[0]).toMatchObject({
    rules: [{ kind: "between", count: 9, ease: 0.5, to: { kind: "star" } }],
  });
});

test("vary: formulas typed with their curve, a wrong one told, paint along a ramp", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.type("length", "20");
  await desk.addRule("ring");
  await desk.addRule("vary");
  const sized = page.getByRole("textbox", { name: "sized" });
  await expect(sized).toHaveValue("1 - 0.5 * t");
  await expect(page.getByRole("img", { name: "sized: from 1 to 0.5" })).toBeVisible();
  await sized.fill("1 + petalz");
  await expect(page.getByRole("alert")).toContainText("petalz");
  await sized.fill("0.5 + i / n");
  await expect(page.getByRole("img", { name: /^sized: from 0.5 to 1.417/ })).toBeVisible();
  await sized.press("Enter");
  await page.getByRole("button", { name: "vary more …" }).click();
  await page.getByRole("menuitem", { name: "painted along the ramp at" }).click();
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await page.getByRole("button", { name: "fill colours: in turn" }).click();
  await page.getByRole("menuitem", { name: "mixed" }).click();
  await page.getByRole("button", { name: /^fill order:/ }).click();
  await page.getByRole("menuitem", { name: "as the rules say" }).click();
  expect((await desk.file()).parts[0]).toMatchObject({
    rules: [{ kind: "ring" }, { kind: "vary", size: "0.5 + i / n", paint: "t" }],
    finish: { fill: { kind: "ramp", by: "paint" } },
  });
});

test("a whole part is repeated, and a circle of parts is refused in words", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  await page.getByRole("button", { name: "Part Petal" }).hover();
  await page.getByRole("button", { name: "More for Petal" }).click();
  await page.getByRole("menuitem", { name: "Repeat it whole" }).click();
  await desk.addRule("ring");
  await expect(desk.copies("12")).toBeVisible();
  const { parts } = await desk.file();
  expect(parts).toMatchObject([{ role: "tool" }, { motif: { kind: "part", part: "petal" } }]);
  await page.getByRole("button", { name: "Part Petal", exact: true }).click();
  await desk.addRule("along");
  await expect(page.getByText(/follows itself in a circle/)).toBeVisible();
  await page.getByRole("button", { name: /^Undo: add a along/ }).click();
  await expect(page.getByText(/follows itself in a circle/)).toHaveCount(0);
});
