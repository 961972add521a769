import { Maker } from "./making";
import { expect, test } from "./server";

test("a spiral: its form is chosen in the sentence, its pitch pulled by its drop, its sizes told", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "3");
  await desk.addRule("spiral");
  await expect(desk.copies("60")).toBeVisible();
  await page.getByRole("button", { name: /^pitch of the spiral/ }).focus();
  await desk.keys("Shift+ArrowUp");
  await expect.poll(async () => Number(await desk.number("pitch").getAttribute("aria-valuenow"))).toBeGreaterThan(8.5);
  await page.getByRole("button", { name: "how large …" }).click();
  await page.getByRole("button", { name: "size: of one size" }).click();
  await page.getByRole("menuitem", { name: "sized from first to last" }).click();
  await desk.type("size to", "2");
  await page.getByRole("button", { name: "form: evenly" }).click();
  await page.getByRole("menuitem", { name: "as a sunflower’s seeds" }).click();
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
  await page.getByRole("button", { name: "lattice: square" }).click();
  await page.getByRole("menuitem", { name: "hexagonal" }).click();
  await desk.type("columns", "3");
  await page.getByRole("button", { name: /^pitch of the grid/ }).focus();
  await desk.keys("Shift+ArrowRight");
  await expect(desk.number("pitch")).toHaveAttribute("aria-valuenow", "40");
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
});

test("a border: its frieze group and its length", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("leaf");
  await desk.addRule("border");
  await page.getByRole("button", { name: /^group: p1,/ }).click();
  await page.getByRole("menuitem", { name: /^p2mg/ }).click();
  await expect(desk.copies("32")).toBeVisible();
  await page.getByRole("button", { name: "to a length …" }).click();
  await desk.type("border length", "100");
  expect((await desk.file()).parts[0]).toMatchObject({ rules: [{ kind: "border", group: "p2mg", length: 100 }] });
});
