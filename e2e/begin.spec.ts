import { readFileSync } from "node:fs";
import { CountedHand } from "./countedHand";
import { Desk } from "./desk";
import { expect, test } from "./server";

test("from the page of new designs to an own rosette with another motif, count and colour, as a file, in eight actions", async ({
  page,
}) => {
  const hand = new CountedHand(page);
  await page.goto("/new");
  await hand.hit("button", "Rosette");
  await hand.ready();
  await expect(page.getByRole("textbox", { name: "Name of the design" })).toHaveValue("Rosette");
  await page.getByRole("button", { name: "Part Petals" }).click({ trial: true });
  await expect(hand.number("count")).toHaveAttribute("aria-valuenow", "12");

  // The count is pulled to the right.
  const count = await hand.number("count").boundingBox();
  if (!count) throw new Error("the count is not shown");
  await hand.pull({ x: count.x + 8, y: count.y + 8 }, 25, 0);
  hand.actions += 1;
  await hand.hit("button", "motif: petal");
  await hand.hit("menuitem", /^leaf/);
  await hand.hit("button", /^fill: /);
  await hand.hit("button", "heart");
  await hand.hit("button", "Take away");
  const downloading = page.waitForEvent("download");
  await hand.hit("menuitem", /^\.svg/);
  const path = await (await downloading).path();
  expect(hand.actions).toBeLessThanOrEqual(8);

  const { parts, numbers } = await hand.file();
  expect(numbers).toMatchObject([{ name: "size" }, { name: "petals", value: expect.not.closeTo(12) }]);
  expect(parts[0]).toMatchObject({ motif: { kind: "leaf", length: "size" }, finish: { fill: "palette:heart" } });
  expect(readFileSync(path, "utf8")).toContain("<svg");
});

test("all that a design can begin with is seen on the sheet that was chosen, and begins on it", async ({ page }) => {
  await page.goto("/new");
  const begin = page.getByRole("region", { name: "Begin with" });
  const pictures = begin.locator("canvas[data-shown=yes]");
  await expect(pictures).toHaveCount(14);
  const shape = () => pictures.nth(1).evaluate((canvas: HTMLCanvasElement) => canvas.width / canvas.height);
  expect(await shape()).toBeCloseTo(1, 2);
  await page.getByRole("button", { name: "size of the sheet: square" }).click();
  await page.getByRole("menuitem", { name: /^A3/ }).click();
  await page.getByRole("button", { name: "lay it down" }).click();
  await expect.poll(shape).toBeCloseTo(420 / 297, 2);
  // What is typed with a unit of its own is understood; what is none is told.
  const desk = new Desk(page);
  await desk.type("sheet height", "29 furlongs");
  await expect(page.getByRole("alert")).toContainText("must be a length");
  await page.keyboard.press("Escape");
  await desk.type("sheet height", "30 cm");
  await expect.poll(shape).toBeCloseTo(420 / 300, 2);
  await begin.getByRole("button", { name: "Sunflower" }).click();
  await desk.ready();
  await expect(desk.number("sheet width")).toHaveAttribute("aria-valuenow", "420");
  await expect(desk.number("sheet height")).toHaveAttribute("aria-valuenow", "300");
});
