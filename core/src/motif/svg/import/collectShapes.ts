import type { SvgShapeValue } from "../source";
import { MOST_SHAPES } from "../../../fields/most";
import { combine } from "../../../geometry/boolean/boolean";
import { multiply, sizeOf, translation, type Matrix } from "../../../geometry/matrix";
import { transformPath, type Path } from "../../../geometry/path";
import { decimals } from "../../../geometry/decimals";
import { pathData } from "../../../geometry/pathData";
import { clipOf, insideClip, type Clip } from "./clips";
import { elementPath, type Viewport } from "./elementPath";
import { middleColor } from "./gradients";
import type { Importing } from "./importing";
import type { LeftOut } from "./leftOut";
import { numbersIn, pixelsOfLength } from "./lengths";
import { ImportRefused } from "./refused";
import { fillRuleOf, lineOf, paintOf, ROOT_STYLE, styleOf, type ImportedPaint, type Style } from "./style";
import { readStylesheet } from "./stylesheet";
import { transformOf, viewBoxMap } from "./transforms";
import type { XmlElement } from "./xmlTree";

/** Elements that say nothing of the picture, or only something for those that refer to them. */
const SILENT = new Set([
  "defs",
  "metadata",
  "title",
  "desc",
  "style",
  "linearGradient",
  "radialGradient",
  "clipPath",
  "symbol",
  "namedview",
]);
const GROUPS = new Set(["svg", "g", "a", "switch"]);
/** How many levels of `use` may stand in each other. */
const DEEPEST_USE = 20;
/** Elements looked at in all, those met again through uses included. */
const MOST_VISITS = 60_000;

interface Place {
  readonly toSheet: Matrix;
  readonly style: Style;
  readonly viewport: Viewport;
  readonly clips: readonly Clip[];
  readonly uses: readonly string[];
}

/** Every shape a file draws, bottom first, in millimetres. */
export function collectShapes(
  root: XmlElement,
  viewport: Viewport,
  toSheet: Matrix,
  leftOut: LeftOut,
): SvgShapeValue[] {
  const ids = new Map<string, XmlElement>();
  const styles: string[] = [];
  visit(root, (element) => {
    const id = element.attributes.get("id");
    if (id !== undefined && !ids.has(id)) ids.set(id, element);
    if (element.name === "style") styles.push(element.text);
  });
  const sheet = readStylesheet(styles);
  if (sheet.leftOut.length > 0) leftOut.note(`styles for ${sheet.leftOut.slice(0, 3).join(", ")}`);
  const collector = new Collector({ ids, sheet, leftOut });
  const { style } = styleOf(root, ROOT_STYLE, sheet);
  const place = { toSheet, style, viewport, clips: [], uses: [] };
  for (const child of root.children) collector.take(child, place);
  return collector.shapes;
}

function visit(element: XmlElement, look: (element: XmlElement) => void): void {
  look(element);
  for (const child of element.children) visit(child, look);
}

class Collector {
  readonly shapes: SvgShapeValue[] = [];
  private visited = 0;

  constructor(private readonly walk: Importing) {}

  take(element: XmlElement, outer: Place): void {
    const { name } = element;
    if (++this.visited > MOST_VISITS) throw new ImportRefused("unfolds without end by uses of uses; save it unfolded");
    if (SILENT.has(name)) return;
    const { style, own } = styleOf(element, outer.style, this.walk.sheet);
    if (!style.shown) return;
    const toSheet = multiply(outer.toSheet, transformOf(own.get("transform")));
    const place = { ...outer, style, toSheet, clips: this.clipsOf(own, toSheet, outer) };
    for (const refused of ["mask", "filter"]) {
      const value = own.get(refused);
      if (value !== undefined && value !== "none") this.walk.leftOut.note(`a ${refused}`);
    }
    if (name === "use") return this.use(element, place);
    if (GROUPS.has(name)) return this.group(element, place);
    const path = elementPath(element, place.viewport);
    if (!path) return this.walk.leftOut.note(wordsFor(name));
    if (own.has("marker-start") || own.has("marker-mid") || own.has("marker-end")) this.walk.leftOut.note("markers");
    if (style.properties.get("visibility") !== "hidden" && style.properties.get("visibility") !== "collapse") {
      this.draw(path, place);
    }
  }

