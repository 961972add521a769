import { readFileSync } from "node:fs";
import { Desk } from "./desk";
import { expect, test } from "./server";

test("designs are searched, put in order, binned and brought back", async ({ page }) => {
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
  // What other tests have thrown there has no pictures yet: asked for all at once, they would keep the wall waiting.
  await page.getByRole("searchbox").fill(name);
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
  await expect(page.getByRole("heading", { name: "Plaster fan, a copy" })).toBeVisible();
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

test("everything is kept as one zip and comes back from it, takes and all", async ({ page }) => {
  const name = `Kept ${Date.now().toString(36)}`;
  const made = await page.request.post("/api/designs", { data: { format: "twin-petal/1", name } });
  const address = made.headers().location ?? "";
  await page.request.post(`${address}/takes`, { headers: { "If-Match": '"1"' }, data: { name: "As it was" } });
  await page.goto("/");
  const [zip] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Keep everything" }).click(),
  ]);
  expect(zip.suggestedFilename()).toMatch(/^Twin Petal \d{4}-\d\d-\d\d\.zip$/);
  // Changed since: what was kept comes beside it where that is chosen.
  await page.request.put(address, {
    headers: { "If-Match": "*" },
    data: { format: "twin-petal/1", name: `${name}, changed` },
  });
  await page.getByLabel("Files to open").setInputFiles({
    name: "Everything.zip",
    mimeType: "application/zip",
    buffer: readFileSync(await zip.path()),
  });
  const asking = page.getByRole("dialog", { name: "Here, and in Everything.zip" });
  await asking.getByRole("button", { name: `What becomes of ${name}, changed` }).click();
  await page.getByRole("menuitem", { name: "both hang there" }).click();
  await asking.getByRole("button", { name: "Bring what was chosen" }).click();
  await expect(page.getByText("One design was added")).toBeVisible();
  await page.getByRole("searchbox", { name: "Search designs" }).fill(name);
  await expect(page.getByRole("heading", { level: 2 })).toHaveText([`${name}, changed`, name]);
  await page.getByRole("link", { name, exact: true }).click();
  await page.getByRole("button", { name: "Takes" }).click();
  await expect(page.getByRole("textbox", { name: "Name of As it was" })).toBeVisible();

  await page.goto("/");
  await page.getByLabel("Files to open").setInputFiles({
    name: "None.zip",
    mimeType: "application/zip",
    buffer: Buffer.from("nothing of the kind"),
  });
  await expect(page.getByRole("dialog", { name: "Not opened" })).toContainText("The body is no zip");
});

test("a wall of hundreds shows what is in view, and goes on to the last", async ({ page }) => {
  const ids: string[] = [];
  for (let number = 0; number < 130; number++) {
    const made = await page.request.post("/api/designs", { data: { format: "twin-petal/1", name: `Row ${number}` } });
    ids.push(made.headers().location ?? "");
  }
  await page.goto("/");
  await page.getByRole("searchbox", { name: "Search designs" }).fill("Row ");
  const cards = page.getByRole("list", { name: "Designs" }).getByRole("listitem");
  await expect(page.getByRole("heading", { name: "Row 129" })).toBeVisible();
  expect(await cards.count()).toBeLessThan(40);
  await page.mouse.move(640, 500);
  await expect(async () => {
    await page.mouse.wheel(0, 4000);
    await expect(page.getByRole("heading", { name: "Row 0", exact: true })).toBeVisible({ timeout: 300 });
  }).toPass();
  expect(await cards.count()).toBeLessThan(40);
});
