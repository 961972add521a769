import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { PNG } from "pngjs";
import { differenceOf } from "../core/test/pictureDifference";
import { Desk } from "./desk";
import { expect, test } from "./server";

test("from an empty sheet to a saved, exported rosette of 16 petals in two colours, in under a minute", async ({
  page,
}, info) => {
  const desk = new Desk(page);
  const began = Date.now();
  await desk.beginEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.addRule("turn");
  await desk.type("count", "16");
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await expect(desk.copies("16")).toBeVisible();
  await page.getByRole("textbox", { name: "Name of the design" }).fill("Tide rosette");
  await desk.saved();
  const address = page.url();

  await page.reload();
  await desk.ready();
  await expect(desk.copies("16")).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Name of the design" })).toHaveValue("Tide rosette");
  await expect(page.getByRole("button", { name: /^fill [12]:/ })).toHaveCount(2);
  expect(page.url()).toBe(address);

  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.svg/ }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe("Tide rosette.svg");
  expect(Date.now() - began).toBeLessThan(60_000);

  const svg = info.outputPath("rosette.svg");
  await download.saveAs(svg);
  expect(readFileSync(svg, "utf8").match(/<use /g)).toHaveLength(16);

  // The sheet as the desk shows it, and as another viewer draws the file, at the same size.
  const picture = await desk.picture();
  const side = sheetSide(picture);
  const drawn = PNG.sync.read(execFileSync("rsvg-convert", ["-w", String(side), "-h", String(side), svg]));
  expect(differenceOf(cropMiddle(picture, side), drawn)).toBeLessThan(0.01);

  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Tide rosette" })).toBeVisible();
  await expect(page.getByText("200 × 200 mm · 16-fold · 16 copies")).toBeVisible();
});

test("the exported SVG opens again as its design, by the wall's file chooser", async ({ page }, info) => {
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.svg/ }).click();
  const svg = info.outputPath("star.svg");
  await (await downloading).saveAs(svg);
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Locker-key star" }).first()).toBeVisible();
  const before = await page.getByRole("heading", { name: "Locker-key star" }).count();
  await page.getByLabel("Files to open").setInputFiles(svg);
  await expect(page.getByText("One design was added")).toBeVisible();
  await expect(page.getByRole("heading", { name: "Locker-key star" })).toHaveCount(before + 1);
});

test("a PNG is made at its full size", async ({ page }, info) => {
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.png/ }).click();
  const file = info.outputPath("star.png");
  await (await downloading).saveAs(file);
  const png = PNG.sync.read(readFileSync(file));
  expect([png.width, png.height]).toEqual([1417, 1417]);
});

/** The sheet is shown whole, 36 pixels from the nearer edges, in the middle of the picture. */
function sheetSide(picture: PNG): number {
  return Math.min(picture.width, picture.height) - 72;
}

function cropMiddle(picture: PNG, side: number): PNG {
  const cropped = new PNG({ width: side, height: side });
  const left = Math.round((picture.width - side) / 2);
  const top = Math.round((picture.height - side) / 2);
  PNG.bitblt(picture, cropped, left, top, side, side, 0, 0);
  return cropped;
}
