import { join } from "node:path";
import { countPixels } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

test("strokes appear in every sector as they are drawn, mirrored too; one is restyled, all become few nodes", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("strokes");
  await desk.drag([5, -20], [20, -40], [10, -60], [25, -75]);
  await expect(desk.copies("1")).toBeVisible();
  await desk.word("turned and mirrored").click();
  await expect(desk.copies("24")).toBeVisible();
  // While the pen is still down the picture already has the new stroke in all sectors.
  const before = countPixels(await desk.picture(), [0x1e, 0x6f, 0x5c]);
  const place = await desk.at(2, -30);
  await page.mouse.move(place.x, place.y);
  await page.mouse.down();
  const end = await desk.at(2, -80);
  await page.mouse.move(end.x, end.y, { steps: 12 });
  await expect.poll(async () => countPixels(await desk.picture(), [0x1e, 0x6f, 0x5c])).toBeGreaterThan(before * 1.3);
  await page.mouse.up();
  await page.getByRole("button", { name: "sectors: turned and mirrored" }).click();
  await page.getByRole("menuitem", { name: "only turned" }).click();
  await expect(desk.copies("12")).toBeVisible();
  await desk.type("stroke width", "6");
  await desk.word("a colour of its own").click();
  await expect.poll(async () => countPixels(await desk.picture(), [0xc8, 0x44, 0x2b])).toBeGreaterThan(500);
  await desk.word("turn all into a drawing").click();
  const { parts } = await desk.file();
  expect(parts[0]?.motif.kind).toBe("drawn");
  const paths: unknown = parts[0]?.motif.paths;
  expect(Array.isArray(paths) && paths.length).toBe(2);
  expect(JSON.stringify(paths).match(/"y"/g)?.length).toBeLessThan(80);
});

test("strokes are drawn by keys: space sets the pen down and lifts it", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("strokes");
  await desk.keys("4");
  await expect(page.locator("#freehand-layer")).toBeFocused();
  await desk.keys("Space", "Shift+ArrowRight", "Shift+ArrowUp", "Shift+ArrowRight", "Space", "ArrowDown");
  const { parts } = await desk.file();
  expect(parts[0]?.motif.strokes).toEqual([
    [
      [0, -20, 0.5],
      [10, -20, 0.5],
      [10, -30, 0.5],
      [20, -30, 0.5],
    ],
  ]);
});

test("a walk is written by hand and keys, dragged into a repeat and out, watched step by step", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("walk");
  await expect(page.getByText("✓ it closes")).toBeVisible();
  await desk.type("turn", "360 / 5");
  await expect(page.getByText(/misses closing by/)).toBeVisible();
  await desk.type("times", "5");
  await expect(page.getByText("✓ it closes")).toBeVisible();
  await page.getByRole("button", { name: "Add a step" }).click();
  await page.getByRole("menuitem", { name: "skip" }).click();
  const steps = page.getByRole("list", { name: "Steps of the walk" }).getByRole("listitem");
  await expect(steps.last()).toContainText("skip");
  // By the keyboard: up by one, past the repeat's foot, and it is inside.
  const grip = page.getByRole("button", { name: "Move step 5", exact: true });
  await grip.focus();
  await desk.keys("Space");
  await expect(page.getByText(/moved over droppable area 4/)).toBeAttached();
  await desk.keys("ArrowUp");
  await expect(page.getByText(/moved over droppable area 3/)).toBeAttached();
  await desk.keys("Space");
  await expect.poll(async () => JSON.stringify((await desk.file()).parts[0]?.motif.steps)).toContain('{"skip":10}]}]');
  // By the pointer: out again, below the foot.
  const inside = await page.getByRole("button", { name: "Move step 4", exact: true }).boundingBox();
  if (!inside) throw new Error("no step");
  await desk.pull({ x: inside.x + 6, y: inside.y + 10 }, 0, 45);
  await expect.poll(async () => JSON.stringify((await desk.file()).parts[0]?.motif.steps)).toContain(']},{"skip":10}]');
  await desk.addRule("turn");
  await desk.word("watch it walk").click();
  await page.getByRole("button", { name: "Pause" }).click();
  await page.getByRole("slider", { name: "Step of the walk" }).fill("5");
  await expect(page.getByTestId("walk-counts")).toContainText("6 of 11");
  await expect(page.getByTestId("walk-counts")).toContainText("turn · 3 of 5");
  await page.getByRole("button", { name: "One step on" }).click();
  await expect(page.getByTestId("walk-counts")).toContainText("go · 4 of 5");
  await expect(page.locator("[data-lit=yes]").last()).toContainText("go");
  await page.getByRole("button", { name: "Play" }).click();
  await expect(page.getByTestId("walk-counts")).toContainText("11 of 11");
  await page.getByRole("region", { name: "Replay" }).getByRole("button", { name: "Stop watching" }).click();
  await expect(page.getByRole("region", { name: "Replay" })).toHaveCount(0);
});

