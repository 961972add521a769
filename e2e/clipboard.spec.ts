import type { Page } from "@playwright/test";
import { Maker } from "./making";
import { expect, test } from "./server";

// There is one clipboard for all windows.
test.describe.configure({ mode: "serial" });

/** A desk on which a part of the key star has just been copied. */
async function withOnClipboard(page: Page, part: string): Promise<Maker> {
  const desk = new Maker(page);
  await desk.open("locker-key-star");
  await page.getByRole("button", { name: `Part ${part}` }).click();
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+c");
  return desk;
}

test("a part goes from one design to another by the clipboard, with its numbers and colours; doubled beside itself", async ({
  page,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  const desk = await withOnClipboard(page, "Studs");
  await expect(page.getByText("“Studs” is on the clipboard")).toBeVisible();
  // What is on the clipboard is a design file.
  const text = await page.evaluate(() => navigator.clipboard.readText());
  expect(JSON.parse(text)).toMatchObject({ format: "twin-petal/1", name: "Studs", parts: [{ id: "studs" }] });

  await desk.lay(
    JSON.stringify({
      format: "twin-petal/1",
      numbers: [{ name: "points", value: 5 }],
      palette: [{ name: "dark", color: "#000000" }],
      parts: [{ id: "a", name: "Rim", motif: { kind: "ring" }, finish: { fill: "palette:dark" } }],
    }),
  );
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+v");
  await expect(page.getByRole("button", { name: "Part Studs" })).toHaveAttribute("aria-pressed", "true");
  await expect(desk.copies("8")).toBeVisible();
  expect(await desk.file()).toMatchObject({
    numbers: [
      { name: "points", value: 5 },
      { name: "points2", value: 8 },
    ],
    palette: [{ name: "dark" }, { name: "dark 2", color: "#5A3E12" }],
    parts: [{ id: "a" }, { id: "studs", rules: [{ kind: "ring", count: "points2" }] }],
  });
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: "Part Studs" })).toHaveCount(0);

  await page.keyboard.press("Control+d");
  await expect(page.getByRole("button", { name: "Part Rim, a copy" })).toHaveAttribute("aria-pressed", "true");
  expect((await desk.file()).parts[1]).toMatchObject({ at: { x: 10, y: 10 } });
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+x");
  await expect(page.getByRole("button", { name: "Part Rim, a copy" })).toHaveCount(0);
  await page.keyboard.press("Control+v");
  await expect(page.getByRole("button", { name: "Part Rim, a copy" })).toHaveCount(1);
});

test("an SVG is pasted as a motif; what is neither is told; words that are typed keep their clipboard", async ({
  page,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  const desk = new Maker(page);
  await desk.begin("petal");
  const put = (text: string) => page.evaluate((given) => navigator.clipboard.writeText(given), text);
  await put('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="6" height="4"/></svg>');
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+v");
  await expect(page.getByText("Pasted.svg: one shape taken over.")).toBeVisible();
  await put("a shopping list");
  await page.locator("#sheet").focus();
  await page.keyboard.press("Control+v");
  await expect(page.getByText("The clipboard holds neither parts of a design nor an SVG.")).toBeVisible();
  await put('{ "format": "twin-petal/1", "parts": [{ "id": "a" }] }');
  await page.keyboard.press("Control+v");
  await expect(page.getByText(/It was not pasted: parts\[0\]\.motif/)).toBeVisible();
  await put("Tide");
  const name = page.getByRole("textbox", { name: "Name of the design" });
  await name.fill("");
  await page.keyboard.press("Control+v");
  await expect(name).toHaveValue("Tide");
});

test("a rule stack, and a finish, are carried from one design to a part of another, with what they need", async ({
  page,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  const desk = await withOnClipboard(page, "Blade");
  await desk.lay(
    JSON.stringify({
      format: "twin-petal/1",
      numbers: [{ name: "points", value: 5 }],
      parts: [{ id: "a", name: "Leaf", motif: { kind: "leaf" }, rules: [{ kind: "ring" }] }],
    }),
  );
  await page.getByRole("button", { name: "Reorder rule 1, ring" }).focus();
  await page.keyboard.press("Control+v");
  // A leaf is its own mirror image.
  await expect(desk.copies("8")).toBeVisible();
  await page.getByRole("button", { name: "no fill" }).focus();
  await page.keyboard.press("Control+v");
  await expect(page.getByRole("button", { name: "Undo: paste the finish of “Blade”" })).toBeVisible();
  expect(await desk.file()).toMatchObject({
    numbers: [{ name: "points", value: 5 }, { name: "points2" }],
    palette: [{ name: "dark" }, { name: "glint" }],
    parts: [
      {
        id: "a",
        motif: { kind: "leaf" },
        rules: [{ kind: "reflect" }, { kind: "turn", count: "points2" }],
        finish: { fill: { colors: ["palette:dark", "palette:glint"] } },
      },
    ],
  });
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect(desk.copies("12")).toBeVisible();
});
