import { Desk } from "./desk";
import { expect, RETRIED, test } from "./server";

test("a ring's radius is pulled by its drop, and the sentence follows", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.addRule("ring");
  const handle = page.getByRole("button", { name: /^Radius of the ring/ });
  const box = await handle.boundingBox();
  const middle = await desk.middle();
  if (!box) throw new Error("no handle");
  const from = { x: middle.x, y: box.y + box.height / 2 };
  const pixels = middle.y - from.y;
  await desk.pull(from, 0, pixels / 2);
  await expect.poll(async () => Number(await desk.number("radius").getAttribute("aria-valuenow"))).toBeCloseTo(25, 0);
  await expect(page.getByRole("button", { name: /^Undo: radius/ })).toBeVisible();
  await handle.focus();
  await page.keyboard.press("Shift+ArrowUp");
  await expect.poll(async () => Number(await desk.number("radius").getAttribute("aria-valuenow"))).toBeCloseTo(35, 0);
});

test("a handle pulled on against a limit stands there, and keys go on from there", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.ready();
  const handle = page.getByRole("button", { name: /^length of the motif/ });
  const box = await handle.boundingBox();
  if (!box) throw new Error("no handle");
  await desk.pull({ x: box.x + box.width / 2, y: box.y + box.height / 2 }, 0, 300);
  await expect(desk.number("length")).toHaveAttribute("aria-valuenow", "0.001");
  await desk.ready();
  await handle.focus();
  await page.keyboard.press("Shift+ArrowUp");
  await expect(desk.number("length")).toHaveAttribute("aria-valuenow", "10");
});

test("a rule's pivot is dragged on the sheet, on the part's own place and turn too", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.addRule("turn");
  await page.getByRole("button", { name: "place the whole …" }).click();
  await desk.type("part turn", "90");
  await desk.ready();
  const handle = page.getByRole("button", { name: /^Pivot of the turn/ });
  await handle.focus();
  await page.keyboard.press("Shift+ArrowRight");
  // Ten to the right on the sheet is ten up in a part turned a quarter clockwise.
  await expect(desk.number("pivot across")).toHaveAttribute("aria-valuenow", "0");
  await expect(desk.number("pivot down")).toHaveAttribute("aria-valuenow", "-10");
  await page.getByRole("button", { name: "pivot: a point" }).click();
  await page.getByRole("menuitem", { name: "the part’s centre" }).click();
  await expect(desk.number("pivot across")).toHaveCount(0);
});

test("parts are added, chosen on the sheet, reordered, hidden, locked, duplicated and removed", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "rectangle" }).click();
  await page.getByRole("button", { name: "Add a part" }).click();
  await page.getByRole("menuitem", { name: "disc" }).click();
  const parts = page.getByRole("navigation", { name: "Parts" }).getByRole("button", { name: /^Part / });
  await expect(parts).toHaveCount(2);
  await expect(parts.first()).toHaveAccessibleName("Part Disc");
  const menu = async (part: string, item: string) => {
    await page.getByRole("button", { name: `Part ${part}` }).hover();
    await page.getByRole("button", { name: `More for ${part}`, exact: true }).click();
    await page.getByRole("menuitem", { name: item }).click();
  };
  await menu("Disc", "Lower");
  await expect(parts.first()).toHaveAccessibleName("Part Rectangle");
  const from = await parts.first().boundingBox();
  if (!from) throw new Error("no part");
  await desk.pull({ x: from.x + 20, y: from.y + 20 }, 0, 70);
  await expect(parts.first()).toHaveAccessibleName("Part Disc");
  await page.getByRole("button", { name: "Part Rectangle" }).click();
  const { x, y } = await desk.middle();
  await page.mouse.click(x, y + 30);
  await expect(page.getByRole("button", { name: "Part Disc" })).toHaveAttribute("aria-pressed", "true");
  await menu("Disc", "Hide");
  await expect(page.getByRole("button", { name: "Part Disc, hidden" })).toBeVisible();
  await menu("Disc", "Lock");
  await menu("Disc", "Duplicate");
  await expect(parts).toHaveCount(3);
  await menu("Disc, a copy", "Unlock");
  await menu("Disc, a copy", "Remove");
  await expect(parts).toHaveCount(2);
});

