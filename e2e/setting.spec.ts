import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { PNG } from "pngjs";
import { Maker } from "./making";
import { expect, test } from "./server";

/** A design laid on the desk as it stands in a file. */
async function laid(page: Page, parts: readonly object[]): Promise<Maker> {
  const desk = new Maker(page);
  await desk.lay(JSON.stringify({ format: "twin-petal/1", name: "Set", parts }));
  await desk.ready();
  return desk;
}

test("a choice sets what it needs; a fault stands at its number, and the saved state leads there", async ({ page }) => {
  const desk = await laid(page, [
    { id: "b", name: "Bead", motif: { kind: "ring" } },
    { id: "a", name: "Seed", motif: { kind: "disc", radius: 2 }, rules: [{ kind: "spiral", inner: 0 }] },
  ]);
  await desk.choose("form", "growing");
  // The radius it begins at, which a growing one must have, is a new one's.
  expect((await desk.file()).parts[1]?.rules).toEqual([{ kind: "spiral", form: "growing" }]);

  await page.getByRole("button", { name: "Part Bead" }).click();
  await desk.type("inner radius", "25");
  await expect(page.getByRole("alert")).toContainText("inner radius: must be less than outer, which is 20");
  await expect(desk.number("inner radius")).toHaveAttribute("aria-invalid", "true");
  const way = page.getByRole("status").getByRole("button", { name: /“Bead”, ring: inner must be less/ });
  await expect(way).toBeVisible();
  await page.getByRole("button", { name: "Part Seed" }).click();
  await expect(page.getByRole("button", { name: "motif: disc" })).toBeVisible();
  await way.click();
  await expect(desk.number("inner radius")).toBeFocused();
  await desk.type("outer radius", "40");
  await desk.saved();
  await expect(page.getByRole("alert")).toHaveCount(0);
});

test("the second shape between is another part drawn by hand, and follows it", async ({ page }) => {
  const nodes = [
    { x: -10, y: 30 },
    { x: 10, y: 30 },
    { x: 0, y: 50 },
  ];
  const desk = await laid(page, [
    { id: "d", name: "Tooth", motif: { kind: "drawn", paths: [{ closed: true, nodes }] } },
    {
      id: "a",
      name: "Bead",
      motif: { kind: "disc", radius: 6 },
      rules: [{ kind: "between", to: { kind: "disc", radius: 4 } }],
    },
  ]);
  await expect(desk.number("second shape: radius")).toBeVisible();
  await expect(desk.number("radius")).toHaveCount(1);
  await page.getByRole("button", { name: "second shape: disc" }).click();
  await page.getByRole("menuitem", { name: "Tooth" }).click();
  expect((await desk.file()).parts[1]?.rules).toMatchObject([{ to: { kind: "part", part: "d", stands: "sheet" } }]);
  await expect(page.getByText("7 copies")).toBeVisible();
});

test("a stamp stays live when the shape below becomes nodes", async ({ page }) => {
  const desk = await laid(page, [
    {
      id: "a",
      name: "Petal",
      motif: { kind: "polygon", radius: 40, at: { x: 9 } },
      cutouts: [{ kind: "disc", radius: 8 }],
    },
  ]);
  await desk.word("bake into nodes").click();
  await expect(page.getByText("6 nodes in 1 run.")).toBeVisible();
  await desk.type("cutout 1: radius", "12");
  expect((await desk.file()).parts[0]).toMatchObject({
    motif: { kind: "drawn", at: { x: 9 } },
    cutouts: [{ kind: "disc", radius: 12 }],
  });
});

test("swells and the colours of gradients have numbers; a gradient is chosen as one", async ({ page }) => {
  const desk = await laid(page, [{ id: "a", name: "Wave", motif: { kind: "wave" }, finish: { line: { width: 2 } } }]);
  await desk.word("let it swell …").click();
  await page.getByRole("menuitem", { name: "full in the middle" }).click();
  await desk.type("width 2", "3 * 2");
  await desk.type("place of width 2", "0.3");
  await desk.choose("line widths", "as wide everywhere");
  await desk.word("as a gradient …").first().click();
  await page.getByRole("menuitem", { name: "in a line" }).click();
  await desk.type("place of fill colour 2", "0.75");
  expect((await desk.file()).parts[0]?.finish).toMatchObject({
    fill: { kind: "linear", stops: [{ at: 0 }, { at: 0.75 }] },
    line: { widths: "same", swell: [{ at: 0 }, { at: 0.3, width: "3 * 2" }, { at: 1 }] },
  });
});

/** How much lighter than the facets' lightest channel any pixel is within a circle of so many pixels about the middle. */
function lightestWithin({ width, height, data }: PNG, radius: number): number {
  let most = 0;
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      if (Math.hypot(x + 0.5 - width / 2, y + 0.5 - height / 2) > radius) continue;
      for (let c = 0; c < 3; c++) most = Math.max(most, (data[4 * (y * width + x) + c] ?? 0) - 0x4a);
    }
  }
  return most;
}

