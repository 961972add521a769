import { Maker } from "./making";
import { expect, test } from "./server";

const FIVE = JSON.stringify({
  format: "twin-petal/1",
  name: "Tiles",
  parts: [
    ["heart", -60],
    ["petal", -50],
    ["leaf", -40],
    ["stud", 50],
    ["stem", 60],
  ].map(([id, x]) => ({ id, name: id, motif: { kind: "disc", radius: 3 }, at: { x } })),
});

test("parts are chosen by a loop, grouped, renamed, moved as one, doubled, repeated whole and ungrouped", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.lay(FIVE);
  const chosen = page.getByRole("region", { name: "Chosen parts" });
  const tile = (name: string) => page.getByRole("button", { name: new RegExp(`^Group ${name}, 3 parts(, a tool)?$`) });

  // A loop around three of them, drawn with Shift.
  await page.keyboard.down("Shift");
  await desk.drag([-68, -10], [-30, -10], [-30, 10], [-68, 10]);
  await page.keyboard.up("Shift");
  await expect(chosen).toContainText("3 parts");
  await page.locator("#sheet").focus();
  await page.keyboard.press("g");
  await expect(tile("Group")).toHaveAttribute("aria-pressed", "true");
  await chosen.getByRole("textbox", { name: "Name of the group" }).fill("Blossom");
  await page.keyboard.press("Enter");

  // Another part is chosen, then the group again, which is moved as one.
  await page.getByRole("button", { name: "Part stem" }).click();
  await tile("Blossom").click();
  await desk.pull(await desk.at(-50, 0), 60, 0);
  const [first, second, third] = (await desk.file()).parts;
  expect([first, second, third]).toMatchObject([
    { at: { x: expect.closeTo(-38, -1) } },
    { at: { x: expect.closeTo(-28, -1) } },
    { at: { x: expect.closeTo(-18, -1) } },
  ]);
  await expect(page.getByRole("button", { name: /^Undo: move 3 parts/ })).toBeVisible();

  await page.getByRole("button", { name: "More for Blossom" }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  await expect(page.getByRole("button", { name: "Group Blossom, a copy, 3 parts" })).toHaveAttribute(
    "aria-pressed",
    "true",
  );
  await page.getByRole("button", { name: /^Undo: duplicate 3 parts/ }).click();

  await tile("Blossom").click();
  await chosen.getByRole("button", { name: "repeat the group whole" }).click();
  await expect(page.getByRole("button", { name: "Part Blossom, repeated" })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByRole("button", { name: "part used: Blossom, the group" })).toBeVisible();
  await desk.addRule("turn");
  await desk.type("count", "6");
  await expect(desk.copies("6")).toBeVisible();
  expect(await desk.file()).toMatchObject({
    groups: [{ id: "group", name: "Blossom", role: "tool" }],
    parts: [
      { group: "group" },
      { group: "group" },
      { group: "group" },
      { motif: { kind: "part", part: "group" } },
      {},
      {},
    ],
  });

  // What repeats it is removed and brought back: without it the group is made by itself.
  const whole = page.getByRole("button", { name: /^Part .*Blossom, repeated/ });
  await expect(page.getByRole("button", { name: "Group Blossom, 3 parts, a tool" })).toBeVisible();
  await page.getByRole("button", { name: "More for Blossom, repeated", exact: true }).click();
  await page.getByRole("menuitem", { name: "Remove" }).click();
  await expect(whole).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Group Blossom, 3 parts", exact: true })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: "Group Blossom, 3 parts, a tool" })).toBeVisible();

  await page.getByRole("button", { name: "More for Blossom", exact: true }).click();
  await page.getByRole("menuitem", { name: "Ungroup" }).click();
  await expect(page.getByRole("button", { name: /^Group / })).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(tile("Blossom")).toBeVisible();
});
