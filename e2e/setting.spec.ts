import type { Page } from "@playwright/test";
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
