import type { Page } from "@playwright/test";
import { Maker } from "./making";
import { expect, test } from "./server";

/** A polygon of drawn nodes about the middle, the node tool in hand. */
async function drawn(page: Page, nodes: readonly object[]): Promise<Maker> {
  const desk = new Maker(page);
  const motif = { kind: "drawn", paths: [{ closed: true, nodes }] };
  await desk.lay(JSON.stringify({ format: "twin-petal/1", name: "Drawn", parts: [{ id: "a", name: "Facet", motif }] }));
  await desk.tool("Nodes");
  await expect(page.getByTestId("node-0")).toBeVisible();
  return desk;
}

const SQUARE = [
  { x: -40, y: -40 },
  { x: 40, y: -40 },
  { x: 40, y: 40 },
  { x: -40, y: 40 },
];

const zoomOf = async (page: Page) =>
  Number.parseInt((await page.getByTitle("Show at real size").textContent()) ?? "", 10);

test("Shift and a click add a node to the chosen, and let go of one of them", async ({ page }) => {
  const desk = await drawn(page, SQUARE);
  const chosen = (count: number) =>
    expect(page.locator("#node-layer")).toHaveAttribute("aria-label", new RegExp(`${count} chosen`));
  await desk.click(-40, -40);
  await chosen(1);
  await page.keyboard.down("Shift");
  await desk.click(40, -40);
  await chosen(2);
  await desk.click(40, 40);
  await chosen(3);
  await desk.click(40, -40);
  await chosen(2);
  await page.keyboard.up("Shift");
  await desk.click(40, 40);
  await chosen(1);
});

test("the wheel zooms and the middle button moves the view with every tool, and in the close-up", async ({ page }) => {
  const desk = await drawn(page, SQUARE);
  for (const tool of ["Nodes", "Draw", "Freehand", "Look"] as const) {
    await desk.tool(tool);
    await page.getByRole("button", { name: "Show the sheet whole" }).click();
    const before = await zoomOf(page);
    const { x, y } = await desk.middle();
    await page.mouse.move(x, y);
    await page.mouse.wheel(0, -300);
    await expect.poll(() => zoomOf(page)).toBeGreaterThan(before);
    await page.mouse.wheel(0, 300);
    await expect.poll(() => zoomOf(page)).toBe(before);
    const source = page.getByTestId("source");
    const from = await source.boundingBox();
    await page.mouse.down({ button: "middle" });
    await page.mouse.move(x + 60, y + 40, { steps: 4 });
    await page.mouse.up({ button: "middle" });
    await expect.poll(async () => ((await source.boundingBox())?.x ?? 0) - (from?.x ?? 0)).toBeCloseTo(60, 0);
  }
  expect(await desk.nodes()).toHaveLength(4);
  await desk.tool("Nodes");
  await page.keyboard.press("x");
  const node = page.locator("[data-surface=close-up]").getByTestId("node-0");
  await expect(node).toBeVisible();
  const [first, zoomed] = [await node.boundingBox(), await zoomOf(page)];
  const { x, y } = await page.locator("[data-surface=close-up]").evaluate((element) => {
    const box = element.getBoundingClientRect();
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  });
  await page.mouse.move(x, y);
  await page.mouse.wheel(0, -200);
  await expect.poll(() => zoomOf(page)).toBeGreaterThan(zoomed);
  await expect.poll(async () => (await node.boundingBox())?.x).toBeLessThan((first?.x ?? 0) - 5);
  await page.keyboard.press("0");
  await expect.poll(() => zoomOf(page)).toBe(zoomed);
});

test("a node is grasped before a handle that lies on it, and one too short to be told apart is left alone", async ({
  page,
}) => {
  const handle = { x: 80, y: 0 };
  const short = { x: 0, y: 1 };
  const desk = await drawn(page, [{ ...SQUARE[0], out: handle, in: short }, ...SQUARE.slice(1)]);
  await desk.click(-40, -40);
  // The handle of the first node ends on the second.
  await desk.drag([40, -40], [50, -50]);
  const [first, second] = await desk.nodes();
  expect(second?.x).toBeCloseTo(50, 0);
  expect(first).toMatchObject({ out: handle });
  await desk.click(-40, -40);
  await desk.drag([-40, -40], [-50, -45]);
  expect((await desk.nodes())[0]).toMatchObject({ x: expect.closeTo(-50, 0), in: short });
});

test("the first pull of a drawing lands where it was pulled", async ({ page }) => {
  const desk = new Maker(page);
  await desk.openEmpty();
  await page.keyboard.press("3");
  await expect(page.locator("#draw-layer")).toBeVisible();
  await desk.drag([-50, 10], [-30, 10], [-20, 30]);
  await expect
    .poll(async () => (await desk.nodes())[0])
    .toMatchObject({
      x: expect.closeTo(-50, 0),
      y: expect.closeTo(10, 0),
      out: { x: expect.closeTo(30, 0), y: expect.closeTo(20, 0) },
    });
});

