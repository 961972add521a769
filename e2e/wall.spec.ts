import { Desk } from "./desk";
import { expect, test } from "./server";

test("designs are searched, put in order, binned and brought back", async ({ page }) => {
  // The bin still holds what tests before have thrown there.
  const name = `Thrown ${Date.now().toString(36)}`;
  await page.request.post("/api/designs", { data: { format: "twin-petal/1", name } });
  await page.goto("/");
  await page.getByRole("searchbox", { name: "Search designs" }).fill("fan");
  await expect(page.getByRole("heading", { level: 2 })).toHaveText(["Plaster fan"]);
  await page.getByRole("searchbox").fill("zebra");
  await expect(page.getByText("No design is called anything like “zebra”.")).toBeVisible();
  await page.getByRole("searchbox").fill("");
  await page.getByLabel("in order of").selectOption("name");
  const names = () => page.getByRole("heading", { level: 2 }).allTextContents();
  const inOrder = async () => [...(await names())].sort((a, b) => a.localeCompare(b, "en"));
  await expect.poll(async () => (await names()).join() === (await inOrder()).join()).toBe(true);

  await page.getByRole("button", { name: `More for ${name}` }).click();
  await page.getByRole("menuitem", { name: "To the bin" }).click();
  await expect(page.getByRole("heading", { name })).toHaveCount(0);
  await page.getByRole("button", { name: "Bin", exact: true }).click();
  await page.getByRole("button", { name: `Bring ${name} back to the wall` }).click();
  await expect(page.getByRole("button", { name: `Bring ${name} back to the wall` })).toHaveCount(0);
  await page.getByRole("button", { name: "Bin", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
});

test("a design is duplicated, and a new one begun from an example", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "More for Plaster fan" }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  // On a fresh server the pictures of the whole wall are asked for first.
  await expect(page.getByRole("heading", { name: "Plaster fan, a copy" })).toBeVisible({ timeout: 30_000 });
  await page.getByRole("link", { name: "New design" }).click();
  await page.getByRole("button", { name: "Locker key star" }).click();
  await new Desk(page).ready();
  await expect(page.getByRole("textbox", { name: "Name of the design" })).toHaveValue("Locker-key star");
});

test("files that are no designs are refused in words, each with its faults", async ({ page }) => {
  await page.goto("/");
  const file = (name: string, content: string) => ({
    name,
    mimeType: "application/json",
    buffer: Buffer.from(content),
  });
  const faulty = JSON.stringify({
    format: "twin-petal/1",
    sheet: { width: -5 },
    parts: [
      { id: "a", motif: { kind: "blob" } },
      { id: "b", motif: { kind: "disc" }, rules: [{ kind: "turn", count: 2.5 }] },
    ],
  });
  await page
    .getByLabel("Files to open")
    .setInputFiles([file("notes.json", "hello"), file("faulty.petal.json", faulty)]);
  const dialog = page.getByRole("dialog", { name: "Not opened" });
  await expect(dialog).toContainText("notes.json");
  await expect(dialog).toContainText("is not a design file");
  for (const path of ["sheet.width", "parts[0].motif.kind", "parts[1].rules[0].count"])
    await expect(dialog).toContainText(path);
  await dialog.getByRole("button", { name: "Close" }).click();
  await expect(dialog).toHaveCount(0);
});
