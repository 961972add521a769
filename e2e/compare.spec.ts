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

test("rules that were added, moved and taken away are said as such; what cannot stand alone is told and not taken", async ({
  page,
}) => {
  const desk = new Maker(page);
  const design = (rules: object[], numbers: object[]) =>
    JSON.stringify({
      format: "twin-petal/1",
      name: "Vent",
      numbers,
      parts: [{ id: "a", name: "Leaf", motif: { kind: "leaf" }, rules }],
    });
  const [turn, mirror] = [{ kind: "turn", count: "leaves" }, { kind: "reflect" }];
  await desk.lay(design([turn, mirror], [{ name: "leaves", value: 9 }]));
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("button", { name: "Keep this state" }).click();
  await expect(page.getByRole("textbox", { name: "Name of Take 1" })).toBeVisible();
  await page.keyboard.press("Escape");
  // By hand: the mirror first, a ring more, the count a plain number and its name given up.
  const address = page.url().replace("/designs/", "/api/designs/");
  await page.request.put(address, {
    headers: { "If-Match": "*", "content-type": "application/json" },
    data: design([mirror, { kind: "turn", count: 7 }, { kind: "ring", count: 3 }], []),
  });
  await page.reload();
  await desk.ready();
  await page.getByRole("button", { name: "Takes" }).click();
  await page.getByRole("link", { name: "Compare them" }).click();
  const differences = page.getByRole("list", { name: "Differences" }).getByRole("listitem");
  await expect(differences).toHaveText([
    /^number leaves: not there, then there/,
    /^“Leaf”, turn: count: 7, then leaves/,
    /^“Leaf”, rule ring: there, then not there/,
    /^“Leaf”, rules: in this order, then in another order/,
  ]);
  const take = (index: number) => differences.nth(index).getByRole("button", { name: "take it over" }).click();
  await take(1);
  await expect(page.getByText(/It needs more of “Take 1”: .*leaves/)).toBeVisible();
  await expect(differences).toHaveCount(4);
  await take(3);
  await expect(differences).toHaveCount(3);
  await take(2);
  await take(0);
  await take(0);
  await expect(page.getByText("“Take 1” is the same as it is now.")).toBeVisible();
});
