import { readFileSync } from "node:fs";
import { PNG } from "pngjs";
import { differenceOf } from "../core/test/pictureDifference";
import { countPixels } from "./desk";
import { Maker } from "./making";
import { expect, test } from "./server";

const GREEN = [0x1e, 0x6f, 0x5c] as const;
const VERMILION = [0xc8, 0x44, 0x2b] as const;

/** A number somewhere within what is saved. */
function numberAt(holder: unknown, ...path: readonly (string | number)[]): number {
  const found = path.reduce<unknown>(
    (within, key) => (typeof within === "object" && within !== null ? Reflect.get(within, key) : undefined),
    holder,
  );
  if (typeof found !== "number") throw new Error(`no number at ${path.join(".")}`);
  return found;
}

/** What a desk shows at one moment, and the step that made it. */
interface Moment {
  readonly picture: PNG;
  readonly step: string | null;
}

const undoButton = (desk: Maker) => desk.page.getByRole("button", { name: /^(Undo: |Nothing to undo)/ });

async function momentOf(desk: Maker): Promise<Moment> {
  return { picture: await desk.picture(), step: await undoButton(desk).getAttribute("aria-label") };
}

/** Undoes step by step back to a moment, and sees that the picture is again what it was. */
async function undoTo(desk: Maker, { picture, step }: Moment): Promise<void> {
  for (let steps = 0; steps < 40; steps++) {
    if ((await undoButton(desk).getAttribute("aria-label")) === step) break;
    await desk.page.keyboard.press("Control+z");
  }
  await expect.poll(async () => differenceOf(await desk.picture(), picture)).toBeLessThan(0.0005);
}

test("a weave: woven, its gap changed, a crossing turned over by pointer and by key, the count changed", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("ring");
  await desk.addRule("ring");
  const apart = await momentOf(desk);
  await desk.join("woven");
  await expect(page.getByRole("button", { name: "join: woven", exact: true })).toBeVisible();
  await desk.type("weave gap", "1.5");
  await page.getByRole("button", { name: "turn crossings over …" }).click();
  await page.getByRole("button", { name: "Crossing 1", exact: true }).click();
  await expect(page.getByRole("button", { name: "Crossing 1, flipped", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Crossing 2", exact: true }).focus();
  await desk.keys("Enter");
  await expect(page.getByText("2 turned: undo them")).toBeVisible();
  expect((await desk.file()).parts[0]).toMatchObject({
    join: { mode: "weave", gap: 1.5, flipped: [{}, {}].map(() => expect.any(String)) },
  });
  await page.getByRole("button", { name: "leave it so" }).click();
  const eight = await desk.picture();
  await desk.type("count", "6");
  await expect(desk.copies("6")).toBeVisible();
  // Crossings turned by hand stay turned.
  await expect(page.getByText("2 turned: undo them")).toBeVisible();
  await expect.poll(async () => differenceOf(await desk.picture(), eight)).toBeGreaterThan(0.005);
  await undoTo(desk, apart);
});

test("faces painted by pointing: an orbit shows and takes the colour; with Alt one face alone", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "22");
  await desk.addRule("ring");
  await desk.join("faces");
  await page.getByRole("button", { name: "paint faces …" }).click();
  // The ring’s own radius, which a file leaves out.
  const reach = 50;
  const outer = await desk.at(0, -(reach + 18));
  await page.mouse.move(outer.x, outer.y, { steps: 4 });
  await expect(page.getByTestId("orbit")).toBeVisible();
  await page.mouse.click(outer.x, outer.y);
  const share = () => desk.picture().then((picture) => countPixels(picture, VERMILION));
  await expect.poll(share).toBeGreaterThan(500);
  const orbit = await share();
  await page.keyboard.press("Control+z");
  await expect.poll(share).toBe(0);
  await page.keyboard.down("Alt");
  await page.mouse.click(outer.x, outer.y);
  await page.keyboard.up("Alt");
  await expect.poll(share).toBeGreaterThan(50);
  expect(await share()).toBeLessThan(orbit / 4);
  await expect(page.getByText("1 painted alone: undo it")).toBeVisible();
  await page.getByRole("button", { name: "leave it so" }).click();
  await desk.type("count", "7");
  await expect(desk.copies("7")).toBeVisible();
  await expect.poll(share).toBeGreaterThan(50);
});

