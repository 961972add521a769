import { countPixels } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

const GREEN = [0x1e, 0x6f, 0x5c] as const;

test("copies are merged, then even-odd, chosen from live pictures; undone; and the first rule's number goes on", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "25");
  await desk.addRule("turn");
  await page.getByRole("button", { name: "pivot: the part’s centre" }).click();
  await page.getByRole("menuitem", { name: "the group’s bottom" }).click();
  await expect(desk.copies("8")).toBeVisible();
  const whole = countPixels(await desk.picture(), GREEN);
  await page.getByRole("button", { name: "join: apart" }).click();
  await expect(page.getByRole("menu").locator("canvas[data-shown=yes]")).toHaveCount(5);
  await page.getByRole("menuitem", { name: /^even-odd/ }).click();
  await expect.poll(async () => countPixels(await desk.picture(), GREEN)).toBeLessThan(whole * 0.8);
  const hollow = countPixels(await desk.picture(), GREEN);
  await desk.type("count", "5");
  await expect(desk.copies("5")).toBeVisible();
  await expect.poll(async () => countPixels(await desk.picture(), GREEN)).not.toBe(hollow);
  await page.getByRole("button", { name: /^Undo: count/ }).click();
  await page.getByRole("button", { name: "Undo: join: even-odd" }).click();
  await expect.poll(async () => countPixels(await desk.picture(), GREEN) / whole).toBeCloseTo(1, 2);
  await page.getByRole("button", { name: "join: apart" }).focus();
  await desk.keys("Enter");
  await expect(page.getByRole("menuitem", { name: /^apart/i })).toBeFocused();
  await desk.keys("ArrowDown");
  await expect(page.getByRole("menuitem", { name: /^merged/i })).toBeFocused();
  await desk.keys("Enter");
  await expect(page.getByRole("button", { name: "join: merged", exact: true })).toBeVisible();
  expect((await desk.file()).parts[0]).toMatchObject({ join: { mode: "merge" } });
});

test("faces: coloured by orbit, by depth and alternately, each colour in turn", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "22");
  await desk.addRule("ring");
  await desk.join("faces");
  await page.getByRole("button", { name: "colours of their own" }).click();
  await page.getByRole("button", { name: "another", exact: true }).click();
  const sand = [0xe7, 0xc9, 0xa0] as const;
  await expect.poll(async () => countPixels(await desk.picture(), sand)).toBeGreaterThan(2_000);
  await page.getByRole("button", { name: /^faces coloured:/ }).click();
  await page.getByRole("menuitem", { name: "alternately" }).click();
  await page.getByRole("button", { name: "a hollow one" }).click();
  expect((await desk.file()).parts[0]).toMatchObject({
    join: { mode: "faces", paint: "alternate", colors: ["#1E6F5C", "#E7C9A0", null] },
  });
});

test("cut by another part and kept inside one, both live; the cutter is no longer made by itself", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "12");
  await page.getByRole("button", { name: "Add a part" }).click();
  await page.getByRole("menuitem", { name: "rectangle" }).click();
  await desk.type("width", "120");
  await desk.type("height", "80");
  const plain = countPixels(await desk.picture(), GREEN);
  await page.getByRole("button", { name: "cut by a part …" }).click();
  await page.getByRole("menuitem", { name: "Disc" }).click();
  const scale = (await desk.at(1, 0)).x - (await desk.at(0, 0)).x;
  // Half the disc lies within the rectangle, which stands on its foot at the centre.
  const hole = (144 * Math.PI * scale * scale) / 2;
  await expect.poll(async () => (plain - countPixels(await desk.picture(), GREEN)) / hole).toBeGreaterThan(0.85);
  await page.getByRole("button", { name: "Part Disc" }).click();
  await desk.type("radius", "20");
  await page.getByRole("button", { name: "Part Rectangle" }).click();
  await expect
    .poll(async () => (plain - countPixels(await desk.picture(), GREEN)) / hole)
    .toBeGreaterThan(0.9 * (400 / 144));
  await page.getByRole("button", { name: "keep them inside …" }).click();
  await page.getByRole("button", { name: "kept: anywhere" }).click();
  await page.getByRole("menuitem", { name: "inside Disc" }).click();
  await page.getByRole("button", { name: "Disc ×" }).click();
  expect((await desk.file()).parts).toMatchObject([{ role: "tool" }, { join: { inside: "disc" } }]);
  await page.getByRole("button", { name: "More for Disc" }).click({ force: true });
  await page.getByRole("menuitem", { name: "Remove" }).click();
  await expect(page.getByRole("button", { name: "kept: anywhere" })).toBeVisible();
});

test("a gradient: in a line and from a point out, over each copy and over the whole, adjusted and undone", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  const flat = countPixels(await desk.picture(), GREEN);
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await page.getByRole("button", { name: "fill colours: in turn" }).click();
  await page.getByRole("menuitem", { name: "in a line" }).click();
  await desk.type("fill angle", "90");
  await expect.poll(async () => countPixels(await desk.picture(), GREEN)).toBeLessThan(flat / 3);
  await desk.number("fill midpoint").focus();
  await desk.keys("ArrowUp");
  await page.getByRole("button", { name: "fill gradient: over each copy" }).click();
  await page.getByRole("menuitem", { name: "over the whole" }).click();
  expect((await desk.file()).parts[0]).toMatchObject({
    finish: { fill: { kind: "linear", angle: 90, midpoint: 0.55, over: "whole" } },
  });
  await page.getByRole("button", { name: "fill colours: in a line" }).click();
  await page.getByRole("menuitem", { name: "from a point out" }).click();
  await desk.type("fill reach", "0.5");
  await desk.type("count", "5");
  await expect(desk.copies("5")).toBeVisible();
  for (let step = 0; step < 8; step++) await page.keyboard.press("Control+z");
  await expect.poll(async () => countPixels(await desk.picture(), GREEN) / flat).toBeCloseTo(1, 1);
});

test("a part joined with the copies: live, and no longer made by itself", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "40");
  await desk.addPart("disc");
  await desk.type("radius", "9");
  await desk.addRule("ring");
  await desk.type("count", "12");
  await desk.join("merged");
  await page.getByRole("button", { name: "join a part with them …" }).click();
  await page.getByRole("menuitem", { name: "Disc", exact: true }).click();
  await expect(page.getByTitle("No longer joined with Disc")).toBeVisible();
  const { parts } = await desk.file();
  expect(parts[0]).toMatchObject({ role: "tool" });
  expect(parts[1]?.join).toMatchObject({ mode: "merge", with: [parts[0]?.id] });
  await page.getByTitle("No longer joined with Disc").click();
  await expect.poll(async () => (await desk.file()).parts[1]?.join).toEqual({ mode: "merge" });
});
