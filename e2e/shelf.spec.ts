import { readFileSync } from "node:fs";
import type { APIRequestContext, Locator, Page } from "@playwright/test";
import { Maker } from "./making";
import { expect, test } from "./server";

const STUDS = /^Part Studs/;

/** A desk with the shelf beside it, on which the key star's studs, their rules and its palette were put. */
async function withStuds(page: Page): Promise<Maker> {
  const desk = new Maker(page);
  await desk.open("locker-key-star");
  await page.getByRole("button", { name: STUDS }).click();
  await page.locator("#sheet").focus();
  await page.keyboard.press("h");
  const shelf = page.getByRole("complementary", { name: "Shelf" });
  for (const what of ["this part", "its rules", "the palette"]) {
    await shelf.getByRole("button", { name: what, exact: true }).click();
  }
  await expect(pieces(shelf)).toHaveCount(3);
  return desk;
}

const pieces = (shelf: Locator) => shelf.getByRole("button", { name: /^Take (?!.*off the shelf)/ });

/** Another design that calls a number and a colour as the key star does. */
const OTHER = JSON.stringify({
  format: "twin-petal/1",
  numbers: [{ name: "points", value: 5 }],
  palette: [{ name: "dark", color: "#000000" }],
  parts: [
    {
      id: "a",
      name: "Rim",
      motif: { kind: "petal" },
      rules: [{ kind: "turn", count: 3 }],
      finish: { fill: "palette:dark" },
    },
  ],
});

// Others leave pieces on the shelf too.
test.beforeEach(({ request }) => emptyShelf(request));
test.afterEach(({ request }) => emptyShelf(request));

async function emptyShelf(request: APIRequestContext): Promise<void> {
  const { pieces: left }: { pieces: { id: string }[] } = await (await request.get("/api/shelf")).json();
  for (const { id } of left) await request.delete(`/api/shelf/${id}`);
}

test("a motif goes from a design over the shelf into another, by a click and by dragging, with its named numbers", async ({
  page,
}) => {
  const desk = await withStuds(page);
  await desk.lay(OTHER);
  await page.getByRole("button", { name: "Shelf", exact: true }).click();
  const shelf = page.getByRole("complementary", { name: "Shelf" });
  const motifs = shelf.getByRole("region", { name: "Motifs" });
  await expect(motifs.locator("canvas")).toHaveAttribute("data-shown", "yes");
  await motifs.getByRole("button", { name: "Take Studs", exact: true }).click();
  await expect(page.getByRole("button", { name: STUDS })).toHaveAttribute("aria-pressed", "true");
  await expect(desk.copies("8")).toBeVisible();
  expect(await desk.file()).toMatchObject({
    numbers: [{ name: "points" }, { name: "points2", value: 8 }],
    palette: [{ name: "dark" }, { name: "dark 2" }],
    parts: [{ id: "a" }, { id: "studs", rules: [{ kind: "ring", count: "points2" }] }],
  });
  await page.getByRole("button", { name: "Undo: take “Studs” from the shelf" }).click();
  await expect(page.getByRole("button", { name: STUDS })).toHaveCount(0);

  const at = await desk.at(30, -20);
  const sheet = await page.locator("#sheet").boundingBox();
  await motifs.getByRole("button", { name: "Take Studs", exact: true }).dragTo(page.locator("#sheet"), {
    targetPosition: { x: at.x - (sheet?.x ?? 0), y: at.y - (sheet?.y ?? 0) },
  });
  await expect(page.getByRole("button", { name: STUDS })).toHaveCount(1);
  const near = (value: number) => expect.closeTo(value, 0);
  expect((await desk.file()).parts[1]).toMatchObject({ at: { x: near(30), y: near(-20) } });
});

test("a stack of rules let go on a part is shown as live pictures of it first; a palette recolours", async ({
  page,
}) => {
  const desk = await withStuds(page);
  await desk.lay(OTHER);
  await page.getByRole("button", { name: "Shelf", exact: true }).click();
  const shelf = page.getByRole("complementary", { name: "Shelf" });
  const rules = shelf.getByRole("region", { name: "Rules" }).getByRole("button", { name: "Take Studs", exact: true });
  await rules.dragTo(page.getByRole("button", { name: "Part Rim" }));
  const ways = page.getByRole("dialog", { name: "“Studs” from the shelf" });
  await expect(ways.locator("canvas[data-shown=yes]")).toHaveCount(2);
  // Nothing is done yet.
  await expect(desk.copies("3")).toBeVisible();
  await ways.getByRole("button", { name: /after its rules/i }).click();
  await expect(desk.copies("24")).toBeVisible();
  expect((await desk.file()).parts[0]?.rules).toMatchObject([{ kind: "turn" }, { kind: "ring", count: "points2" }]);

  await shelf
    .getByRole("region", { name: "Palettes" })
    .getByRole("button", { name: /^Take Locker-key star$/ })
    .click();
  await page.getByRole("button", { name: /in their place/i }).click();
  expect(await desk.file()).toMatchObject({
    palette: [{ name: "dark", color: expect.not.stringMatching("#000000") }],
    parts: [{ finish: { fill: "palette:dark" } }],
  });

  // Without a part there is nothing that rules could be put on.
  await desk.openEmpty();
  await page.getByRole("button", { name: "Shelf", exact: true }).click();
  await rules.click();
  await expect(page.getByText("choose a part first")).toBeVisible();
});

test("the whole shelf is searched, renamed, thrown away with undo, and goes out and in as one file", async ({
  page,
}) => {
  await withStuds(page);
  await page.getByRole("link", { name: "The whole shelf" }).click();
  const found = page.getByRole("button", { name: /^Begin a design with/ });
  await expect(found).toHaveCount(3);
  await page.getByRole("textbox", { name: "Name of Studs" }).first().fill("Ring of studs");
  await page.keyboard.press("Enter");
  await page.getByRole("searchbox", { name: "Search the shelf" }).fill("ring OF");
  await expect(found).toHaveCount(1);
  await page.getByRole("button", { name: "Take Ring of studs off the shelf" }).click();
  await expect(found).toHaveCount(0);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(found).toHaveCount(1);
  await page.getByRole("searchbox").fill("");

  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "All as one file" }).click(),
  ]);
  const path = await file.path();
  expect(JSON.parse(readFileSync(path, "utf8"))).toMatchObject({ format: "twin-petal-shelf/1", pieces: [{}, {}, {}] });
  await page.getByLabel("Shelf file to take in").setInputFiles(path);
  await expect(page.getByText(/^3 pieces of/)).toBeVisible();
  await expect(found).toHaveCount(6);
  await page.getByLabel("Shelf file to take in").setInputFiles({
    name: "Odd.json",
    mimeType: "application/json",
    buffer: Buffer.from('{"format":"twin-petal-shelf/1","pieces":[{"kind":"hat"}]}'),
  });
  await expect(page.getByText("pieces[0].kind: must be one of")).toBeVisible();

  await page.getByRole("button", { name: "Begin a design with Ring of studs" }).first().click();
  await expect(page.getByRole("textbox", { name: "Name of the design" })).toHaveValue("Ring of studs");
  await expect(page.getByRole("button", { name: STUDS })).toHaveCount(1);
});
