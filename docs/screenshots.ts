import { Desk, openWorkshop } from "../e2e/desk";
import { expect, test } from "../e2e/server";

const picture = (name: string) => ({ path: `docs/screenshots/${name}.png` });

test("the wall", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Plaster fan" })).toBeVisible();
  await page.waitForFunction(() =>
    [...document.images].every(({ complete, naturalWidth }) => complete && naturalWidth > 0),
  );
  await page.screenshot(picture("wall"));
});

test("the desk", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  await page.getByRole("button", { name: "Part Blade" }).click();
  await desk.ready();
  await page.waitForTimeout(800);
  await page.screenshot(picture("desk"));
});

test("the desk in the dark", async ({ page }) => {
  await page.emulateMedia({ colorScheme: "dark" });
  const desk = new Desk(page);
  await desk.open("pool-deck-spiral");
  await page.waitForTimeout(800);
  await page.screenshot(picture("desk-dark"));
});

test("the page of new designs", async ({ page }) => {
  await page.goto("/new");
  await expect(page.getByRole("region", { name: "Begin with" }).locator("canvas[data-shown=yes]")).toHaveCount(14);
  await page.screenshot(picture("new"));
});

test("the shelf beside the sheet", async ({ page }) => {
  const desk = new Desk(page);
  const shelf = page.getByRole("complementary", { name: "Shelf" });
  const put = (what: string) => shelf.getByRole("button", { name: what, exact: true }).click();
  for (const demo of ["plaster-fan", "skylight-sunflower", "towel-leaf-ring", "locker-key-star"]) {
    await desk.open(demo);
    await page.keyboard.press("h");
    for (const what of ["this part", "its rules", "the palette"]) await put(what);
  }
  await expect(shelf.locator("[data-shown=yes]")).toHaveCount(12);
  await expect(page.locator("[data-sonner-toast]")).toHaveCount(0, { timeout: 10_000 });
  await page.screenshot(picture("shelf"));
});

test("nodes of a drawn motif", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("plaster-fan");
  await page.getByRole("button", { name: "Part Fan" }).click();
  await page.keyboard.press("2");
  await expect(page.locator("#node-layer")).toBeFocused();
  await page.keyboard.press(".");
  await page.keyboard.press(".");
  await page.waitForTimeout(800);
  await page.screenshot(picture("nodes"));
});

test("a walk and its replay", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("tile-walk");
  await page.getByRole("button", { name: "watch it walk" }).click();
  await page.getByRole("button", { name: "Pause" }).click();
  await page.getByRole("slider", { name: "Step of the walk" }).fill("61");
  await page.waitForTimeout(800);
  await page.screenshot(picture("walk"));
});

test("lettering", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("swim-night-notice");
  await page.getByRole("button", { name: "Part Title" }).click();
  await page.waitForTimeout(800);
  await page.screenshot(picture("lettering"));
});

test("states compared", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("plaster-fan");
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("button", { name: "Keep this state" }).click();
  await expect(page.getByRole("textbox", { name: "Name of Take 1" })).toBeVisible();
  await page.keyboard.press("Escape");
  await desk.type("turn", "14");
  await desk.saved();
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("link", { name: "Compare them" }).click();
  const pictures = page.getByRole("img", { name: /as it is now|Take 1/ });
  await expect(pictures).toHaveCount(2);
  await expect(page.getByRole("list", { name: "Differences" })).toBeVisible();
  await page.screenshot(picture("compare"));
});

test("the picker", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("colouring-card-rosette");
  await page.getByRole("button", { name: "Part Outer petals" }).click();
  await page.getByRole("button", { name: "Add a rule" }).click();
  await expect(page.getByRole("menu").locator("canvas[data-shown=yes]")).toHaveCount(11);
  await page.waitForTimeout(400);
  await page.screenshot(picture("picker"));
});

test("neighbours over two numbers", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("reed-screen");
  await page.getByRole("button", { name: "Part Threads" }).click();
  await desk.number("spokes").focus();
  await page.getByRole("button", { name: "with another" }).click();
  await desk.number("sag").focus();
  await expect(page.locator("section table canvas[data-shown=yes]")).toHaveCount(25);
  await page.waitForTimeout(1_500);
  await page.screenshot(picture("neighbours"));
});

test("a floor in a plane group", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("foot-bath-floor");
  await page.getByRole("button", { name: "Part Leaves" }).click();
  await page.getByRole("tab", { name: "Build-up" }).click();
  await page.waitForTimeout(1_200);
  await page.screenshot(picture("plane-group"));
});

test("a weave", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("robe-hook-knot");
  await page.getByRole("button", { name: "Part Strands" }).click();
  await page.getByRole("button", { name: "turn crossings over …" }).click();
  await page.getByRole("button", { name: "Crossing 1", exact: true }).click();
  await page.waitForTimeout(800);
  await page.screenshot(picture("weave"));
});

test("finishes", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("swim-night-notice");
  await page.getByRole("button", { name: "Part Funnel" }).click();
  await page.getByRole("region", { name: "Finish" }).scrollIntoViewIfNeeded();
  await page.getByText("that swells").scrollIntoViewIfNeeded();
  await page.waitForTimeout(800);
  await page.screenshot(picture("finish"));
});

test("the solid view", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("lily");
  await page.getByRole("button", { name: "Part Petals" }).click();
  await page.keyboard.press("d");
  await page.waitForSelector("#solid-view[data-state=united]");
  await desk.number("tip raised").focus();
  await page.waitForTimeout(4_000);
  await page.screenshot(picture("solid"));
});

test("the workshop of solids", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("soap-basket");
  await openWorkshop(page, "Solid");
  await page.waitForSelector("[data-laid]");
  await page.getByRole("slider", { name: "Layer" }).fill("180");
  await page.waitForTimeout(1_500);
  await page.screenshot(picture("workshop-solid"));
});

test("the workshop of cuts", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("cut-paper-lantern-sheet");
  await openWorkshop(page, "Cut");
  await page.waitForSelector("[data-check=Amount]");
  await page.getByRole("slider", { name: "Move" }).fill("700");
  await page.waitForTimeout(1_000);
  await page.screenshot(picture("workshop-cut"));
});

test("the workshop of stitches", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("bath-mat-block");
  await openWorkshop(page, "Stitch");
  await page.waitForSelector("#stitch-view canvas[data-behind=no]");
  await page.getByRole("slider", { name: "Stitch" }).fill("12000");
  await page.getByRole("button", { name: "show jumps" }).click();
  await page.waitForTimeout(1_000);
  await page.screenshot(picture("workshop-stitch"));
});

test("the workshop of prints", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("swim-night-notice");
  await openWorkshop(page, "Print");
  await page.waitForSelector("#print-view image");
  await page.waitForTimeout(1_000);
  await page.screenshot(picture("workshop-print"));
});
