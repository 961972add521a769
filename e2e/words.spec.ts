import { Maker } from "./making";
import { expect, test } from "./server";

test("a new petal is told without scrolling; what stands at its default unfolds when touched, or by a key", async ({
  page,
}) => {
  const desk = new Maker(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  await desk.begin("petal");
  const column = page.getByRole("complementary", { name: "The design in words" });
  const beyond = () => column.evaluate((node) => node.scrollHeight - node.clientHeight);
  expect(await beyond()).toBe(0);

  await expect(desk.number("opacity")).toHaveCount(0);
  await page.getByRole("button", { name: "opacity and blending …" }).click();
  await desk.type("opacity", "0.4");
  await expect(desk.number("tip")).toHaveCount(0);
  // By keys alone: the offers are reached like any other word.
  await page.getByRole("button", { name: "round its ends …" }).focus();
  await desk.keys("Enter");
  await expect(desk.number("tip")).toBeVisible();

  await page.locator("#sheet").focus();
  await desk.keys("a");
  await expect(desk.number("part turn")).toBeVisible();
  await expect(page.getByRole("button", { name: "doubled lines: drawn for each copy" })).toBeVisible();
  await desk.type("part turn", "30");
  await page.locator("#sheet").focus();
  await desk.keys("a");
  // What is set stays said, the rest folds again.
  await expect(desk.number("part turn")).toBeVisible();
  await expect(page.getByRole("button", { name: "doubled lines: drawn for each copy" })).toHaveCount(0);
});

test("a rectangle stands by its foot and, by one choice, by its middle; a ground has grain", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("rectangle");
  await expect(page.getByRole("button", { name: "stands by: by its foot" })).toBeVisible();
  await desk.choose("stands by", "by its middle");
  await desk.type("height", "60");
  await page.getByRole("button", { name: "grain on the ground" }).click();
  await desk.type("grain of the ground amount", "0.5");
  const { parts, sheet } = await desk.file();
  expect(parts[0]).toMatchObject({ standsBy: "middle", motif: { height: 60 } });
  expect(sheet).toMatchObject({ grain: { amount: 0.5 } });
  await desk.keys("Control+z", "Control+z", "Control+z", "Control+z");
  await expect(page.getByRole("button", { name: "stands by: by its foot" })).toBeVisible();
});

test("a pitch typed for copies along a line fills it; a typed count keeps it full", async ({ page }) => {
  const desk = new Maker(page);
  await desk.lay(
    JSON.stringify({
      format: "twin-petal/1",
      parts: [
        { id: "line", name: "Line", motif: { kind: "line", length: 150, angle: 90, at: { x: -75 } } },
        { id: "a", name: "Bead", motif: { kind: "disc", radius: 2 }, rules: [{ kind: "along", path: "line" }] },
      ],
    }),
  );
  await desk.type("pitch", "10");
  // 150 mm at 10 mm apart, both ends taken.
  await expect(desk.copies("16")).toBeVisible();
  expect((await desk.file()).parts[1]?.rules).toEqual([{ kind: "along", path: "line", pitch: 10 }]);
  await desk.type("count", "11");
  await expect(desk.number("pitch")).toHaveAttribute("aria-valuenow", "15");
});

test("a count is pulled around, and stepped by keys", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("ring");
  const handle = page.getByRole("button", { name: /^count of the ring/ });
  await handle.focus();
  await desk.keys("ArrowRight", "ArrowUp");
  await expect(desk.copies("14")).toBeVisible();
  const box = await handle.boundingBox();
  const middle = await desk.middle();
  if (!box) throw new Error("the count has no handle");
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  // A quarter of a turn from the first copy, which stands above: four divide the circle.
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(middle.x + 150, middle.y, { steps: 8 });
  await page.mouse.up();
  await expect(desk.copies("4")).toBeVisible();
  await desk.keys("Control+z");
  await expect(desk.copies("14")).toBeVisible();
});

test("a grid tells its tile and gives it as a file", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.addRule("grid");
  await expect(page.getByText(/Repeats every/)).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "as vectors" }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.tile\.svg$/);
});

test("a design opens on the part with the most copies, and later on the part last worked on", async ({ page }) => {
  const desk = new Maker(page);
  const disc = { kind: "disc", radius: 5 };
  await desk.lay(
    JSON.stringify({
      format: "twin-petal/1",
      parts: [
        { id: "few", name: "Few", motif: disc, rules: [{ kind: "ring", count: 3 }] },
        { id: "many", name: "Many", motif: disc, rules: [{ kind: "ring", count: 30 }] },
        { id: "top", name: "Top", motif: disc },
      ],
    }),
  );
  const tile = (name: string) => page.getByRole("button", { name: `Part ${name}`, exact: true });
  await expect(tile("Many")).toHaveAttribute("aria-pressed", "true");
  await tile("Few").click();
  await desk.type("count", "4");
  await tile("Top").click();
  await desk.saved();
  await page.reload();
  await desk.ready();
  await expect(tile("Few")).toHaveAttribute("aria-pressed", "true");
});

test("an action that takes its own words away leaves the keys near where they were", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("ring");
  await page.getByRole("button", { name: "as a gradient …" }).first().focus();
  await page.getByRole("button", { name: "no fill" }).focus();
  await desk.keys("Enter");
  await expect(page.getByRole("button", { name: "fill it" })).toBeVisible();
  const focused = () => page.evaluate(() => document.activeElement?.closest("section")?.getAttribute("aria-label"));
  expect(await focused()).toBe("Finish");
  await page.getByRole("button", { name: "fill it" }).focus();
  await desk.keys("Enter");
  await expect.poll(focused).toBe("Finish");
  // A dialog gives the focus back.
  await desk.number("length").focus();
  await desk.keys("Shift+?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await desk.keys("Escape");
  await expect(desk.number("length")).toBeFocused();
});

test("nodes that do not stand side by side are chosen by keys", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("star");
  await page.getByRole("button", { name: "bake into nodes" }).click();
  await expect(page.getByRole("button", { name: "bake into nodes" })).toHaveCount(0);
  await page.locator("#sheet").focus();
  await desk.keys("2");
  const layer = page.locator("#node-layer");
  await expect(layer).toBeFocused();
  await desk.keys(".");
  await expect(layer).toHaveAttribute("aria-label", / 1 chosen/);
  await desk.keys("Alt+.", "Alt+.", "Space", "Shift+.");
  await expect(layer).toHaveAttribute("aria-label", / 3 chosen/);
  await desk.keys("Alt+,", "Space");
  await expect(layer).toHaveAttribute("aria-label", / 2 chosen/);
});
