import { readFileSync } from "node:fs";
import { openWorkshop } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

test("a plate from an empty sheet: an island bridged, a frame mended, cut by the device and watched", async ({
  page,
}, info) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "60");
  await desk.addPart("disc");
  await desk.type("radius", "30");
  await desk.addPart("disc");
  await desk.type("radius", "10");
  await openWorkshop(page, "Cut");
  const view = page.locator("#cut-view canvas");
  await expect(desk.check("Amount")).toContainText("3 closed cuts");

  // What lies loose in a hole would fall out; the button holds it.
  await expect(desk.check("Islands")).toHaveAttribute("data-state", "failed");
  await page.getByRole("button", { name: "Show where: Islands" }).click();
  await expect(page.getByRole("button", { name: "show the frame whole" })).toBeVisible();
  await page.getByRole("button", { name: "show the frame whole" }).click();
  await page.getByRole("button", { name: "bridge them" }).click();
  await expect(desk.check("Islands")).toHaveAttribute("data-state", "passed");
  await expect(page.getByText("and 2 by hand")).toHaveCount(2);

  // One more bridge where the plate's edge is clicked.
  await page.getByRole("button", { name: "set bridges by hand …" }).click();
  const box = await view.boundingBox();
  if (!box) throw new Error("the frame is not shown");
  const scale = Math.min((box.width - 60) / 600, (box.height - 60) / 400);
  await page.mouse.click(box.x + box.width / 2 + 60.1 * scale, box.y + box.height / 2);
  await expect(page.getByText("and 1 by hand")).toBeVisible();
  await page.getByRole("button", { name: "done with bridges" }).click();

  // A frame that is too small fails, and is mended.
  await desk.type("frame width", "100");
  await expect(desk.check("Fits the frame")).toHaveAttribute("data-state", "failed");
  await expect(desk.check("Fits the frame")).toContainText("leaves the frame by 10.1 mm");
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.getByRole("alert")).toContainText("leaves the frame");
  await page.getByRole("button", { name: "make the frame larger" }).click();
  await expect(desk.check("Fits the frame")).toHaveAttribute("data-state", "passed");

  // The file is a program, and the device does what it says.
  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.gcode/ }).click();
  const path = info.outputPath("plate.gcode");
  await (await downloading).saveAs(path);
  expect(readFileSync(path, "utf8")).toMatch(/G21 G90[\s\S]*G[23] X[\s\S]*M2/);
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.locator("[data-job=done]")).toContainText("came free");

  // Step by step by keys, and played to the end.
  const slider = page.getByRole("slider", { name: "Move" });
  await slider.fill("3");
  await slider.press("ArrowRight");
  await expect(page.getByText(/^move 5, line \d+; head at [\d.]+, [\d.]+ mm$/)).toBeVisible();
  await page.getByRole("button", { name: "Run the head" }).click();
  await expect(page.getByRole("button", { name: "Run the head" })).toBeVisible();

  // A job can be stopped in the middle, and run again.
  await page.getByRole("combobox", { name: "How fast it runs" }).selectOption("as fast as it is");
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.locator("[data-job=running]")).toBeVisible();
  await page.getByRole("button", { name: "Pause", exact: true }).last().click();
  await expect(page.locator("[data-job=paused]")).toBeVisible();
  await page.getByRole("region", { name: "Device" }).getByRole("button", { name: "Stop" }).click();
  await expect(page.locator("[data-job=stopped]")).toBeVisible();
  await page.getByRole("button", { name: "Run it again" }).click();
  await expect(page.locator("[data-job=running]")).toBeVisible();
  await page.getByRole("region", { name: "Device" }).getByRole("button", { name: "Stop" }).click();

  await page.getByRole("link", { name: "Desk" }).click();
  await desk.ready();
});

test("parts are scored, engraved or left alone, and the lines say so", async ({ page }) => {
  const desk = new Maker(page);
  await desk.open("steam-vent");
  await openWorkshop(page, "Cut");
  await expect(desk.check("Amount")).toContainText("26 closed cuts");
  await desk.choose("Plate is", "engraved");
  await expect(desk.check("Amount")).toContainText("0 closed cuts");
  await desk.type("Plate rows", "2");
  await expect(page.locator("#cut-view canvas")).toHaveAttribute("data-painted", "yes");
  await desk.choose("Plate is", "left alone");
  await expect(page.getByRole("region", { name: "Checks" })).toContainText(
    "There is nothing to check: no part that is shown is cut.",
  );
  await page.getByRole("button", { name: /^Undo/ }).click();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(desk.check("Amount")).toContainText("26 closed cuts");
});
