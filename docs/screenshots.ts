import { Desk } from "../e2e/desk";
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

test("an empty desk", async ({ page }) => {
  const desk = new Desk(page);
  await desk.beginEmpty();
  await page.waitForTimeout(400);
  await page.screenshot(picture("desk-empty"));
});
