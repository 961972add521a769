import { Maker } from "./making";
import { expect, test } from "./server";

test("three takes of the plaster fan compared, one difference taken over, undone", async ({ page }) => {
  const desk = new Maker(page);
  await desk.open("plaster-fan");
  const keep = async (name: string) => {
    await page.getByRole("button", { name: "Takes" }).click();
    await page.getByRole("button", { name: "Keep this state" }).click();
    await expect(page.getByRole("textbox", { name: `Name of ${name}` })).toBeVisible();
    await page.keyboard.press("Escape");
  };
  await keep("Take 1");
  await desk.type("turn", "9");
  await keep("Take 2");
  await desk.type("count", "8");
  await keep("Take 3");
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("link", { name: "Compare them" }).click();

  // As it is now beside the latest take, which is the same.
  await expect(page.getByText("“Take 3” is the same as it is now.")).toBeVisible();
  await page.getByRole("button", { name: "state: “Take 3”" }).click();
  await page.getByRole("menuitem", { name: "“Take 1”" }).click();
  await page.getByRole("button", { name: "Another state" }).click();
  const panes = page.getByRole("img", { name: /as it is now|Take/ });
  await expect(panes).toHaveCount(3);
  const drawn = (index: number) => panes.nth(index).evaluate((image: HTMLImageElement) => image.naturalWidth);
  await expect.poll(() => drawn(0)).toBeGreaterThan(100);

  // They are enlarged together.
  await page.getByRole("group", { name: /^as it is now/ }).focus();
  await page.keyboard.press("+");
  const scales = () =>
    panes.evaluateAll((images) =>
      images.map((image) => image.parentElement && getComputedStyle(image.parentElement).transform),
    );
  expect(new Set(await scales()).size).toBe(1);
  expect((await scales())[0]).toContain("matrix(1.25");

  const differences = page.getByRole("list", { name: "Differences" }).getByRole("listitem");
  await expect(differences).toHaveCount(2);
  await expect(differences.filter({ hasText: "count" })).toContainText("8, then blades");
  await differences.filter({ hasText: "turn" }).hover();
  await expect(page.locator("img[alt='']").first()).toBeVisible();
  await differences.filter({ hasText: "turn" }).getByRole("button", { name: "take it over" }).click();
  await expect(differences).toHaveCount(1);
  await page.getByRole("button", { name: /^Undo: take over “Fan”, step: turn of “Take 1”/ }).click();
  await expect(differences).toHaveCount(2);
  await page.getByRole("button", { name: "Take all over" }).click();
  await expect(page.getByText("“Take 1” is the same as it is now.")).toBeVisible();

  // Two over each other, the edge moved by keys.
  await page
    .getByRole("button", { name: /^Leave .*Take [23].* out/ })
    .last()
    .click();
  await page.getByRole("button", { name: "One over the other" }).click();
  const edge = page.getByRole("slider", { name: "The edge between the two" });
  await edge.focus();
  await page.keyboard.press("ArrowRight");
  await expect(edge).toHaveAttribute("aria-valuenow", "52");
  await page.getByRole("link", { name: "Desk" }).click();
  await desk.ready();
  await expect(page.getByRole("button", { name: "Undo: take over all of “Take 1”" })).toBeVisible();
});
