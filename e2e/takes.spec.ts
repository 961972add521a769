import { Maker } from "./making";
import { expect, test } from "./server";

test("takes: kept by one action, renamed, gone back to in one step, opened, deleted and brought back", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.open("plaster-fan");
  const panel = page.getByRole("dialog", { name: "Takes" });
  const keep = async () => {
    await page.getByRole("button", { name: "Takes" }).click();
    await panel.getByRole("button", { name: "Keep this state" }).click();
  };
  await keep();
  await expect(panel.getByRole("textbox", { name: "Name of Take 1" })).toBeVisible();
  await panel.getByRole("textbox", { name: "Name of Take 1" }).fill("As it came");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Escape");
  const before = await desk.number("turn").getAttribute("aria-valuenow");

  // What has only just been typed is kept: it is saved first.
  await desk.type("turn", "9");
  await keep();
  const kept = panel.getByRole("list", { name: "Kept" }).getByRole("listitem");
  await expect(kept).toHaveCount(2);
  // Its picture comes.
  await expect
    .poll(() =>
      kept
        .first()
        .getByRole("img")
        .evaluate((image: HTMLImageElement) => image.naturalWidth),
    )
    .toBeGreaterThan(100);
  await panel.getByRole("button", { name: "Go back to As it came" }).click();
  await expect(desk.number("turn")).toHaveAttribute("aria-valuenow", before ?? "");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Undo: go back to “As it came”/ }).click();
  await expect(desk.number("turn")).toHaveAttribute("aria-valuenow", "9");

  // By the key; a take is deleted and brought back.
  await page.locator("#sheet").focus();
  await page.keyboard.press("t");
  await panel.getByRole("button", { name: "Delete As it came" }).click();
  await expect(kept).toHaveCount(1);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(kept).toHaveCount(2);
  await panel.getByRole("button", { name: "Open As it came as a design of its own" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the design" })).toHaveValue("Plaster fan, As it came");
  await desk.ready();
  await expect(desk.number("turn")).toHaveAttribute("aria-valuenow", before ?? "");
});

test("an earlier save is kept as a take; a state that is kept already is told", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.saved();
  await desk.type("length", "52");
  await desk.saved();
  await desk.type("length", "60");
  await desk.saved();
  await page.getByRole("button", { name: "Takes" }).click();
  const panel = page.getByRole("dialog", { name: "Takes" });
  const earlier = panel.getByRole("list", { name: "Earlier saves" }).getByRole("listitem");
  await earlier.first().getByRole("button", { name: "keep it" }).click();
  await expect(panel.getByRole("textbox", { name: "Name of Take 1" })).toBeVisible();
  await panel.getByRole("button", { name: "Go back to Take 1" }).click();
  await expect(desk.number("length")).toHaveAttribute("aria-valuenow", "52");
  await panel.getByRole("button", { name: "Keep this state" }).click();
  await expect(panel.getByRole("textbox", { name: "Name of Take 2" })).toBeVisible();
  await panel.getByRole("button", { name: "Keep this state" }).click();
  await expect(page.getByText("This state is kept already, as “Take 2”.")).toBeVisible();
});

test("a take kept before the list of takes has come is in it", async ({ page }) => {
  const desk = new Maker(page);
  await desk.open("plaster-fan");
  let release: () => void = () => undefined;
  const kept = new Promise<void>((resolve) => (release = resolve));
  let isFirst = true;
  // The list that is read as the panel opens is answered before the take is kept, and comes after.
  await page.route(/\/takes$/, async (route) => {
    if (route.request().method() === "POST") {
      const answer = await route.fetch();
      release();
      await route.fulfill({ response: answer });
    } else if (isFirst) {
      isFirst = false;
      const early = await route.fetch();
      await kept;
      await route.fulfill({ response: early }).catch(() => undefined);
    } else await route.continue();
  });
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("button", { name: "Keep this state" }).click();
  await expect(page.getByRole("textbox", { name: "Name of Take 1" })).toBeVisible();
});
