import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { apply, multiply, type Matrix } from "../src";
import { numbersIn, pixelsOfLength } from "../src/motif/svg/import/lengths";
import { fillRuleOf, lineOf, paintOf, ROOT_STYLE, styleOf, type Style } from "../src/motif/svg/import/style";
import { readStylesheet } from "../src/motif/svg/import/stylesheet";
import { transformOf, viewBoxMap } from "../src/motif/svg/import/transforms";

const element = (name: string, attributes: Record<string, string> = {}) => ({
  name,
  attributes: new Map(Object.entries(attributes)),
  children: [],
  text: "",
});
const NO_SHEET = readStylesheet([]);
const styled = (attributes: Record<string, string>, outer: Style = ROOT_STYLE, sheet = NO_SHEET) =>
  styleOf(element("path", attributes), outer, sheet).style;

describe("style sheets of a picture", () => {
  const declared = (css: string, name: string, attributes: Record<string, string> = {}) =>
    Object.fromEntries(readStylesheet([css]).declarationsFor(element(name, attributes)));

  test("an id is stronger than any number of classes, a class than a name, and of equals the later wins", () => {
    const css = "#one{fill:red} .a.b.c{fill:green} path{fill:blue} .a{stroke:red} .b{stroke:blue} *{stroke:black}";
    expect(declared(css, "path", { id: "one", class: "a b c" })).toEqual({ fill: "red", stroke: "blue" });
    expect(declared(css, "path", { class: "c b a" })).toEqual({ fill: "green", stroke: "blue" });
    expect(declared(css, "path")).toEqual({ fill: "blue", stroke: "black" });
    expect(declared(css, "rect", { class: "ab" })).toEqual({ stroke: "black" });
  });

  test("one rule may be for several; several sheets are read as one", () => {
    expect(declared("path, .x { fill : red ; stroke-width: 2 }", "rect", { class: "x" })).toEqual({
      fill: "red",
      "stroke-width": "2",
    });
    const sheet = readStylesheet([".a{fill:red}", ".a{fill:blue}"]);
    expect(sheet.declarationsFor(element("path", { class: "a" })).get("fill")).toBe("blue");
  });

  test("selectors that ask for more are left out and named, and what is broken harms nothing else", () => {
    const sheet = readStylesheet(["g > path{fill:red} path:hover{fill:red} .ok{fill:blue} .half{fill:"]);
    expect(sheet.leftOut).toEqual(["g>path", "path:hover"]);
    expect(sheet.declarationsFor(element("path", { class: "ok" })).get("fill")).toBe("blue");
  });
});

describe("how an element is painted", () => {
  test("its own style is stronger than the sheet, the sheet than its attributes, all than what is around it", () => {
    const outer = styled({ fill: "#000001", stroke: "#000001", "stroke-width": "9" });
    const sheet = readStylesheet(["path{stroke:#000003;fill:#000003}"]);
    const style = styled({ fill: "#000002", style: "fill:#000004" }, outer, sheet);
    expect(paintOf(style, "fill")).toEqual({ color: "#000004" });
    expect(paintOf(style, "stroke")).toEqual({ color: "#000003" });
    expect(lineOf(style, 100).width).toBe(9);
  });

  test("where nothing is said a shape is filled black, without a line, nonzero", () => {
    expect(paintOf(ROOT_STYLE, "fill")).toEqual({ color: "#000000" });
    expect(paintOf(ROOT_STYLE, "stroke")).toBeNull();
    expect(fillRuleOf(ROOT_STYLE)).toBe("nonzero");
    expect(fillRuleOf(styled({ "fill-rule": " evenodd" }))).toBe("evenodd");
  });

  test("opacity multiplies along groups, a fill's own goes into its colour", () => {
    const outer = styled({ opacity: "50%" });
    expect(styled({ opacity: "0.5" }, outer).opacity).toBe(0.25);
    expect(styled({ opacity: "7" }, outer).opacity).toBe(0.5);
    expect(styled({ opacity: "nonsense" }, outer).opacity).toBe(0.5);
    expect(paintOf(styled({ fill: "red", "fill-opacity": "0.5" }), "fill")).toEqual({ color: "#FF000080" });
    expect(paintOf(styled({ fill: "rgba(255, 0, 0, 0.5)", "fill-opacity": "0.5" }), "fill")).toEqual({
      color: "#FF000040",
    });
  });

  test("colours in every way of writing; the current colour; none; what is no colour is none", () => {
    for (const text of ["#f00", "#FF0000", "red", "rgb(255,0,0)", "rgb(100%, 0%, 0%)", "hsl(0, 100%, 50%)"]) {
      expect(paintOf(styled({ fill: text }), "fill")).toEqual({ color: "#FF0000" });
    }
    expect(paintOf(styled({ fill: "currentColor", color: "blue" }), "fill")).toEqual({ color: "#0000FF" });
    for (const text of ["none", "transparent", "expression(1)"])
      expect(paintOf(styled({ fill: text }), "fill")).toBeNull();
  });

  test("a paint by reference names it, with the colour that stands in for it", () => {
    expect(paintOf(styled({ fill: "url(#dusk) #123456" }), "fill")).toEqual({ reference: "dusk", fallback: "#123456" });
    expect(paintOf(styled({ fill: 'url("#dusk")' }), "fill")).toEqual({ reference: "dusk", fallback: null });
  });

  test("hidden by display, and so is all within; a line's ends, corners and dashes", () => {
    const hidden = styled({ display: "none" });
    expect([hidden.shown, styled({}, hidden).shown]).toEqual([false, false]);
    const line = lineOf(
      styled({ "stroke-linecap": "round", "stroke-linejoin": "bevel", "stroke-dasharray": "1 2,3" }),
      1,
    );
    expect(line).toEqual({ width: 1, cap: "round", join: "bevel", dash: [1, 2, 3, 1, 2, 3] });
    for (const dashes of ["none", "0 0", "3 -1"])
      expect(lineOf(styled({ "stroke-dasharray": dashes }), 1).dash).toEqual([]);
    expect(lineOf(styled({ "stroke-width": "10%" }), 250).width).toBe(25);
  });
});