test("no seam shows between facets that touch, on the desk and in a picture", async ({ page }) => {
  const half = 90 * Math.tan(Math.PI / 12);
  const nodes = [
    { x: 0, y: 0 },
    { x: -half, y: -90 },
    { x: half, y: -90 },
  ];
  const desk = await laid(page, [
    {
      id: "a",
      name: "Facet",
      motif: { kind: "drawn", paths: [{ closed: true, nodes }] },
      rules: [{ kind: "turn", count: 12 }],
      at: { turn: 7 },
      finish: { fill: { kind: "cycle", colors: ["#20104A", "#4A1020", "#103A20"] } },
    },
  ]);
  await page.keyboard.press("Escape");
  const picture = await desk.picture();
  expect(lightestWithin(picture, (picture.height - 72) * 0.42)).toBeLessThanOrEqual(3);
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Take away" }).click();
  await page.getByRole("menuitem", { name: /^\.png/ }).click();
  const taken = PNG.sync.read(await readFile(await (await download).path()));
  expect(lightestWithin(taken, taken.width * 0.42)).toBeLessThanOrEqual(3);
});

test("faces tell lines that end a little before another, and close them by one action", async ({ page }) => {
  const corner = (k: number) => ({ x: 60 * Math.sin((k * Math.PI) / 4), y: -60 * Math.cos((k * Math.PI) / 4) });
  const paths = [{ nodes: [{ x: 0, y: -2 }, corner(0)] }, { nodes: [corner(0), corner(1)] }];
  const desk = await laid(page, [
    {
      id: "a",
      name: "Wheel",
      motif: { kind: "drawn", paths },
      rules: [{ kind: "turn", count: 8 }],
      join: { mode: "faces" },
      finish: { line: { width: 0.4 } },
    },
  ]);
  await expect(page.getByTestId("opening").first()).toBeVisible();
  await expect(page.getByText(/Lines end up to 1\.53\d* mm before another/)).toBeVisible();
  await desk.word("close the gaps").click();
  await expect(page.getByTestId("opening")).toHaveCount(0);
  await expect(desk.number("gaps closed")).toBeVisible();
  expect((await desk.file()).parts[0]?.join).toMatchObject({ close: 1.55 });
});

test("a line drawn goes to the crossing of two other parts, by name", async ({ page }) => {
  const desk = await laid(page, [
    { id: "a", name: "Moon", motif: { kind: "disc", radius: 30 }, at: { x: -20 } },
    { id: "b", name: "Sun", motif: { kind: "disc", radius: 30 }, at: { x: 20 } },
  ]);
  await desk.keys("Escape");
  await desk.tool("Draw");
  // Where the two circles cross, a little beside it.
  const crossing = { x: 0, y: -Math.sqrt(500) };
  const near = await desk.at(crossing.x, crossing.y - 0.8);
  await expect(async () => {
    await page.mouse.move(near.x + 30, near.y);
    await page.mouse.move(near.x, near.y, { steps: 3 });
    await expect(page.getByText(/crossing of “(Moon|Sun)” and “(Moon|Sun)”/)).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.mouse.down();
  await page.mouse.up();
  await desk.click(70, 70);
  await desk.keys("Enter");
  const drawn = (await desk.file()).parts.find(({ motif }) => motif.kind === "drawn");
  const [node] = JSON.parse(JSON.stringify(drawn?.motif.paths))[0].nodes;
  expect(Math.hypot(node.x - crossing.x, node.y - crossing.y)).toBeLessThan(0.05);
});

test("a number is set until copies touch, among pictures to pick from; what cannot be is said with the nearest", async ({
  page,
}) => {
  const desk = await laid(page, [
    { id: "a", name: "Bead", motif: { kind: "disc", radius: 6 }, rules: [{ kind: "ring", count: 12, radius: 50 }] },
  ]);
  await desk.number("radius").last().focus();
  await desk.word("until …").click();
  await page.getByRole("menuitem", { name: "until copies touch" }).click();
  const found = page.getByRole("list", { name: "Values of radius found" }).getByRole("button");
  await expect(found).toHaveCount(1);
  await found.click();
  const [rule] = (await desk.file()).parts[0]?.rules ?? [];
  // Twelve discs of radius 6 touch where the chord of 30 degrees is 12 mm.
  expect(Number(rule?.radius)).toBeCloseTo(6 / Math.sin(Math.PI / 12), 1);
  await expect(page.getByText("12 copies")).toBeVisible();

  await desk.word("neighbours again").click();
  await desk.word("until …").click();
  await page.getByRole("menuitem", { name: "until the part is so wide" }).click();
  await expect(found).toHaveCount(1);
  await desk.type("width of the part", "5");
  await expect(page.getByText(/With none from .* this one comes nearest/)).toBeVisible();
});