test("a pivot: choosing a point keeps its place, 0 across stays a point, and it is set at a node by one action", async ({
  page,
}) => {
  const desk = await drawn(page, SQUARE);
  await desk.tool("Look");
  await desk.addRule("step");
  const pivot = async () => (await desk.file()).parts[0]?.rules?.[0]?.pivot;
  // The pivot's lens is under the foot of the second copy, which stands aside.
  const [lens, foot] = [page.getByLabel(/^Pivot of the step/), page.getByLabel(/^Foot of the second copy/)];
  const boxes = [await lens.boundingBox(), await foot.boundingBox()];
  expect(Math.hypot((boxes[0]?.x ?? 0) - (boxes[1]?.x ?? 0), (boxes[0]?.y ?? 0) - (boxes[1]?.y ?? 0))).toBeGreaterThan(
    15,
  );
  await desk.choose("pivot", "a point");
  expect(await pivot()).toEqual({ x: 0, y: 40 });
  await desk.type("pivot down", "0");
  await expect(desk.number("pivot across")).toBeVisible();
  await expect(desk.number("pivot down")).toBeVisible();
  expect(await pivot()).toEqual({ x: 0, y: 0 });
  await desk.choose("pivot", "a place in the group’s box");
  expect(await pivot()).toEqual({ box: { x: 0.5, y: 0.5 } });
  await desk.type("pivot across", "1");
  expect(await pivot()).toEqual({ box: { x: 1, y: 0.5 } });
  await desk.choose("pivot", "the motif’s foot");
  expect(await pivot()).toBe("foot");
  await desk.tool("Nodes");
  await desk.click(40, -40);
  await desk.word("step about it").click();
  expect(await pivot()).toEqual({ x: 40, y: -40 });
});

test("uneven factors of a step leave its copies square, or skew them, as one wishes", async ({ page }) => {
  const desk = await drawn(page, SQUARE);
  await desk.tool("Look");
  await desk.addRule("step");
  await desk.word("each way").click();
  await desk.type("scale down", "0.8");
  await expect(page.getByRole("button", { name: /^step axes: square/ })).toBeVisible();
  await desk.choose("step axes", "skewed");
  expect((await desk.file()).parts[0]?.rules?.[0]).toMatchObject({ axes: "fixed" });
});

test("single keys are the desk's again once a number was typed; Escape gives up a pull, and a text", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("ring");
  await desk.type("count", "7");
  await desk.keys("2");
  await expect(page.getByRole("button", { name: "Nodes", exact: true, pressed: true })).toBeVisible();
  await desk.keys("1");
  await expect(desk.copies("7")).toBeVisible();
  await desk.number("count").click();
  await page.getByRole("textbox", { name: "count", exact: true }).fill("11");
  await desk.keys("Escape");
  await expect(desk.copies("7")).toBeVisible();
  const count = await desk.number("count").boundingBox();
  await page.mouse.move((count?.x ?? 0) + 4, (count?.y ?? 0) + 6);
  await page.mouse.down();
  await page.mouse.move((count?.x ?? 0) + 64, (count?.y ?? 0) + 6, { steps: 6 });
  await expect(desk.copies("7")).toBeHidden();
  await desk.keys("Escape");
  await expect(desk.copies("7")).toBeVisible();
  await page.mouse.move((count?.x ?? 0) + 104, (count?.y ?? 0) + 6, { steps: 3 });
  await page.mouse.up();
  await expect(desk.copies("7")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Undo: count \d+ → 7/ })).toBeVisible();
  await expect(page.getByRole("button", { name: "Nothing to redo" })).toBeDisabled();
});

test("by keys from the nodes: a menu at the chosen place; pushed out by a number; a corner cut off comes back", async ({
  page,
}) => {
  const cut = [
    { x: -40, y: -40 },
    { x: 20, y: -40 },
    { x: 40, y: -20 },
    { x: 40, y: 40 },
    { x: -40, y: 40 },
  ];
  const desk = await drawn(page, cut);
  await page.locator("#node-layer").focus();
  await desk.click(20, -40);
  await page.keyboard.down("Shift");
  await desk.click(40, -20);
  await page.keyboard.up("Shift");
  await desk.keys("m");
  await expect(page.getByRole("menuitem", { name: "make them corner" })).toBeFocused();
  await page.keyboard.type("meet");
  await expect(page.getByRole("menuitem", { name: "meet here" })).toBeFocused();
  await desk.keys("Enter");
  await expect(page.locator("#node-layer")).toBeFocused();
  const near = (x: number, y: number) => expect.objectContaining({ x: expect.closeTo(x, 3), y: expect.closeTo(y, 3) });
  expect(await desk.nodes()).toEqual([near(-40, -40), near(40, -40), near(40, 40), near(-40, 40)]);
  await desk.keys("Control+a");
  await desk.type("push the chosen out", "10");
  const out = 40 + 10 / Math.SQRT2;
  expect(await desk.nodes()).toEqual([near(-out, -out), near(out, -out), near(out, out), near(-out, out)]);
});
