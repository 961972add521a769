import { Maker } from "./making";
import { expect, test } from "./server";

const FIVE = Array.from({ length: 5 }, (_, k) => ({
  id: `p${k}`,
  name: `Bead ${k + 1}`,
  motif: { kind: "disc", radius: 6 },
  at: { x: -60 + 30 * k, ...(k === 1 && { y: "shift" }) },
}));

test("five parts chosen by Shift, moved together by the pointer and by keys, turned, aligned, hidden, removed", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.lay(JSON.stringify({ format: "twin-petal/1", numbers: [{ name: "shift", value: 4 }], parts: FIVE }));
  const tile = (k: number) => page.getByRole("button", { name: `Part Bead ${k}`, exact: true });
  const places = async () => (await desk.file()).parts.map(({ at }) => at ?? {});
  await tile(1).click();
  await tile(2).click({ modifiers: ["Shift"] });
  // On the sheet too.
  const third = await desk.at(0, 0);
  await page.keyboard.down("Shift");
  await page.mouse.click(third.x, third.y);
  await page.keyboard.up("Shift");
  await expect(page.getByRole("heading", { name: "3 parts" })).toBeVisible();
  await tile(3).click({ modifiers: ["Shift"] });
  await expect(page.getByRole("heading", { name: "2 parts" })).toBeVisible();
  await page.locator("#sheet").focus();
  await desk.keys("Control+a");
  await expect(page.getByRole("heading", { name: "5 parts" })).toBeVisible();

  // By the pointer, from the middle of what they cover.
  const handle = page.getByRole("button", { name: /^Place of the chosen parts/ });
  const box = await handle.boundingBox();
  if (!box) throw new Error("they have no handle");
  const to = await desk.at(20, 12);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x - 40, to.y - 30, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole("button", { name: "Undo: move 5 parts" })).toBeVisible();
  const moved = await places();
  expect(moved[0]).toMatchObject({ x: expect.closeTo(-40, 0), y: expect.closeTo(10, 0) });
  // Formulas go on meaning what they did.
  expect(moved[1]).toMatchObject({ y: expect.stringMatching(/^\(shift\) \+ /) });
  await desk.keys("Control+z");
  expect((await places())[0]).toEqual({ x: -60 });

  // By a number and by keys.
  await desk.type("move them across", "5");
  await expect.poll(async () => (await places())[4]).toEqual({ x: 65 });
  await handle.focus();
  await desk.keys("ArrowDown");
  await expect.poll(async () => (await places())[0]).toMatchObject({ y: 1 });
  await desk.type("turn them", "90");
  // About the middle of what they cover, at 5 across and 3 down: what stood in a row stands in a column.
  await expect
    .poll(async () => (await places()).map(({ x }: { x?: number }) => Math.round(x ?? 0)))
    .toEqual([7, 3, 7, 7, 7]);
  await page.getByRole("button", { name: "align them …" }).click();
  await page.getByRole("menuitem", { name: "at the left margin" }).click();
  await expect(page.getByRole("button", { name: "Undo: align 5 parts: left" })).toBeVisible();

  await page.getByRole("button", { name: "hide them" }).click();
  await expect(page.getByRole("button", { name: "Part Bead 3, hidden" })).toBeVisible();
  await page.getByRole("button", { name: "show them" }).click();
  await page.getByRole("button", { name: "double them" }).click();
  await expect(page.getByRole("heading", { name: "5 parts" })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Part Bead/ })).toHaveCount(10);
  await page.getByRole("button", { name: "remove them" }).click();
  await expect(page.getByRole("button", { name: /^Part Bead/ })).toHaveCount(5);
  await desk.keys("Control+z");
  await expect(page.getByRole("button", { name: /^Part Bead/ })).toHaveCount(10);
});

test("several parts are copied together, and a click chooses one again", async ({ page, context }) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  const desk = new Maker(page);
  await desk.lay(JSON.stringify({ format: "twin-petal/1", numbers: [{ name: "shift", value: 4 }], parts: FIVE }));
  await page.locator("#sheet").focus();
  await desk.keys("Control+a", "Control+c");
  await expect(page.getByText("5 parts are on the clipboard")).toBeVisible();
  await page.getByRole("button", { name: "Part Bead 2", exact: true }).click();
  await expect(page.getByRole("heading", { name: "5 parts" })).toHaveCount(0);
  await expect(page.getByRole("textbox", { name: "Name of the part" })).toHaveValue("Bead 2");
});
