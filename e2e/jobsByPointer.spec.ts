import type { Page } from "@playwright/test";
import { CountedHand } from "./countedHand";
import { expect, test } from "./server";

/** A hand at an empty sheet of 200 mm. */
async function atEmptySheet(page: Page): Promise<CountedHand> {
  const hand = new CountedHand(page);
  await hand.openEmpty();
  return hand;
}

/** Ends a job: what it made, and how many actions that took beside those it took once. */
async function made(hand: CountedHand, before: number, parts: object[]): Promise<void> {
  expect((await hand.file()).parts).toMatchObject(parts);
  test.info().annotations.push({ type: "actions", description: `${hand.actions}, ${before} once` });
  expect(hand.actions).toBeLessThan(before);
}

test("a plaster fan: a blade of curves, shaded, stepped about its foot until the blades touch", async ({ page }) => {
  const hand = await atEmptySheet(page);
  await hand.hit("button", "Draw");
  // Four curves, each pulled out of its point; the last click closes the blade.
  await hand.sweep([0, 40], [-4, 25]);
  await hand.sweep([-12, -20], [-10, -40]);
  await hand.sweep([2, -70], [6, -62]);
  await hand.sweep([10, -20], [12, 5]);
  await hand.point(0, 40);
  await hand.hit("button", "Look");
  await hand.hit("button", "as a gradient …");
  await hand.hit("menuitem", "mixed");
  await hand.repeat("step");
  await hand.set("count", "14");
  await hand.set("turn", "18");
  await hand.hit("button", "each way");
  await hand.set("scale across", "0.97");
  await hand.set("scale down", "0.96");
  await hand.set("move across", "1");
  await hand.hit("button", /^pivot/);
  await hand.hit("menuitem", /motif’s foot/);
  await made(hand, 65, [{ motif: { kind: "drawn" }, rules: [{ kind: "step", count: 14, turn: 18 }] }]);
});

test("a floor star: one facet between a guide's points, with a gradient, mirrored and turned seven times", async ({
  page,
}) => {
  const hand = await atEmptySheet(page);
  await hand.hit("button", "Lay a guide");
  await hand.hit("menuitem", "a star");
  await hand.hit("button", "Draw");
  await hand.point(0, -60);
  await hand.point(0, 0);
  await hand.point(11.3, -23.4);
  await hand.point(0, -60);
  await hand.hit("button", "Look");
  await hand.hit("button", "as a gradient …");
  await hand.hit("menuitem", "in a line");
  await hand.repeat("reflect");
  await hand.repeat("turn");
  await hand.set("count", "7");
  await hand.hit("button", "grain");
  await made(hand, 31, [
    {
      motif: { kind: "drawn", paths: [{ closed: true, nodes: [{ y: -60 }, { x: 0, y: 0 }, {}] }] },
      rules: [{ kind: "reflect" }, { kind: "turn", count: 7 }],
      finish: { grain: {} },
    },
  ]);
});

test("a kelp drawing: strokes drawn while they repeat, over one gradient and filled with another", async ({ page }) => {
  const hand = await atEmptySheet(page);
  await hand.hit("button", "Freehand");
  await hand.sweep([4, -10], [12, -30], [6, -55], [14, -80]);
  await expect(page.getByRole("button", { name: "Part Freehand" }).or(page.getByText("1 stroke"))).toBeVisible();
  await hand.repeat("reflect");
  await hand.repeat("turn");
  await hand.set("count", "7");
  await hand.hit("button", "Freehand");
  await hand.sweep([10, -20], [22, -36], [20, -60]);
  await hand.sweep([3, -30], [8, -44], [3, -62]);
  await hand.hit("button", "as a gradient …");
  await hand.hit("menuitem", "from a point out");
  await hand.hit("button", "Add a ground colour");
  await made(hand, 43, [{ motif: { kind: "freehand" }, rules: [{ kind: "reflect" }, { kind: "turn", count: 7 }] }]);
});

test("a colouring card: petals of a pointed ellipse, a welded scalloped rim, two more within it", async ({ page }) => {
  const hand = await atEmptySheet(page);
  await hand.hit("button", "ellipse");
  await hand.hit("button", /^ends:/);
  await hand.hit("menuitem", "pointed");
  await hand.repeat("ring");
  await hand.set("count", "12");
  await hand.set("radius", "36");
  await hand.hit("button", "no fill");
  await hand.hit("button", "draw one");
  await hand.add("disc");
  await hand.set("radius", "70");
  await hand.add("disc");
  await hand.set("radius", "14");
  await hand.repeat("ring");
  await hand.set("count", "18");
  await hand.setLast("radius", "70");
  await hand.hit("button", "join: apart");
  await hand.hit("menuitem", /^merged/i);
  await hand.hit("button", "join a part with them …");
  await hand.hit("menuitem", "Disc");
  await hand.hit("button", "outlines beside it …");
  await hand.set("outlines beside", "2");
  await hand.set("outline distance", "-4");
  await hand.hit("button", "no fill");
  await hand.hit("button", "draw one");
  await made(hand, 49, [
    { motif: { kind: "ellipse", ends: "pointed" }, rules: [{ kind: "ring" }] },
    { motif: { kind: "disc" } },
    { join: { mode: "merge", with: ["disc"], offset: { times: 2, by: -4 } } },
  ]);
});

test("a tile walk: a stair of go and turn, repeated, turned about and repeated, then all of it around", async ({
  page,
}) => {
  const hand = await atEmptySheet(page);
  await hand.hit("button", /^walk/i);
  await hand.hit("button", "Repeat step 1");
  const addInto = async (which: "first" | "last", step: string) => {
    await page.getByRole("button", { name: "into the repeat" })[which]().click();
    hand.actions += 1;
    await hand.hit("menuitem", step);
  };
  await addInto("first", "go");
  await addInto("first", "turn");
  await addInto("last", "turn");
  const turns = page.getByRole("spinbutton", { name: "turn", exact: true });
  await turns.nth(1).click();
  await page.getByRole("textbox", { name: "turn", exact: true }).fill("-90");
  await page.keyboard.press("Enter");
  hand.actions += 2;
  await hand.repeat("turn");
  await hand.set("count", "6");
  await made(hand, 23, [{ motif: { kind: "walk", steps: [{ steps: [{ steps: [{}, {}, {}, {}] }, {}] }] } }]);
});

test("a robe-hook knot: half circles between an outer and an inner one, a quarter turn, over and under", async ({
  page,
}) => {
  const hand = await atEmptySheet(page);
  await hand.hit("button", "arc");
  await hand.set("radius", "40");
  await hand.set("from", "-90");
  await hand.set("to", "90");
  await hand.hit("button", "move, turn or size it …");
  await hand.set("motif down", "-16");
  await hand.repeat("between");
  await hand.hit("button", /^second shape: /);
  await hand.hit("menuitem", /^arc/i);
  await hand.set("second shape: radius", "24");
  await hand.set("second shape: from", "-90");
  await hand.set("second shape: to", "90");
  await hand.hit("button", "move it …");
  await hand.set("second shape down", "-16");
  await hand.set("count", "4");
  await hand.repeat("turn");
  await hand.setLast("count", "4");
  await hand.hit("button", "join: apart");
  await hand.hit("menuitem", /^woven/i);
  await made(hand, 71, [{ rules: [{ kind: "between" }, { kind: "turn", count: 4 }], join: { mode: "weave" } }]);
});
