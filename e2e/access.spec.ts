import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { Desk, openWorkshop } from "./desk";
import { expect, test } from "./server";

const SCHEMES = ["light", "dark"] as const;

/** What axe finds by level AA; in the dark only the colours are others. */
async function findings(page: Page, scheme: (typeof SCHEMES)[number]) {
  // The page has no frames, so nothing is lost by the older, quicker way of asking.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ["violations"] });
  const looking =
    scheme === "light"
      ? axe.withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
      : axe.withRules(["color-contrast", "link-in-text-block"]);
  const { violations } = await looking.analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(" | ")}`);
}

/** Nothing is found in the light, nor in the dark; where only little differs from a screen that was looked at, in the light alone. */
async function expectClean(page: Page, schemes: readonly (typeof SCHEMES)[number][] = SCHEMES): Promise<void> {
  for (const colorScheme of schemes) {
    await page.emulateMedia({ colorScheme, reducedMotion: "reduce" });
    // What fades in or out is half clear on its way, as nobody reads it: it is looked at once it stands.
    await expect.poll(() => findings(page, colorScheme)).toEqual([]);
  }
}

test("axe finds nothing on the wall and the desk, light and dark", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Plaster fan" })).toBeVisible();
  await expectClean(page);
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  await expect(page.getByRole("region", { name: "Motif close-up" })).toBeVisible();
  await expectClean(page);
  await page.keyboard.press("Shift+?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await expectClean(page);
  await page.keyboard.press("Escape");
  await desk.openEmpty();
  await expectClean(page);
});

test("axe finds nothing while a motif is made, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("plaster-fan");
  await page.getByRole("button", { name: "Part Fan" }).click();
  await page.keyboard.press("2");
  await expect(page.locator("#node-layer")).toBeFocused();
  await page.keyboard.press(".");
  await expectClean(page);
  await page.keyboard.press("x");
  await page.keyboard.press("3");
  await expect(page.locator("[data-surface=close-up] #draw-layer")).toBeVisible();
  await expectClean(page, ["light"]);
  await desk.open("tile-walk");
  await page.getByRole("button", { name: "watch it walk" }).click();
  await page.getByRole("button", { name: "Pause" }).click();
  await expectClean(page, ["light"]);
  await desk.open("kelp-drawing");
  await page.keyboard.press("4");
  await expectClean(page, ["light"]);
  await desk.open("swim-night-notice");
  await page.getByRole("button", { name: "Part Title" }).click();
  await page.getByRole("button", { name: /^Letter 2/ }).click();
  await expectClean(page, ["light"]);
  await desk.open("colouring-card-rosette");
  await page.getByRole("button", { name: "Part Scalloped heart" }).click();
  await page.getByRole("button", { name: "cut a shape out …" }).click();
  await expectClean(page, ["light"]);
});

test("from the wall to a coloured rosette and its file by the keyboard alone", async ({ page }) => {
  const desk = new Desk(page);
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key);
  };
  /** Goes on by Tab until something of that name has the focus. */
  const tabTo = async (name: RegExp) => {
    for (let times = 0; times < 160; times++) {
      const focused = page.locator(":focus");
      if ((await focused.count()) > 0 && name.test((await nameOf(focused)) ?? "")) return;
      await page.keyboard.press("Tab");
    }
    throw new Error(`nothing called ${name} is reached by Tab`);
  };
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Plaster fan" })).toBeVisible();
  await tabTo(/^New design$/);
  await press("Enter");
  await expect(page.getByRole("heading", { name: "New design" })).toBeVisible();
  await tabTo(/^Empty sheet$/);
  await press("Enter");
  await expect(page.getByText("What is to be repeated?")).toBeVisible();
  await tabTo(/^petal$/);
  await press("Enter", "u");
  await page.keyboard.press("Enter");
  await expect(desk.number("count")).toBeVisible();
  await tabTo(/^count$/);
  await press("1", "6", "Enter");
  await expect(desk.copies("16")).toBeVisible();
  await tabTo(/^Add a fill colour/);
  await press("Enter");
  await press("Shift+?");
  await press("Escape");
  await tabTo(/^Reorder rule 1/);
  await press("n");
  await expect(page.getByRole("menuitem", { name: "petal" })).toBeFocused();
  for (const next of ["leaf", "drop", "ellipse", "disc"]) {
    await press("ArrowDown");
    await expect(page.getByRole("menuitem", { name: next })).toBeFocused();
  }
  await press("Enter");
  await expect(page.getByRole("button", { name: "Part Disc" })).toHaveAttribute("aria-pressed", "true");
  await press("PageDown");
  await expect(page.getByRole("button", { name: "Part Petal" })).toHaveAttribute("aria-pressed", "true");
  await tabTo(/^Take away$/);
  await press("Enter");
  const downloading = page.waitForEvent("download");
  await press("Enter");
  expect((await downloading).suggestedFilename()).toBe("Untitled.svg");
});

async function nameOf(focused: ReturnType<Page["locator"]>): Promise<string | null> {
  return (await focused.getAttribute("aria-label")) ?? (await focused.textContent())?.trim() ?? null;
}

test("axe finds nothing on the solid view and in the workshop of solids, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("steam-vent");
  await page.keyboard.press("d");
  await page.waitForSelector("#solid-view[data-state=united]");
  await page.getByRole("button", { name: "Cut it open" }).click();
  await expectClean(page);
  await openWorkshop(page, "Solid");
  await expect(page.locator("[data-check=Walls]")).toBeVisible();
  await expectClean(page);
});

test("axe finds nothing in the workshop of cuts, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("cut-paper-lantern-sheet");
  await openWorkshop(page, "Cut");
  await page.waitForSelector("[data-check=Amount]");
  await page.getByRole("slider", { name: "Move" }).fill("40");
  await expectClean(page);
});

test("axe finds nothing in the workshop of prints, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("colouring-card-rosette");
  await openWorkshop(page, "Print");
  await page.waitForSelector("[data-check='Fits the paper']");
  await expectClean(page);
});

test("axe finds nothing in the workshop of stitches, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("robe-badge");
  await openWorkshop(page, "Stitch");
  await page.waitForSelector("#stitch-view canvas[data-behind=no]");
  await page.getByRole("slider", { name: "Stitch" }).fill("400");
  await expectClean(page);
});

test("axe finds nothing on takes, several parts, measures and what is compared, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("colouring-card-rosette");
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+a");
  await expectClean(page);
  await page.keyboard.press("5");
  await expect(page.locator("#measure-layer")).toBeFocused();
  await page.keyboard.press("Space");
  await page.keyboard.press("Shift+ArrowRight");
  await page.keyboard.press("Space");
  await expectClean(page);
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("button", { name: "Keep this state" }).click();
  await expect(page.getByRole("textbox", { name: "Name of Take 1" })).toBeVisible();
  await expectClean(page);
  await page.getByRole("link", { name: "Compare them" }).click();
  await expect(page.getByRole("img", { name: "as it is now" })).toBeVisible();
  await expectClean(page);
});

test("axe finds nothing on the shelf, groups, films and the page of new designs, light and dark", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("colouring-card-rosette");
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+a");
  await page.keyboard.press("g");
  await page.keyboard.press("h");
  const shelf = page.getByRole("complementary", { name: "Shelf" });
  for (const what of ["this part", "its rules", "the palette"]) {
    const put = shelf.getByRole("button", { name: what, exact: true });
    if ((await put.count()) > 0) await put.click();
  }
  await expect(shelf.getByRole("button", { name: /off the shelf$/ }).first()).toBeVisible();
  await expectClean(page);
  await page.getByRole("tab", { name: "Build-up" }).click();
  await page.getByRole("button", { name: "as a film" }).click();
  await expectClean(page);
  await page.keyboard.press("Escape");
  await shelf
    .getByRole("region", { name: "Palettes" })
    .getByRole("button", { name: /^Take (?!.*off)/ })
    .click();
  await expect(page.getByRole("dialog")).toBeVisible();
  await expectClean(page);
  await page.goto("/shelf");
  await expect(page.getByRole("button", { name: /^Begin a design with/ }).first()).toBeVisible();
  await expectClean(page);
  await page.goto("/new");
  await expect(page.getByRole("region", { name: "From the shelf" })).toBeVisible();
  await expectClean(page);
});
