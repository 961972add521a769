import { countPixels, Desk } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

test("the picker shows this ornament with each rule added, the first pictures within half a second", async ({
  page,
}) => {
  const desk = new Desk(page);
  await desk.open("colouring-card-rosette");
  const began = Date.now();
  await page.getByRole("button", { name: "Add a rule" }).click();
  const pictures = page.getByRole("menu").locator("canvas[data-shown=yes]");
  await expect(pictures.first()).toBeVisible();
  // A figure of a shared machine: the speed itself is measured by the benchmark.
  expect(Date.now() - began).toBeLessThan(3_000);
  await expect(pictures).toHaveCount(11);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("menu")).toHaveCount(0);
  await page.keyboard.press("n");
  await expect(page.getByRole("menuitem", { name: "petal" })).toBeVisible();
  await expect(page.getByRole("menu").locator("canvas[data-shown=yes]")).toHaveCount(14);
});

test("neighbours: how many, by which step, picked by pointer and by keys, one step of undo", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("ring");
  await desk.number("radius").focus();
  const list = page.getByRole("list", { name: "Neighbours of radius" });
  await expect(list.getByRole("button")).toHaveCount(7);
  await expect(list.locator("canvas[data-shown=yes]")).toHaveCount(7);
  await page.getByLabel("How many neighbours").selectOption("5");
  await expect(list.getByRole("button")).toHaveText(["40 mm", "45 mm", "50 mm", "55 mm", "60 mm"]);
  await desk.type("step of the neighbours", "2");
  await expect(list.getByRole("button")).toHaveText(["46 mm", "48 mm", "50 mm", "52 mm", "54 mm"]);
  await list.getByRole("button", { name: "50 mm" }).focus();
  await desk.keys("ArrowRight", "Enter");
  await expect(desk.number("radius")).toHaveAttribute("aria-valuenow", "52");
  await desk.number("radius").focus();
  await desk.keys("k");
  await expect(desk.number("radius")).toHaveAttribute("aria-valuenow", "57");
  await page.getByRole("button", { name: /^Undo: radius/ }).click();
  await expect(desk.number("radius")).toHaveAttribute("aria-valuenow", "52");
});

test("a sheet of pictures over two numbers: a chosen one sets both in one step", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("ring");
  await desk.number("radius").focus();
  await page.getByRole("button", { name: "with another" }).click();
  await desk.number("count").focus();
  const sheet = page.getByRole("region", { name: "radius and count" });
  await expect(sheet.getByRole("button", { name: /^radius/ })).toHaveCount(25);
  await expect(sheet.locator("canvas[data-shown=yes]")).toHaveCount(25);
  await sheet.getByRole("button", { name: "radius 60 mm, count 14" }).click();
  await expect(desk.number("radius")).toHaveAttribute("aria-valuenow", "60");
  await expect(desk.copies("14")).toBeVisible();
  await page.getByRole("button", { name: /^Undo: radius 60 mm, count 14/ }).click();
  await expect(desk.copies("12")).toBeVisible();
  await expect(desk.number("radius")).toHaveAttribute("aria-valuenow", "50");
});

test("surprise: thrown within ranges, thrown again, kept or thrown away", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  const before = await desk.number("points").getAttribute("aria-valuenow");
  await page.getByRole("button", { name: "surprise", exact: true }).click();
  await page.getByRole("button", { name: "another", exact: true }).click();
  const points = Number(await desk.number("points").getAttribute("aria-valuenow"));
  expect(points).toBeGreaterThanOrEqual(4);
  expect(points).toBeLessThanOrEqual(24);
  await page.getByRole("button", { name: "throw away" }).click();
  await expect(desk.number("points")).toHaveAttribute("aria-valuenow", before ?? "");
  await page.getByRole("button", { name: "surprise", exact: true }).click();
  await page.getByRole("button", { name: "keep", exact: true }).click();
  await expect(page.getByRole("button", { name: "surprise", exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Undo: surprise/ })).toBeVisible();
});