  private clipsOf(own: ReadonlyMap<string, string>, toSheet: Matrix, outer: Place): readonly Clip[] {
    const reference = /url\(\s*["']?#([^"')]+)/.exec(own.get("clip-path") ?? "")?.[1];
    const clip = reference === undefined ? null : clipOf(reference, toSheet, outer.viewport, this.walk);
    return clip ? [...outer.clips, clip] : outer.clips;
  }

  private group(element: XmlElement, place: Place): void {
    const inner = element.name === "svg" ? viewportOf(element, place) : place;
    for (const child of element.children) this.take(child, inner);
  }

  private use(element: XmlElement, place: Place): void {
    const href = element.attributes.get("href") ?? "";
    if (!href.startsWith("#")) return this.walk.leftOut.note("a reference to another file");
    const id = href.slice(1);
    const target = this.walk.ids.get(id);
    if (!target) return this.walk.leftOut.note(`a use of “${id}”, which is not there`);
    if (place.uses.includes(id)) throw new ImportRefused(`uses “${id}” inside itself, round and round`);
    if (place.uses.length >= DEEPEST_USE) throw new ImportRefused(`has uses nested more than ${DEEPEST_USE} deep`);
    const x = pixelsOfLength(element.attributes.get("x"), place.viewport.width) ?? 0;
    const y = pixelsOfLength(element.attributes.get("y"), place.viewport.height) ?? 0;
    const inner = { ...place, toSheet: multiply(place.toSheet, translation(x, y)), uses: [...place.uses, id] };
    if (target.name !== "symbol" && target.name !== "svg") return this.take(target, inner);
    const { style } = styleOf(target, place.style, this.walk.sheet);
    const sized = viewportOf(target, { ...inner, style }, element);
    for (const child of target.children) this.take(child, sized);
  }

  private draw(path: Path, { toSheet, style, viewport, clips }: Place): void {
    const placed = transformPath(path, toSheet);
    if (placed.length === 0) return;
    const fill = this.colorOf(paintOf(style, "fill"));
    const stroke = this.colorOf(paintOf(style, "stroke"));
    const line = lineOf(style, Math.hypot(viewport.width, viewport.height) / Math.SQRT2);
    const width = line.width * sizeOf(toSheet);
    const lined = stroke !== null && width > 0;
    if (lined && isUneven(toSheet)) this.walk.leftOut.note("the slant of an unevenly scaled line");
    const shared = style.opacity < 1 ? { opacity: Number(style.opacity.toFixed(4)) } : {};
    const rule = fillRuleOf(style);
    const cut = insideClip(placed, clips);
    if (cut === "outside") return;
    const add = (shape: Omit<SvgShapeValue, "d">, outline: Path) => {
      if (this.shapes.length >= MOST_SHAPES) {
        throw new ImportRefused(`draws more than ${MOST_SHAPES.toLocaleString("en")} shapes; save it with less detail`);
      }
      if (outline.length > 0) this.shapes.push({ d: pathData(outline), ...shape, ...shared });
    };
    const drawnLine = lined
      ? {
          line: {
            color: stroke,
            width: rounded(width),
            ...(line.cap !== "butt" && { cap: line.cap }),
            ...(line.join !== "miter" && { join: line.join }),
            ...(line.dash.length > 0 && { dash: line.dash.map((length) => rounded(length * sizeOf(toSheet))) }),
          },
        }
      : {};
    const ruled = rule === "evenodd" ? { rule } : {};
    if (cut === "inside") {
      if (fill !== null || lined) add({ fill, ...ruled, ...drawnLine }, placed);
      return;
    }
    if (fill !== null)
      add(
        { fill },
        clips.reduce((left, clip) => combine([left, clip.path], "intersection", rule), placed),
      );
    if (lined) {
      this.walk.leftOut.note("the clipping of a line");
      add({ fill: null, ...drawnLine }, placed);
    }
  }

  private colorOf(paint: ImportedPaint): string | null {
    if (paint === null || "color" in paint) return paint?.color ?? null;
    const target = this.walk.ids.get(paint.reference);
    const color = target ? middleColor(target, this.walk) : null;
    if (color === null) {
      this.walk.leftOut.note(target?.name === "pattern" ? "a pattern" : "a paint that is not there");
      return paint.fallback;
    }
    this.walk.leftOut.note("a gradient (its middle colour stands for it)");
    return color;
  }
}

function rounded(value: number): number {
  return Number(decimals(value, 5));
}

function isUneven([a, b, c, d]: Matrix): boolean {
  const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)];
  return Math.abs(across - down) > 0.01 * Math.max(across, down) || Math.abs(a * c + b * d) > 0.01 * across * down;
}

function viewportOf(element: XmlElement, place: Place, sizedBy: XmlElement = element): Place {
  const side = (key: "width" | "height", whole: number) =>
    pixelsOfLength(sizedBy.attributes.get(key) ?? element.attributes.get(key), whole) ?? whole;
  const at = (key: string, whole: number) =>
    element === sizedBy ? (pixelsOfLength(element.attributes.get(key), whole) ?? 0) : 0;
  const { viewport } = place;
  const size = { width: side("width", viewport.width), height: side("height", viewport.height) };
  const viewBox = numbersIn(element.attributes.get("viewBox"));
  const map = viewBoxMap(viewBox, size.width, size.height, element.attributes.get("preserveAspectRatio"));
  const moved = multiply(translation(at("x", viewport.width), at("y", viewport.height)), map);
  const inner = viewBox.length === 4 ? { width: viewBox[2] ?? 0, height: viewBox[3] ?? 0 } : size;
  return { ...place, toSheet: multiply(place.toSheet, moved), viewport: inner };
}

const WORDS: Readonly<Record<string, string>> = {
  text: "text (turn letters into outlines first)",
  image: "an embedded picture",
  foreignObject: "foreign content",
  pattern: "a pattern",
};

function wordsFor(name: string): string {
  return WORDS[name] ?? (/^(animate|set|discard)/.test(name) ? "an animation" : `<${name}>`);
}
