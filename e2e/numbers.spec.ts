import { countPixels, Desk } from "./desk";
import { expect, test } from "./server";

test("a number is pulled sideways, finer further up or down, and one pull is one step of undo", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.ready();
  const length = desk.number("widest");
  const box = await length.boundingBox();
  if (!box) throw new Error("no number");
  const start = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await desk.pull(start, 20, 0);
  await expect(length).toHaveAttribute("aria-valuenow", "0.7");
  await page.getByRole("button", { name: /^Undo: widest/ }).click();
  await expect(length).toHaveAttribute("aria-valuenow", "0.5");
  await expect(page.getByRole("button", { name: "Undo: add a petal" })).toBeVisible();
  await page.getByRole("button", { name: /^Redo: widest/ }).click();
  await expect(length).toHaveAttribute("aria-valuenow", "0.7");
});

test("a number that is one named number pulls that number, within its range", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  await page.getByRole("button", { name: "Part Blade" }).click();
  const count = desk.number("count");
  await count.focus();
  await page.keyboard.press("ArrowUp");
  await expect(count).toHaveAttribute("aria-valuenow", "9");
  await expect(desk.number("points")).toHaveAttribute("aria-valuenow", "9");
  await expect(desk.copies("18")).toBeVisible();
  await page.keyboard.press("Shift+ArrowUp");
  await page.keyboard.press("Shift+ArrowUp");
  await expect(count).toHaveAttribute("aria-valuenow", "24");
  await page.getByRole("button", { name: /^Undo: points/ }).click();
  await expect(count).toHaveAttribute("aria-valuenow", "8");
});

test("wheel, arrow keys, typing, formulas and the default", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  const length = desk.number("length");
  await length.hover();
  await page.mouse.wheel(0, -100);
  await expect(length).toHaveAttribute("aria-valuenow", "41");
  await page.keyboard.down("Shift");
  await page.mouse.wheel(0, -100);
  await page.keyboard.up("Shift");
  await expect(length).toHaveAttribute("aria-valuenow", "51");
  await length.focus();
  await page.keyboard.press("Alt+ArrowDown");
  await expect(length).toHaveAttribute("aria-valuenow", "50.9");
  await desk.type("length", "1 in");
  await expect(length).toHaveAttribute("aria-valuenow", "25.4");
  await desk.type("length", "6 * 7");
  await expect(length).toHaveText("6 * 7 = 42 mm");
  await length.focus();
  await page.keyboard.press("Delete");
  await expect(length).toHaveAttribute("aria-valuenow", "40");
  await desk.type("width", "20");
  await desk.number("width").dblclick();
  await expect(desk.number("width")).toHaveAttribute("aria-valuenow", "16");
});

test("a wrong formula is told in words under the sentence, the text stays, and nothing else changes", async ({
  page,
}) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "disc" }).click();
  await desk.number("radius").click();
  const typing = page.getByRole("textbox", { name: "radius" });
  await typing.fill("petalz * 2");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("there is no number called “petalz”");
  await expect(typing).toHaveValue("petalz * 2");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect(desk.number("radius")).toHaveAttribute("aria-valuenow", "20");
  await desk.type("radius", "-4");
  await expect(page.getByRole("alert")).toContainText("must be a number from 0.001 to 10000");
});

test("named numbers are made, renamed in formulas, and removed without breaking them", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "disc" }).click();
  await page.getByRole("button", { name: "Name a number" }).click();
  await desk.type("size", "12");
  await desk.type("radius", "size * 2");
  await expect(page.getByText("used once")).toBeVisible();
  const name = page.getByRole("textbox", { name: "Name of the number size" });
  await name.fill("sin");
  await name.press("Enter");
  await expect(page.getByRole("alert")).toContainText("already means something");
  await name.fill("rim");
  await name.press("Enter");
  await expect(desk.number("radius")).toHaveText("rim * 2 = 24 mm");
  await page.getByRole("button", { name: "Remove the number rim" }).click();
  await expect(desk.number("radius")).toHaveText("12 * 2 = 24 mm");
});

test("a named number that breaks a part keeps its last good picture, says so, and keeps the change", async ({
  page,
}) => {
  const desk = new Desk(page);
  await desk.open("pool-deck-spiral");
  const brine = [0x17, 0x56, 0x6b] as const;
  const before = countPixels(await desk.picture(), brine);
  expect(before).toBeGreaterThan(5_000);
  await desk.type("shrink", "1 / (turning - 13)");
  await expect(page.getByRole("alert").first()).toContainText("not finite");
  await page.keyboard.press("Escape");
  await desk.type("shrink", "0.93 / (14 - turning)");
  await desk.type("turning", "14");
  await expect(page.getByText("The last good picture is kept")).toBeVisible();
  await expect(page.getByText("Not saved, kept here")).toBeVisible();
  expect(Math.abs(countPixels(await desk.picture(), brine) - before)).toBeLessThan(before * 0.02);
  await page.reload();
  await desk.ready();
  await expect(desk.number("turning")).toHaveAttribute("aria-valuenow", "14");
  await page.getByRole("button", { name: /^Undo: turning/ }).click();
  await desk.saved();
});

test("the angle follows the count until it is set by hand; then what is missing is said, and closed by one action", async ({
  page,
}) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.addRule("turn");
  await desk.type("count", "14");
  await expect(desk.number("angle")).toHaveText(/^25\.7143°$/);
  await desk.type("angle", "25");
  await expect(page.getByText("14 × 25° = 350°,")).toContainText("10° short of a full circle");
  await page.getByRole("button", { name: "close it" }).click();
  await expect(desk.number("angle")).toHaveText(/^25\.7143°$/);
});

test("copies that coincide are reported", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "disc" }).click();
  await desk.addRule("turn");
  await expect(page.getByText("7 copies stand exactly where another does already.")).toBeVisible();
});