test("outlines beside a merged one, further in, pointed, the first left out; the count goes on", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.addRule("ring");
  await desk.join("merged");
  await page.getByRole("button", { name: "outlines beside it …" }).click();
  await desk.type("outline distance", "-3");
  await desk.type("outlines beside", "2");
  await page.getByRole("button", { name: "outline corners: round" }).click();
  await page.getByRole("menuitem", { name: "pointed" }).click();
  const whole = countPixels(await desk.picture(), GREEN);
  await page.getByRole("button", { name: "first outline: stays" }).click();
  await page.getByRole("menuitem", { name: "is left out" }).click();
  await expect.poll(async () => countPixels(await desk.picture(), GREEN)).toBeLessThan(whole * 0.95);
  expect((await desk.file()).parts[0]).toMatchObject({
    join: { mode: "merge", offset: { by: -3, times: 2, corners: "miter", keep: false } },
  });
  await desk.type("count", "5");
  await expect(desk.copies("5")).toBeVisible();
  await page.getByRole("button", { name: /^Undo: count/ }).click();
  await page.getByRole("button", { name: "Undo: leave the first out" }).click();
  await expect.poll(async () => countPixels(await desk.picture(), GREEN)).toBe(whole);
});

test("a line that swells, is reversed, pulled wider, dotted, and lies inside; then the count", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("star");
  await desk.addRule("ring");
  await page.getByRole("button", { name: "no fill" }).click();
  await page.getByRole("button", { name: "draw one" }).click();
  const plain = await momentOf(desk);
  await page.getByRole("button", { name: "let it swell …" }).click();
  await page.getByRole("menuitem", { name: "growing" }).click();
  await expect.poll(async () => differenceOf(await desk.picture(), plain.picture)).toBeGreaterThan(0.0005);
  const growing = await desk.picture();
  await page.getByRole("button", { name: "reverse it" }).click();
  await expect.poll(async () => differenceOf(await desk.picture(), growing)).toBeGreaterThan(0.0005);
  await page.getByRole("slider", { name: "width 1 along the line" }).focus();
  await desk.keys("ArrowUp", "ArrowUp", "ArrowUp");
  const place = await page.getByRole("slider", { name: "width 2 along the line" }).boundingBox();
  if (!place) throw new Error("no place");
  await desk.pull({ x: place.x + place.width / 2, y: place.y + place.height / 2 }, -40, -12);
  await page.getByRole("button", { name: "make it dots" }).click();
  await desk.type("dot gap", "0.5");
  await page.getByRole("button", { name: "line place: on the outline" }).click();
  await page.getByRole("menuitem", { name: "inside the outline" }).click();
  const { parts } = await desk.file();
  expect(parts[0]).toMatchObject({
    finish: { fill: null, line: { dots: { gap: 0.5 }, place: "inside", swell: [{ width: 2.3 }, {}] } },
  });
  await desk.type("count", "5");
  await expect(desk.copies("5")).toBeVisible();
  await undoTo(desk, plain);
});

test("pools placed on the sheet by their handles, and a gradient by its own", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await page.getByRole("button", { name: "Add a fill colour" }).click();
  await page.getByRole("button", { name: "fill colours: in turn" }).click();
  await page.getByRole("menuitem", { name: "in pools" }).click();
  await page.getByRole("button", { name: "place it on the sheet" }).click();
  const before = await desk.picture();
  await page.getByRole("button", { name: /^Pool 1,/ }).focus();
  await desk.keys("Shift+ArrowRight", "Shift+ArrowDown");
  await expect.poll(async () => differenceOf(await desk.picture(), before)).toBeGreaterThan(0.0005);
  const [part] = (await desk.file()).parts;
  expect(part).toMatchObject({ finish: { fill: { kind: "pools", points: [{ x: expect.any(Number) }, {}] } } });
  await page.getByRole("button", { name: "fill colours: in pools" }).click();
  await page.getByRole("menuitem", { name: "in a line" }).click();
  const end = await page.getByRole("button", { name: /^Direction of the fill/ }).boundingBox();
  if (!end) throw new Error("no handle");
  const middle = await desk.middle();
  await desk.pull(
    { x: end.x + end.width / 2, y: end.y + end.height / 2 },
    middle.x + 90 - end.x,
    middle.y - end.y - end.height / 2,
  );
  const [turned] = (await desk.file()).parts;
  expect(turned).toMatchObject({ finish: { fill: { kind: "linear" } } });
  expect(Math.abs(numberAt(turned, "finish", "fill", "angle") - 90)).toBeLessThan(4);
});