describe("lengths and lists of a picture", () => {
  test("an inch is 96 pixels, 25.4 mm, 72 points, 6 picas", () => {
    for (const text of ["96", "96px", "1in", "25.4mm", "2.54cm", "72pt", "6pc", "101.6q", " 6em "])
      expect(pixelsOfLength(text, 0)).toBeCloseTo(96, 9);
    expect(pixelsOfLength("12.5%", 400)).toBe(50);
    expect(pixelsOfLength("1e2", 0)).toBe(100);
    for (const text of [undefined, "", "wide", "3 apples", "1px 2px"]) expect(pixelsOfLength(text, 9)).toBeNull();
  });

  test("numbers run together as the standard lets them", () => {
    expect(numbersIn("1-2.5.5,3e-1+4")).toEqual([1, -2.5, 0.5, 0.3, 4]);
    expect(numbersIn("none")).toEqual([]);
  });
});

describe("transforms of a picture", () => {
  const near = (matrix: Matrix) => matrix.map((entry) => expect.closeTo(entry, 9));

  test("each says what it says", () => {
    expect(transformOf("matrix(1 2 3 4 5 6)")).toEqual([1, 2, 3, 4, 5, 6]);
    expect(transformOf("translate(7)")).toEqual([1, 0, 0, 1, 7, 0]);
    expect(transformOf("scale(3)")).toEqual([3, 0, 0, 3, 0, 0]);
    expect(transformOf("rotate(90)")).toEqual(near([0, 1, -1, 0, 0, 0]));
    expect(apply(transformOf("rotate(90, 10, 10)"), { x: 20, y: 10 })).toEqual({
      x: expect.closeTo(10, 9),
      y: expect.closeTo(20, 9),
    });
    expect(transformOf("skewX(45)")).toEqual(near([1, 0, 1, 1, 0, 0]));
    expect(transformOf("skewY(45)")).toEqual(near([1, 1, 0, 1, 0, 0]));
    expect(transformOf(undefined)).toEqual([1, 0, 0, 1, 0, 0]);
    expect(transformOf("spin(3)")).toEqual([1, 0, 0, 1, 0, 0]);
  });

  test("several are done from the last to the first, whatever they are", () => {
    const one = fc.tuple(fc.constantFrom("translate", "scale", "rotate", "skewX"), fc.integer({ min: 1, max: 60 }));
    const text = ([name, value]: readonly [string, number]) => `${name}(${value})`;
    fc.assert(
      fc.property(one, one, (first, second) => {
        const both = transformOf(`${text(first)} , ${text(second)}`);
        expect(both).toEqual(near(multiply(transformOf(text(first)), transformOf(text(second)))));
      }),
    );
  });

  test("a view box is laid in whole and centred, cut where told, at the sides named, or stretched", () => {
    const corners = (preserve: string | undefined) => {
      const map = viewBoxMap([10, 20, 100, 50], 200, 200, preserve);
      const [from, to] = [apply(map, { x: 10, y: 20 }), apply(map, { x: 110, y: 70 })];
      return [from.x, from.y, to.x, to.y];
    };
    expect(corners(undefined)).toEqual([0, 50, 200, 150]);
    expect(corners("xMinYMin meet")).toEqual([0, 0, 200, 100]);
    expect(corners("xMaxYMax")).toEqual([0, 100, 200, 200]);
    expect(corners("xMidYMid slice")).toEqual([-100, 0, 300, 200]);
    expect(corners("xMinYMid slice")).toEqual([0, 0, 400, 200]);
    expect(corners("none")).toEqual([0, 0, 200, 200]);
    expect(viewBoxMap([0, 0, 0, 9], 200, 200, undefined)).toEqual([1, 0, 0, 1, 0, 0]);
  });
});
