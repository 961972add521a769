import { execFileSync } from "node:child_process";
import { openWorkshop } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

/** A rosette on a sheet as large as four pages. */
const POSTER = {
  format: "twin-petal/1",
  name: "Lane notice",
  sheet: { width: 297, height: 420 },
  parts: [
    {
      id: "petals",
      motif: { kind: "petal", length: 150, width: 50 },
      rules: [{ kind: "turn", count: 12 }],
      finish: { fill: "#17566B", line: { width: 1, paint: "#C8442B" } },
    },
  ],
};

test("a poster over four pages: paper changed and back, taken away, printed page by page", async ({ page }, info) => {
  const desk = new Maker(page);
  await desk.lay(JSON.stringify(POSTER));
  await openWorkshop(page, "Print");
  const pages = page.locator("#print-view image");
  await expect(pages).toHaveCount(4);
  await expect(desk.check("Fits the paper")).toContainText("4 pages, 2 across and 2 down");

  await desk.choose("paper", "A5 upright");
  await expect(desk.check("Fits the paper")).toContainText("9 pages, 3 across and 3 down");
  await page.getByRole("button", { name: "Undo: paper A5 upright" }).click();
  await expect(desk.check("Fits the paper")).toContainText("4 pages");

  await page.getByRole("button", { name: "Show where: Cut off" }).click();
  await expect(page.locator("#print-view circle").first()).toBeVisible();

  await page.getByRole("button", { name: "Take away" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^\.print\.pdf/ }).click();
  const path = info.outputPath("notice.print.pdf");
  await (await downloading).saveAs(path);
  expect(execFileSync("qpdf", ["--show-npages", path], { encoding: "utf8" }).trim()).toBe("4");

  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.locator("[data-job=done]")).toContainText("4 pages");
  await page.getByRole("slider", { name: "Page" }).press("Home");
  await expect(page.locator("[data-page='2']")).toHaveCSS("opacity", "0.25");
});

test("cards on a page: as many as fit, too many refused by a check and mended", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "20");
  await openWorkshop(page, "Print");
  await desk.type("scale", "0.25");
  await page.getByRole("button", { name: "as many as fit" }).click();
  await expect(desk.number("columns")).toHaveText(/4/);
  await expect(desk.number("rows")).toHaveText(/5/);
  await expect(desk.check("Fits the paper")).toHaveAttribute("data-state", "passed");
  await desk.type("columns", "6");
  await expect(desk.check("Fits the paper")).toHaveAttribute("data-state", "failed");
  await page.getByRole("button", { name: "one on a page" }).click();
  await expect(desk.check("Fits the paper")).toHaveAttribute("data-state", "passed");
  await page.getByRole("link", { name: "Cut" }).click();
  await expect(desk.check("Amount")).toContainText("1 closed cut");
});