test("shadow, glow, inner shadow, facets and grain: each added, adjusted, undone", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  const plain = await momentOf(desk);
  let before = plain.picture;
  for (const name of ["a shadow", "a glow", "an inner shadow", "facets", "grain"]) {
    await page.getByRole("button", { name, exact: true }).click();
    await expect.poll(async () => differenceOf(await desk.picture(), before), name).toBeGreaterThan(0.0001);
    before = await desk.picture();
  }
  await desk.type("shadow blur", "8");
  await desk.type("facets size", "12");
  await desk.type("grain amount", "0.6");
  expect((await desk.file()).parts[0]).toMatchObject({
    finish: {
      shadow: { blur: 8 },
      texture: { kind: "facets", size: 12 },
      grain: { amount: 0.6 },
      glow: {},
      innerShadow: {},
    },
  });
  await desk.type("count", "5");
  await expect(desk.copies("5")).toBeVisible();
  await page.getByRole("button", { name: "no glow" }).click();
  await undoTo(desk, plain);
});

test("the sheet: a standard size laid down; a part aligned, three spread, a centre piece, accents off the parts", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "25");
  await page.getByRole("button", { name: "standard sizes …" }).click();
  await page.getByRole("menuitem", { name: "A4 210 × 297 mm" }).click();
  await page.getByRole("button", { name: "lay it down" }).click();
  await expect(page.getByRole("button", { name: "A4, lying" })).toBeVisible();
  await page.getByRole("button", { name: "align it …" }).click();
  await page.getByRole("menuitem", { name: "at the left margin" }).click();
  const [disc] = (await desk.file()).parts;
  expect(numberAt(disc, "at", "x")).toBeCloseTo(10 - 297 / 2 + 25, 2);
  await page.getByRole("button", { name: "a centre piece" }).click();
  await page.getByRole("button", { name: "scattered accents" }).click();
  await expect(page.getByRole("button", { name: "Part Accents" })).toBeVisible();
  expect((await desk.file()).parts[2]).toMatchObject({ rules: [{ kind: "scatter", avoid: ["disc", "centre"] }] });
  await page.getByRole("button", { name: "spread the parts across" }).click();
  await expect(page.getByRole("button", { name: "Undo: spread 3 parts across" })).toBeVisible();
});

test("the ground: from one colour into another, turned, in pools, taken off and laid again; undone", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await desk.type("radius", "20");
  const bare = await momentOf(desk);
  /** The colour of the sheet near a corner of it. */
  const corner = async (x: number, y: number): Promise<number[]> => {
    const box = await page.locator("#sheet").boundingBox();
    const place = await desk.at(x, y);
    const { data, width } = await desk.picture();
    const at = (Math.round(place.y - (box?.y ?? 0)) * width + Math.round(place.x - (box?.x ?? 0))) * 4;
    return [...data.subarray(at, at + 3)];
  };
  await page.getByRole("button", { name: "Add a ground colour", exact: true }).click();
  await expect(page.getByRole("button", { name: "ground colours: in a line" })).toBeVisible();
  await expect.poll(() => corner(0, -97)).not.toEqual(await corner(0, 97));
  await desk.type("ground angle", "90");
  await expect.poll(() => corner(0, -97)).toEqual(await corner(0, 97));
  expect(Math.min(...(await corner(-97, 0)))).toBeGreaterThan(250);
  await page.getByRole("button", { name: "ground colours: in a line" }).click();
  await page.getByRole("menuitem", { name: "in pools" }).click();
  expect(await desk.file()).toMatchObject({
    sheet: {
      ground: {
        kind: "pools",
        points: [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
        ],
      },
    },
  });
  await expect.poll(() => corner(97, 97)).not.toEqual(await corner(-97, -97));
  await page.getByRole("button", { name: "no ground" }).click();
  await page.getByRole("button", { name: "lay one" }).click();
  await undoTo(desk, bare);
});