test("lettering: words, font, a raised letter, around a circle to an end, along another part, until it is full", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("lettering");
  await page.getByRole("textbox", { name: "Words" }).fill("TIDE");
  await page.getByRole("button", { name: /^font:/ }).click();
  await page.getByRole("menuitem", { name: /^Limelight/ }).click();
  await expect.poll(async () => countPixels(await desk.picture(), [0x1e, 0x6f, 0x5c])).toBeGreaterThan(2_000);
  await page.getByRole("button", { name: "Letter 2, I" }).click();
  await desk.type("raised", "5");
  await page.getByRole("button", { name: "line: in a straight row" }).click();
  await page.getByRole("menuitem", { name: "around a circle" }).click();
  await desk.word("spread to an end").click();
  await desk.type("line end", "270");
  await page.getByRole("button", { name: "side: outside" }).click();
  await page.getByRole("menuitem", { name: "inside" }).click();
  expect((await desk.file()).parts[0]?.motif).toEqual({
    kind: "text",
    text: "TIDE",
    font: "limelight",
    raise: [0, 5],
    on: { radius: 50, end: 270, inside: true },
  });
  await page.getByRole("button", { name: "Add a part" }).click();
  await page.getByRole("menuitem", { name: "disc" }).click();
  await desk.type("radius", "70");
  await page.getByRole("button", { name: "Part Lettering" }).click();
  await page.getByRole("button", { name: "line: around a circle" }).click();
  await page.getByRole("menuitem", { name: "along another part’s line" }).click();
  await page.getByRole("button", { name: "repeated: set once" }).click();
  await page.getByRole("menuitem", { name: "repeated until the line is full" }).click();
  expect((await desk.file()).parts[0]?.motif).toMatchObject({ on: { part: "disc" }, repeatToFill: true });
  await page.getByRole("textbox", { name: "Words" }).fill("漢");
  await expect(page.getByText("Limelight has no letter for 漢")).toBeVisible();
});

test("a picture is imported at its size, what is left out is told, a hostile one is refused in words", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.openEmpty();
  const choose = async (file: string | { name: string; mimeType: string; buffer: Buffer }) =>
    page.getByLabel("Picture to import").last().setInputFiles(file);
  await choose({
    name: "evil.svg",
    mimeType: "image/svg+xml",
    buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>`),
  });
  await expect(page.getByText("evil.svg holds a script, and scripts are never run here")).toBeVisible();
  await expect(page.getByText("What is to be repeated?")).toBeVisible();
  await choose({
    name: "gull.svg",
    mimeType: "image/svg+xml",
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="20mm" viewBox="0 0 40 20"><rect width="40" height="20" fill="#C8442B"/><text>gull</text></svg>`,
    ),
  });
  await expect(page.getByText("gull.svg: one shape taken over.")).toBeVisible();
  await expect(page.getByText("Not taken over: text")).toBeVisible();
  await expect(desk.number("width")).toHaveAttribute("aria-valuenow", "40");
  await desk.type("width", "60");
  await expect(desk.number("height")).toHaveAttribute("aria-valuenow", "30");
  await desk.addRule("ring");
  const red = countPixels(await desk.picture(), [0xc8, 0x44, 0x2b]);
  expect(red).toBeGreaterThan(20_000);
  await choose(join(import.meta.dirname, "../core/test/pictures/hand-uses.svg"));
  await expect(page.getByText(/hand-uses\.svg: \d+ shapes taken over/)).toBeVisible();
});

test("shapes are cut out, stamped again, centred, pulled by hand; motifs combined, changed and taken apart", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  const green = [0x1e, 0x6f, 0x5c] as const;
  const whole = countPixels(await desk.picture(), green);
  await desk.word("cut a shape out …").click();
  await page.getByRole("menuitem", { name: "star" }).click();
  await expect.poll(async () => countPixels(await desk.picture(), green)).toBeLessThan(whole * 0.97);
  await page.getByRole("button", { name: "Stamp it again" }).click();
  await expect(page.getByRole("button", { name: "cutout 2: star" })).toBeVisible();
  await page.getByRole("button", { name: "Place of cutout 2" }).focus();
  await desk.keys("Shift+ArrowUp");
  await expect
    .poll(async () => (await desk.file()).parts[0]?.cutouts)
    .toMatchObject([
      { kind: "star", at: { size: 0.3 } },
      { kind: "star", at: { size: 0.3, x: 10, y: -10 } },
    ]);
  await desk.word("centre it").last().click();
  await expect.poll(async () => JSON.stringify((await desk.file()).parts[0]?.cutouts)).not.toContain('"x"');
  await page.getByRole("button", { name: "Remove it" }).last().click();
  await desk.word("combine with …").click();
  await page.getByRole("menuitem", { name: "rectangle" }).click();
  const united = countPixels(await desk.picture(), green);
  await page.getByRole("button", { name: "combined: united" }).click();
  await page.getByRole("menuitem", { name: "the first less the others" }).click();
  await expect.poll(async () => countPixels(await desk.picture(), green)).toBeLessThan(united * 0.7);
  expect((await desk.file()).parts[0]?.motif).toMatchObject({ kind: "compound", op: "difference" });
  await desk.type("shape 1: radius", "30");
  await desk.word("take apart").click();
  expect((await desk.file()).parts[0]?.motif).toEqual({ kind: "disc", radius: 30 });
});

test("a motif is trimmed to its wedge, and let go again", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.addRule("turn");
  await expect(page.getByText("7 copies stand exactly where another does already.")).toBeVisible();
  await page.getByRole("button", { name: "wedge: may reach beyond its wedge" }).click();
  await page.getByRole("menuitem", { name: "is trimmed to its wedge" }).click();
  await expect(page.getByText("7 copies stand exactly")).toHaveCount(0);
  expect((await desk.file()).parts[0]).toMatchObject({ join: { trimToWedge: true } });
});
