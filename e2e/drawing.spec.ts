import { countPixels } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

test("a floor star from an empty sheet: a guide star, one facet snapped to it, reflected and turned seven times", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("drawing");
  await page.getByRole("button", { name: "Lay a guide" }).click();
  await page.getByRole("menuitem", { name: "a star" }).click();
  // Clicks near the guide's points, not on them.
  const inner = { x: 26 * Math.sin(Math.PI / 7), y: -26 * Math.cos(Math.PI / 7) };
  await desk.click(1, -59);
  await desk.click(inner.x + 1, inner.y + 1);
  const centre = await desk.at(0.8, 1);
  await page.mouse.move(centre.x, centre.y, { steps: 3 });
  await expect(page.locator("#draw-layer text").filter({ hasText: "centre" })).toBeVisible();
  await desk.click(0.8, 1);
  await desk.keys("c");
  expect(await desk.nodes()).toEqual([
    { x: 0, y: -60 },
    { x: expect.closeTo(inner.x, 4), y: expect.closeTo(inner.y, 4) },
    { x: 0, y: 0 },
  ]);
  await desk.addRule("reflect");
  await desk.addRule("turn");
  await desk.type("count", "7");
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await expect(desk.copies("14")).toBeVisible();
  await desk.tool("Look");
  const picture = await desk.picture();
  const [dark, light] = [countPixels(picture, [0x1e, 0x6f, 0x5c]), countPixels(picture, [0xaa, 0xc9, 0xc2], 24)];
  // Seven facets each: 7 × 60 × 26 × sin(π/7) / 2 square millimetres.
  const expected = (7 * 60 * 26 * Math.sin(Math.PI / 7)) / 2;
  const scale = (await desk.at(1, 0)).x - (await desk.at(0, 0)).x;
  for (const pixels of [dark, light]) expect(pixels / scale ** 2 / expected).toBeGreaterThan(0.85);
});

test("by keys alone: drawn, closed, a node chosen and moved, made smooth, given a neighbour, removed", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("drawing");
  await desk.keys("3");
  await expect(page.locator("#draw-layer")).toBeFocused();
  const tenTimes = (key: string) => `Shift+${key}`;
  await desk.keys(
    "Space",
    tenTimes("ArrowRight"),
    "Space",
    tenTimes("ArrowUp"),
    "Space",
    tenTimes("ArrowLeft"),
    "Space",
    "c",
  );
  expect((await desk.nodes()).map(({ x, y }) => [x, y])).toEqual([
    [0, 0],
    [10, 0],
    [10, -10],
    [0, -10],
  ]);
  await desk.keys("2");
  await expect(page.locator("#node-layer")).toBeFocused();
  await desk.keys(".", ".", "ArrowRight", "Shift+ArrowUp");
  await expect(page.getByText("Node 2 stands")).toBeVisible();
  expect((await desk.nodes())[1]).toEqual({ x: 11, y: -10 });
  await desk.keys("Control+a");
  await expect(page.getByText("4 nodes chosen")).toBeVisible();
  await page.getByRole("button", { name: "node type: corner" }).focus();
  await desk.keys("Enter");
  for (const type of ["corner", "smooth", "symmetric"]) {
    if (type !== "corner") await desk.keys("ArrowDown");
    await expect(page.getByRole("menuitem", { name: type })).toBeFocused();
  }
  await desk.keys("Enter");
  expect((await desk.nodes()).map(({ type }) => type)).toEqual(Array(4).fill("symmetric"));
  await desk.word("between, only the new").focus();
  await desk.keys("Enter");
  expect(await desk.nodes()).toHaveLength(8);
  await desk.keys("2");
  await expect(page.locator("#node-layer")).toBeFocused();
  await desk.keys("Delete");
  expect(await desk.nodes()).toHaveLength(4);
  await page.getByRole("button", { name: /^Undo: remove 4 nodes/ }).click();
  expect(await desk.nodes()).toHaveLength(8);
});

test("a half shape of curves closes on the mirror line; a near miss is told and mended", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("drawing");
  await page.keyboard.down("Control");
  await desk.click(0.5, 0);
  await page.keyboard.up("Control");
  await desk.drag([20, -35], [20, -50]);
  await desk.click(0, -70);
  await desk.keys("Enter");
  await desk.addRule("reflect");
  await expect(page.getByText(/Node 1 misses the mirror line by 0\.\d+ mm/)).toBeVisible();
  await desk.word("mend the seam").click();
  await expect(page.getByText(/misses the mirror line/)).toHaveCount(0);
  const nodes = await desk.nodes();
  expect(nodes[0]?.x).toBe(0);
  expect(nodes[1]).toMatchObject({ type: "symmetric", out: { x: 0, y: expect.closeTo(-15, 0) } });
  const picture = await desk.picture();
  expect(countPixels(picture, [0x1e, 0x6f, 0x5c])).toBeGreaterThan(12_000);
});