test("the palette: from a picture, a ramp, a colour renamed wherever it is used, removed but kept where it was", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  const picture = new PNG({ width: 20, height: 20 });
  for (let pixel = 0; pixel < 400; pixel++)
    picture.data.set(pixel % 2 ? [200, 68, 43, 255] : [27, 36, 64, 255], pixel * 4);
  await page
    .getByLabel("Picture to take colours from")
    .setInputFiles({ name: "tiles.png", mimeType: "image/png", buffer: PNG.sync.write(picture) });
  const palette = page.getByRole("list", { name: "Palette" });
  await expect(palette.getByRole("listitem")).toHaveCount(2);
  await page.getByRole("button", { name: "a ramp …" }).click();
  await page.getByRole("menuitem", { name: "picture and picture 2" }).click();
  await expect(palette.getByRole("listitem")).toHaveCount(5);
  await page.getByRole("button", { name: /^fill: / }).click();
  await page
    .getByRole("group", { name: "Colours of the design" })
    .getByRole("button", { name: "picture", exact: true })
    .click();
  await page.keyboard.press("Escape");
  await page.getByRole("textbox", { name: "Name of the colour picture", exact: true }).fill("tile");
  await page.keyboard.press("Enter");
  expect((await desk.file()).parts[0]).toMatchObject({ finish: { fill: "palette:tile" } });
  await expect(palette.getByText("△ faint")).toHaveCount(0);
  await page.getByRole("button", { name: "Remove the colour tile" }).click();
  const [part] = (await desk.file()).parts;
  expect(part).toMatchObject({ finish: { fill: expect.stringMatching(/^#(C8442B|1B2440)$/) } });
  await page
    .getByLabel("Picture to take colours from")
    .setInputFiles({ name: "words.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByText("words.png is not a picture this browser can read")).toBeVisible();
});

test("taken away: a picture at a chosen resolution, line art, the seamless tile, and why there is none", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.open("foot-bath-floor");
  const take = async (name: string): Promise<Buffer> => {
    const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("menuitem", { name }).click()]);
    return readFileSync(await file.path());
  };
  const menu = page.getByRole("button", { name: "Take away" });
  await menu.click();
  await page.getByRole("menuitemradio", { name: "96" }).click();
  const screen = PNG.sync.read(await take(".png a picture at 96 dpi"));
  await menu.click();
  await page.getByRole("menuitemcheckbox", { name: /^As line art/ }).click();
  const lines = (await take(".svg vectors at real size")).toString();
  expect(lines).toContain('fill="none"');
  expect(lines).toContain('stroke-width="0.35"');
  expect(screen.width).toBeGreaterThan(300);
  await menu.click();
  expect((await take(".tile.svg")).toString()).toContain("<svg");
  await desk.open("locker-key-star");
  await menu.click();
  await expect(page.getByRole("menuitem", { name: ".png a picture" })).toBeVisible();
  await expect(page.getByRole("menuitem", { name: ".tile.png" })).toHaveCount(0);
  await page.keyboard.press("Escape");
  await desk.begin("petal");
  await desk.addRule("grid");
  await desk.join("woven");
  await menu.click();
  await page.getByRole("menuitem", { name: ".tile.png" }).click();
  await expect(page.getByText("no part of this design repeats without a seam")).toBeVisible();
});

test("copies baked into drawn shapes, and back by undo", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("petal");
  await desk.addRule("turn");
  await desk.join("merged");
  const before = await desk.picture();
  await page.getByRole("button", { name: "bake them" }).click();
  await expect(desk.copies("1")).toBeVisible();
  expect((await desk.file()).parts[0]).toMatchObject({ motif: { kind: "drawn" } });
  await expect.poll(async () => differenceOf(await desk.picture(), before)).toBeLessThan(0.001);
  await page.getByRole("button", { name: "Undo: bake “Petal”" }).click();
  await expect(desk.copies("8")).toBeVisible();
  await expect(page.getByRole("button", { name: "join: merged", exact: true })).toBeVisible();
});

test("work that takes long is told by its part, and stopping it undoes the change", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("star");
  await desk.addRule("grid");
  await desk.type("columns", "23");
  await desk.type("rows", "23");
  await desk.type("pitch", "9");
  await expect(desk.copies("529")).toBeVisible();
  const apart = await desk.picture();
  await desk.join("faces");
  await expect(page.getByText("Computing “Star” …")).toBeVisible();
  await page.getByRole("button", { name: "Stop and undo" }).click();
  // The last good picture stays in view while another painter begins.
  const at = await page.locator("#sheet").boundingBox();
  for (let look = 0; look < 4; look++) {
    const seen = PNG.sync.read(await page.screenshot({ clip: at ?? undefined }));
    expect(countPixels(seen, [0x1e, 0x6f, 0x5c])).toBeGreaterThan(5_000);
  }
  await expect(page.getByRole("button", { name: "join: apart" })).toBeVisible();
  await desk.ready();
  await expect.poll(async () => differenceOf(await desk.picture(), apart)).toBeLessThan(0.0005);
});
