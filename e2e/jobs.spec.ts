import { CountedHand } from "./countedHand";
import { expect, test } from "./server";

test("a key star from an empty sheet by keys alone, in at most 150 of them", async ({ page }) => {
  const hand = new CountedHand(page);
  await hand.openEmpty();
  await page.locator("#sheet").focus();
  await hand.press("3");
  await expect(page.locator("#draw-layer")).toBeFocused();
  await hand.press("=");
  for (const [index, place] of ["0 -6", "5 -22", "9.5 -30", "4 -35", "6.5 -41", "0 -54"].entries()) {
    await hand.write(place);
    await hand.press("Enter");
    if (index === 0) await expect(page.locator("#draw-layer")).toBeFocused();
  }
  await hand.press("c", "1");
  await hand.press("u");
  await expect(page.getByRole("menuitem", { name: /^turn/i })).toBeVisible();
  await hand.write("re");
  await expect(page.getByRole("menuitem", { name: /^reflect/i })).toBeFocused();
  await hand.press("Enter");
  await expect(page.getByText("2 copies")).toBeVisible();
  await hand.press("u");
  await expect(page.getByRole("menuitem", { name: /^turn/i })).toBeFocused();
  await hand.press("Enter");
  await expect(hand.number("count")).toBeFocused();
  await hand.tabTo(/^cut a shape out/, "Shift+Tab");
  await hand.press("Enter");
  await expect(page.getByRole("menuitem", { name: "Petal" })).toBeFocused();
  await hand.write("di");
  await expect(page.getByRole("menuitem", { name: /^disc/i })).toBeFocused();
  await hand.press("Enter");
  await expect(hand.number("cutout 1: radius")).toBeFocused();
  await hand.write("12");
  await hand.press("Enter");
  await hand.tabTo(/^cutout 1 down$/);
  await hand.write("-26");
  await hand.press("Enter");
  // Two colours in turn.
  await hand.tabTo(/^Add a fill colour/);
  await hand.press("Enter");
  // The source alone is looked at, and a point added to it and pulled out: all copies follow.
  await page.keyboard.down("o");
  await expect(page.getByRole("button", { name: "Source", pressed: true })).toBeVisible();
  await page.keyboard.up("o");
  await hand.press("2");
  await expect(page.locator("#node-layer")).toBeFocused();
  await hand.press(".", ".", "Shift+.", "m");
  await expect(page.getByRole("menuitem", { name: "make them corner" })).toBeFocused();
  await hand.write("be");
  await expect(page.getByRole("menuitem", { name: "between, only the new" })).toBeFocused();
  await hand.press("Enter");
  await expect(page.locator("#node-layer")).toHaveAttribute("aria-label", /7, 1 chosen/);
  await page.locator("#node-layer").focus();
  await hand.press("ArrowRight", "ArrowRight", "ArrowUp");
  expect((await hand.file()).parts).toMatchObject([
    {
      motif: { kind: "drawn", paths: [{ closed: true }] },
      cutouts: [{ kind: "disc", at: { y: -26 } }],
      rules: [{ kind: "reflect" }, { kind: "turn" }],
    },
  ]);
  expect(await hand.nodes()).toHaveLength(7);
  tell("key star", hand, 150);
});

/** The number of a job's actions, told beside what it may take. */
function tell(job: string, { actions }: CountedHand, most: number): void {
  test.info().annotations.push({ type: job, description: `${actions} of ${most}` });
  expect(actions).toBeLessThanOrEqual(most);
}

test("a lantern sheet from an empty sheet by the pointer, in at most 90 actions", async ({ page }) => {
  const hand = new CountedHand(page);
  await hand.openEmpty();
  await hand.hit("button", /standard sizes/);
  await hand.hit("menuitem", /^A3/);
  await hand.hit("button", "lay it down");
  // 420 mm by 297 mm, shown as wide as it fits.
  hand.side = 298.5;
  await hand.hit("button", "sector");
  await hand.ready();
  await hand.set("outer radius", "76");
  await hand.set("from", "0");
  await hand.set("to", "22.5");
  await hand.hit("button", "bake into nodes");
  await expect(page.getByRole("button", { name: "bake into nodes" })).toHaveCount(0);

  // The untouched wedge is kept beside, as a line.
  await hand.duplicate("Sector");
  await hand.hit("button", "no fill");
  await hand.hit("button", "draw one");
  await hand.hit("button", "align it …");
  await hand.hit("menuitem", "at the right margin");
  await hand.hit("button", "Part Sector");

  await hand.repeat("reflect");
  await hand.repeat("turn");
  await expect(hand.copies("16")).toBeVisible();
  for (const [shape, [x, y]] of [
    ["petal", [4, -22]],
    ["drop", [5, -62]],
    ["disc", [16, -60]],
    ["polygon", [8, -42]],
  ] as const) {
    await hand.hit("button", /^cut (a shape out|another) …/);
    await hand.hit("menuitem", new RegExp(`^${shape}`, "i"));
    await hand.pullStamp(x, y);
  }
  // A small star is hollowed out in the middle.
  await hand.hit("button", "cut another …");
  await hand.hit("menuitem", /^star/i);

  // Fingers: points between points, every second one, pushed out.
  await hand.hit("button", "Nodes");
  await hand.sweep([-6, -70], [-6, -84], [36, -84], [36, -60], [-6, -70]);
  await hand.hit("button", "nodes between");
  await hand.hit("button", "nodes between");
  await hand.hit("button", "every second");
  await hand.set("push the chosen out", "10");
  await hand.hit("button", "Look");
  await hand.hit("button", "join: apart");
  await hand.hit("menuitem", /^merged/i);

  // The other lantern: other stamps, another star, other fingers, in another colour.
  await hand.duplicate("Sector");
  await hand.set("cutout 5: points", "4");
  await hand.hit("button", "cutout 3: disc");
  await hand.hit("menuitem", /^leaf/i);
  await hand.hit("button", /^fill: /);
  await page.getByRole("textbox", { name: "Colour" }).fill("#F0B35A");
  await page.keyboard.press("Escape");
  hand.actions += 2;
  await hand.hit("button", "align it …");
  await hand.hit("menuitem", "in the middle of the sheet");
  await hand.hit("button", "Part Sector");
  await hand.hit("button", "align it …");
  await hand.hit("menuitem", "at the left margin");

  const { parts } = await hand.file();
  expect(parts.map(({ cutouts }) => (Array.isArray(cutouts) ? cutouts.length : 0))).toEqual([5, 5, 0]);
  expect(parts[0]?.rules).toMatchObject([{ kind: "reflect" }, { kind: "turn" }]);
  expect(parts[1]?.finish).toEqual({ fill: "#F0B35A" });
  tell("lantern sheet", hand, 90);
});
