import { expect, test } from "@jest/globals";
import { FORMATS, makeFile, type Design } from "../src";
import { TEST_HOST } from "./prepared";
import { designWith } from "./testDesign";

/** What is told of a file beside it. */
async function toldOf(design: Design, extension: string): Promise<string> {
  const format = FORMATS.find((known) => known.extension === extension);
  if (!format) throw new Error(`no format ${extension}`);
  const made = await makeFile(design, format, {}, TEST_HOST);
  if (!("file" in made)) throw new Error(JSON.stringify(made));
  return made.notes.join("; ");
}

const disc = (radius: number, frame: object) =>
  designWith({
    sheet: { width: 400, height: 400 },
    parts: [{ id: "a", motif: { kind: "disc", radius }, finish: { fill: "#17566B" } }],
    making: { cut: { frame, kerf: 0.2 }, stitch: { frame } },
  });

test("every file of a cut or of stitches says how far it leaves its frame, and nothing where it does not", async () => {
  const made = FORMATS.filter(({ kind }) => kind === "cut" || kind === "stitch");
  expect(made.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["cut", "stitch"]));
  for (const { kind, extension } of made) {
    // 70 mm and half of the kerf, in a frame that ends at 60; thread has no kerf.
    const [small, wide] = [disc(70, { width: 120, height: 300 }), disc(50, { width: 120, height: 300 })];
    expect(await toldOf(small, extension)).toContain(
      kind === "cut" ? "10.1 mm beyond the frame of 120 × 300 mm" : "beyond the hoop of 120 × 300 mm",
    );
    expect(await toldOf(wide, extension)).toBe("");
  }
});
