import { beforeAll, expect, test } from "@jest/globals";
import fc from "fast-check";
import { importSvg, readDesign } from "../src";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

/** Numbers as files that went wrong have them. */
const odd = fc.oneof(
  fc.double(),
  fc.double({ min: -500, max: 500, noNaN: true }),
  fc.constantFrom("1e308", "-1e308", "1e22", "9".repeat(400), "1e-320", "0", "-0", "NaN", "", "12px", "50%"),
);

const picture = fc
  .record({
    size: fc.tuple(odd, odd),
    viewBox: fc.option(fc.tuple(odd, odd, odd, odd)),
    transform: fc.tuple(fc.constantFrom("scale", "translate", "rotate", "skewX"), odd),
    radius: odd,
    width: odd,
    dash: fc.tuple(odd, odd),
    opacity: odd,
    path: fc.array(fc.tuple(fc.constantFrom("M", "L", "H", "q 3 4", "A 5 5 0 1 1", "c 1 1 2 2"), odd, odd), {
      maxLength: 6,
    }),
  })
  .map(({ size, viewBox, transform, radius, width, dash, opacity, path }) => {
    const root = `width="${size[0]}" height="${size[1]}"${viewBox ? ` viewBox="${viewBox.join(" ")}"` : ""}`;
    const style = `stroke="#000" stroke-width="${width}" stroke-dasharray="${dash.join(" ")}" opacity="${opacity}"`;
    const d = ["M 0 0", ...path.map((step) => step.join(" "))].join(" ");
    return `<svg xmlns="http://www.w3.org/2000/svg" ${root}><g transform="${transform[0]}(${transform[1]})"><circle r="${radius}" ${style}/><path d="${d}" ${style}/></g><rect width="9" height="9"/></svg>`;
  });

test("whatever a picture's numbers are, what is taken over of it is a design that can be saved, or it is refused in words", () => {
  fc.assert(
    fc.property(picture, (file) => {
      const read = importSvg(file);
      if ("refusal" in read) {
        expect(read.refusal).not.toBe("");
        return;
      }
      const design = { format: "twin-petal/1", parts: [{ id: "a", motif: { kind: "svg", source: read.source } }] };
      // As it is sent and read again.
      expect(readDesign(JSON.parse(JSON.stringify(design))).problems).toEqual([]);
    }),
    { numRuns: members(400) },
  );
});
