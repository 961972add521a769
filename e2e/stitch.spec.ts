import { readFileSync } from "node:fs";
import { openWorkshop } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

test("a towel's leaf ring from an empty sheet: shown in thread, one run without a jump, watched, sent and taken away", async ({
  page,
}, info) => {
  const desk = new Maker(page);
  await desk.begin("leaf");
  await desk.type("length", "42");
  await desk.type("width", "15");
  await desk.addRule("turn");
  await desk.type("count", "9");

  // In thread on the desk: rows turned by typing and by the wheel, with neighbours that are stitched, too.
  const stitches = page.getByRole("region", { name: "Stitches" });
  await page.getByRole("button", { name: "sew it otherwise …" }).click();
  await expect(page.getByRole("button", { name: "Thread", exact: true, pressed: true })).toBeVisible();
  await page.keyboard.press("w");
  await expect(page.getByRole("button", { name: "Sheet", exact: true, pressed: true })).toBeVisible();
  await page.keyboard.press("w");
  await desk.type("direction of rows", "60");
  await desk.number("row spacing").hover();
  await page.mouse.wheel(0, -100);
  await expect(desk.number("row spacing")).not.toHaveAttribute("aria-valuenow", "0.4");
  await desk.type("row spacing", "0.55");
  await desk.number("row spacing").focus();
  await expect(page.getByRole("list", { name: "Neighbours of row spacing" })).toBeVisible();
  await stitches.getByRole("button", { name: "sew the outline" }).click();
  await desk.type("times over", "2");
  await desk.ready();

  await openWorkshop(page, "Stitch");
  await expect(desk.check("Jumps")).toContainText("none: each thread is one run");
  await expect(desk.check("Fits the hoop")).toHaveAttribute("data-state", "passed");
  await expect(page.getByRole("region", { name: "Threads" }).getByRole("listitem")).toHaveText([
    /^#[0-9A-F]{6}[\d.]+ m$/,
  ]);
  await expect(page.locator("#stitch-view canvas")).toHaveAttribute("data-behind", "no");

  // Watched: by steps, by the time line, and played.
  const slider = page.getByRole("slider", { name: "Stitch" });
  await slider.fill("100");
  await slider.press("ArrowRight");
  await expect(page.getByText(/^stitch 102; needle at -?[\d.]+, -?[\d.]+ mm$/)).toBeVisible();
  await page.getByRole("button", { name: "show jumps" }).click();
  await page.getByRole("combobox", { name: "a minute" }).selectOption("60000");
  await page.getByRole("button", { name: "Sew", exact: true }).click();
  await expect(page.getByRole("button", { name: "Sew", exact: true })).toBeVisible();

  // The device sews what the file says.
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.locator("[data-job=done]")).toContainText("0 trims, 0 changes of thread");
  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.stitch\.json/ }).click();
  const path = info.outputPath("ring.stitch.json");
  await (await downloading).saveAs(path);
  const file: unknown = JSON.parse(readFileSync(path, "utf8"));
  expect(file).toMatchObject({ format: "twin-petal-stitches/1", told: { jumps: 0, trims: 0, changes: 0 } });
});

test("a bath mat's block from an empty sheet: open rows, satin edge, a second ring; made to fit, thinned out, in another order", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("star");
  await desk.type("points", "10");
  await desk.type("outer radius", "42");
  await desk.type("inner radius", "34");
  await desk.type("corner", "3");
  await page.getByRole("button", { name: "cut a shape out …" }).click();
  await page.getByRole("menuitem", { name: "disc", exact: true }).click();
  const stitches = page.getByRole("region", { name: "Stitches" });
  await page.getByRole("button", { name: "sew it otherwise …" }).click();
  await desk.type("row spacing", "0.9");
  await stitches.getByRole("button", { name: "sew the outline" }).click();
  await desk.choose("outline is", "a band of satin");
  await desk.type("satin width", "2.2");
  await desk.choose("underlay", "thread runs along the edge");
  await desk.addPart("disc");
  await desk.type("radius", "9");
  await page.getByRole("button", { name: "sew it otherwise …" }).click();
  await stitches.getByRole("button", { name: "no rows" }).click();
  await stitches.getByRole("button", { name: "sew the outline" }).click();
  await desk.choose("outline is", "a band of satin");
  await stitches.getByRole("button", { name: "another thread …" }).click();

  await openWorkshop(page, "Stitch");
  await expect(desk.check("Changes of thread")).toContainText("1 change, as few as can be");

  // A hoop too small: told, refused by the device, and made to fit.
  await desk.type("hoop width", "60");
  await expect(desk.check("Fits the hoop")).toHaveAttribute("data-state", "failed");
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.getByRole("alert")).toContainText("beyond the hoop of 60 × 180 mm");
  await page.getByRole("button", { name: "make it fit the hoop" }).click();
  await expect(desk.check("Fits the hoop")).toHaveAttribute("data-state", "passed");

  // Too dense: shown where, and mended there.
  await desk.type("Star row spacing", "0.1");
  await expect(desk.check("Density")).toHaveAttribute("data-state", "doubtful");
  await page.getByRole("button", { name: "Show where: Density" }).click();
  await page.getByRole("button", { name: "show density" }).click();
  const spacing = desk.number("Star row spacing");
  for (let round = 0; round < 4; round++) {
    if ((await desk.check("Density").getAttribute("data-state")) === "passed") break;
    const before = await spacing.getAttribute("aria-valuenow");
    await page.getByRole("button", { name: "thin it out" }).click();
    await expect(spacing).not.toHaveAttribute("aria-valuenow", String(before));
    await expect(page.getByText("Waiting until every stitch is planned …")).toBeHidden();
  }
  await expect(desk.check("Density")).toHaveAttribute("data-state", "passed");

  // The ring sewn first, by keys; the order can be let go of again.
  const order = page.getByRole("list", { name: "Order of parts" });
  const ring = order.getByRole("button", { name: /^Disc/ });
  await expect(order.getByRole("button").last()).toHaveAccessibleName(/^Disc/);
  await ring.focus();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(order.getByRole("button").first()).toHaveAccessibleName(/^Disc/);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(order.getByRole("button").last()).toHaveAccessibleName(/^Disc/);
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.locator("[data-job=done]")).toContainText("1 change of thread");
});