test("rules are reordered, switched off, duplicated and removed", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "star" }).click();
  for (const kind of ["turn", "ring"]) await desk.addRule(kind);
  const rules = page.getByRole("region", { name: "Rules" }).getByRole("listitem");
  const menu = async (rule: string, item: string) => {
    await page.getByRole("button", { name: `More for rule ${rule}` }).click();
    await page.getByRole("menuitem", { name: item }).click();
  };
  await expect(desk.copies("96")).toBeVisible();
  await menu("2, ring", "Apply earlier");
  await expect(rules.first()).toContainText("Ring");
  const grip = page.getByRole("button", { name: "Reorder rule 1, ring" });
  const box = await grip.boundingBox();
  if (!box) throw new Error("no grip");
  await desk.pull({ x: box.x + 5, y: box.y + box.height / 2 }, 0, 170);
  await expect(rules.first()).toContainText("Turn");
  await menu("1, turn", "Switch off");
  await expect(desk.copies("12")).toBeVisible();
  await menu("1, turn", "Switch on");
  await menu("1, turn", "Duplicate");
  await expect(rules).toHaveCount(3);
  await menu("1, turn", "Remove");
  await expect(rules).toHaveCount(2);
});

test("fills take turns, lines are drawn and dashed, a colour gets a name and is changed in one place", async ({
  page,
}) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.addRule("turn");
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await page.getByRole("button", { name: /^fill 2:/ }).click();
  const hex = page.getByRole("textbox", { name: "Colour" });
  await hex.fill("#123456");
  await page.getByRole("button", { name: "Name it", exact: true }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "fill 2: colour" })).toBeVisible();
  await page.getByRole("button", { name: "draw one" }).click();
  await page.getByRole("button", { name: "dash it" }).click();
  await expect(desk.number("dash gap")).toBeVisible();
  await page.getByRole("button", { name: "opacity and blending …" }).click();
  await page.getByRole("button", { name: "blend: normal" }).click();
  await page.getByRole("menuitem", { name: "multiply" }).click();
  await expect(page.getByRole("button", { name: "blend: multiply" })).toBeVisible();
  await desk.saved();
  const file = await page.request.get(page.url().replace("/designs/", "/api/designs/"), RETRIED);
  expect(await file.json()).toMatchObject({
    palette: [{ name: "colour", color: "#123456" }],
    parts: [
      {
        finish: {
          fill: { kind: "cycle", colors: ["#1E6F5C", "palette:colour"] },
          line: { dash: [3, 2] },
          blend: "multiply",
        },
      },
    ],
  });
});

test("the view is moved and enlarged by hand, wheel and keys, and shown whole again", async ({ page }) => {
  const desk = new Desk(page);
  await desk.open("locker-key-star");
  const percent = async () => Number((await page.getByTitle("Show at real size").textContent())?.replace("%", ""));
  const whole = await percent();
  const { x, y } = await desk.middle();
  await page.mouse.move(x, y);
  await page.mouse.wheel(0, -300);
  await expect.poll(percent).toBeGreaterThan(whole * 1.4);
  await page.getByTitle("Show at real size").click();
  await expect.poll(percent).toBe(100);
  await page.locator("#sheet").focus();
  await page.keyboard.press("+");
  await expect.poll(percent).toBe(125);
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("0");
  await expect.poll(percent).toBe(whole);
});

test("undo names what it undoes and survives a reload", async ({ page }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.addRule("turn");
  await desk.type("count", "5");
  await desk.saved();
  await page.reload();
  await desk.ready();
  await page.getByRole("button", { name: "Undo: count 8 → 5" }).click();
  await expect(desk.copies("8")).toBeVisible();
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect(page.getByText("What is to be repeated?")).toBeVisible();
  await page.keyboard.press("Control+Shift+z");
  await expect(desk.copies("1")).toBeVisible();
});