test("build-up: by copy, by rule, played, with the count of every rule", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.type("length", "20");
  await desk.addRule("turn");
  await desk.addRule("ring");
  await page.getByRole("tab", { name: "Build-up" }).click();
  const words = page.getByTestId("build-up-words");
  await expect(words).toHaveText("copy 96 of 96 · ring 12 of 12 · turn 8 of 8");
  const green = [0x1e, 0x6f, 0x5c] as const;
  const whole = countPixels(await desk.picture(), green);
  await page.getByRole("button", { name: "after the turn" }).click();
  await expect(words).toHaveText("copy 8 of 96 · ring 1 of 12 · turn 8 of 8");
  await expect.poll(async () => countPixels(await desk.picture(), green) / whole).toBeLessThan(0.15);
  await page.getByRole("slider", { name: "Copies built up" }).focus();
  await desk.keys("ArrowRight");
  await expect(words).toHaveText("copy 9 of 96 · ring 2 of 12 · turn 1 of 8");
  await page.getByLabel("copies a second").selectOption("60");
  await page.getByRole("button", { name: "Play the build-up" }).click();
  await expect(words).toHaveText("copy 96 of 96 · ring 12 of 12 · turn 8 of 8");
});

test("gap chart: linked to the ornament both ways, overlaps below zero", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("ellipse");
  await desk.addRule("ring");
  await page.getByRole("tab", { name: "Gaps" }).click();
  const chart = page.getByRole("slider", { name: /^Chart: gap/ });
  await chart.focus();
  await desk.keys("ArrowRight");
  await expect(page.getByTestId("gap-words")).toContainText(/^copy 1: /);
  await expect(page.getByTestId("pointed-copy")).toBeVisible();
  const middle = await desk.middle();
  const place = await desk.at(50, 0);
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.move(place.x, place.y, { steps: 4 });
  await expect(page.getByTestId("gap-words")).toContainText(/^copy 4: /);
  await page.mouse.move(middle.x, middle.y);
  // On a smaller ring each lies over the next.
  await desk.type("radius", "10");
  await expect(page.getByText(/^\d+ overlap another$/)).toBeVisible();
  await chart.focus();
  await desk.keys("ArrowRight");
  await expect(page.getByTestId("gap-words")).toContainText(/^copy \d: .* into copy \d/);
});

test("before, source and lines are held by keys and by buttons, and released", async ({ page }) => {
  const desk = new Maker(page);
  await desk.open("skylight-sunflower");
  const dark = [0x17, 0x20, 0x3a] as const;
  const ground = async () => countPixels(await desk.picture(), dark, 2);
  const painted = await ground();
  await page.keyboard.down("o");
  await expect.poll(ground).toBeGreaterThan(painted * 1.2);
  await page.keyboard.up("o");
  await expect.poll(ground).toBe(painted);
  await desk.type("seeds", "300");
  await expect.poll(ground).not.toBe(painted);
  await page.keyboard.down("b");
  await expect.poll(ground).toBe(painted);
  await page.keyboard.up("b");
  const lines = page.getByRole("button", { name: "Lines", exact: true });
  await lines.focus();
  await page.keyboard.down(" ");
  await expect(lines).toHaveAttribute("aria-pressed", "true");
  await page.keyboard.up(" ");
  await expect(lines).toHaveAttribute("aria-pressed", "false");
});

test("a number in a sentence is named in one action, given a range, and shows what depends on it", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("ring");
  await desk.number("count").focus();
  await page.getByRole("button", { name: "name it" }).click();
  await expect(desk.number("count").first()).toHaveText("count = 12");
  const numbers = page.getByRole("region", { name: "Numbers" });
  await numbers.getByRole("button", { name: "used once" }).click();
  await expect(numbers.getByRole("list", { name: "What depends on count" })).toContainText("Petal: ring’s count");
  await numbers.getByRole("button", { name: "give it a range" }).click();
  await expect(desk.number("most of count")).toHaveAttribute("aria-valuenow", "24");
  await desk.type("radius", "count * 3");
  await expect(numbers.getByRole("list", { name: "What depends on count" })).toContainText("Petal: ring’s radius");
  await page.getByRole("button", { name: /^Undo: radius/ }).click();
  await page.getByRole("button", { name: /^Undo: the range of count/ }).click();
  await page.getByRole("button", { name: "Undo: name the count count" }).click();
  await expect(desk.number("count")).toHaveText("12");
});