test("a node is dragged on another copy: the change is carried back through the copy's placement", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("drawing");
  await desk.click(10, -20);
  await desk.click(30, -40);
  await desk.click(10, -60);
  await desk.keys("c");
  await desk.addRule("turn");
  await desk.type("count", "4");
  await desk.tool("Nodes");
  // The copy a quarter turn on: (x, y) stands at (−y, x).
  await desk.click(40, 18);
  await expect(page.locator("[data-testid=node-1]")).toBeVisible();
  await desk.drag([40, 30], [40, 45]);
  const nodes = await desk.nodes();
  expect(nodes[1]?.x).toBeCloseTo(45, 0);
  expect(nodes[1]?.y).toBeCloseTo(-40, 0);
});

test("loop, every second, between, segments, twice-clicked lines, joins and cuts", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("polygon");
  await desk.word("bake into nodes").click();
  await expect(page.getByText("6 nodes in 1 run.")).toBeVisible();
  await desk.tool("Nodes");
  // A loop around the upper three corners of the hexagon of radius 20.
  await desk.drag([-40, -25], [40, -25], [40, -5], [-40, -5], [-40, -25]);
  await expect(page.getByText("3 nodes chosen")).toBeVisible();
  await desk.word("nodes between").click();
  await expect(page.getByText("8 nodes in 1 run.")).toBeVisible();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await desk.word("choose none").click();
  await desk.click(0, -20);
  await expect(page.getByText("Node 1 stands")).toBeVisible();
  await desk.word("every second").click();
  await expect(page.getByText("3 nodes chosen")).toBeVisible();
  await desk.type("scale the chosen", "0.5");
  const scaled = await desk.nodes();
  expect(scaled.map(({ x, y }) => Math.round(Math.hypot(x, y)))).toEqual([10, 20, 10, 20, 10, 20]);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await desk.word("choose none").click();
  // The middle of the first side, from (0, −20) to (17.3, −10), pulled outwards: a straight side takes its ends along.
  await desk.drag([8.66, -15], [13.66, -23.66]);
  const moved = await desk.nodes();
  expect(moved[0]?.x).toBeCloseTo(5, 0);
  expect(moved[1]?.y).toBeCloseTo(-18.7, 0);
  const off = await desk.at(-5, 17.1);
  await page.mouse.dblclick(off.x, off.y);
  await expect(page.getByText("7 nodes in 1 run.")).toBeVisible();
  await desk.word("cut open here").click();
  await expect(page.getByText("8 nodes in 1 run.")).toBeVisible();
  const file = await desk.file();
  expect(JSON.stringify(file.parts[0]?.motif.paths)).not.toContain("closed");
  await desk.word("choose all").click();
  await desk.word("choose none").click();
});

test("matching nodes of a many-sided figure are reshaped all at once into a rounded star", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("polygon");
  await desk.type("sides", "10");
  await desk.word("bake into nodes").click();
  await desk.tool("Nodes");
  await desk.click(0, -20);
  await desk.word("every second").click();
  await desk.type("scale the chosen", "0.6");
  await desk.word("choose none").click();
  await desk.word("reshape matching nodes together").click();
  await desk.click(0, -12);
  await expect(page.getByText("Node 1 stands")).toBeVisible();
  await page.getByRole("button", { name: "node type: corner" }).click();
  await page.getByRole("menuitem", { name: "symmetric" }).click();
  await desk.drag([0, -12], [0, -16]);
  const radii = (await desk.nodes()).map(({ x, y }) => Math.hypot(x, y));
  const inner = radii.filter((_, index) => index % 2 === 0);
  expect(Math.max(...inner) - Math.min(...inner)).toBeLessThan(0.01);
  expect(inner[0]).toBeCloseTo(16, 0);
  expect(radii[1]).toBeCloseTo(20, 3);
});

test("exact positions are typed, every handle of a ready shape is pulled, the close-up takes the sheet's place", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.ready();
  await page.getByRole("button", { name: /^length of the motif/ }).focus();
  await desk.keys("Shift+ArrowUp");
  await expect.poll(() => desk.number("length").getAttribute("aria-valuenow")).toBe("50");
  await desk.drag([8, -25], [18, -25]);
  await expect.poll(async () => Number(await desk.number("width").getAttribute("aria-valuenow"))).toBeCloseTo(36, 0);
  await desk.word("bake into nodes").click();
  await desk.keys("x");
  await desk.keys("2");
  await expect(page.locator("[data-surface=close-up] #node-layer")).toBeFocused();
  await desk.keys(".");
  await desk.type("node across", "3");
  await desk.type("node down", "-2.5");
  expect((await desk.nodes())[0]).toMatchObject({ x: 3, y: -2.5 });
  await desk.keys("x");
  await expect(page.locator("[data-surface=close-up] #node-layer")).toHaveCount(0);
});
