import { zlibSync } from "fflate";
import type { PDFContext, PDFObject, PDFRef } from "pdf-lib";
import type { Box } from "../../geometry/box";
import type { PlacedGradient } from "../../finish/gradient";
import type { Raster } from "../../finish/pools";
import type { Blend } from "../../finish/finishFields";
import { channelsOf } from "./operators";

/** What a content stream refers to by name: graphics states, patterns, forms. Each is made once. */
export class Resources {
  private readonly known = new Map<
    string,
    { kind: "ExtGState" | "Pattern" | "XObject"; name: string; object: PDFObject }
  >();

  constructor(readonly context: PDFContext) {}

  /** The operator that sets the opacity of fills and lines. */
  opacity(fill: number, line: number): string {
    const key = `opacity ${fill} ${line}`;
    return `/${this.add("ExtGState", key, () => this.context.obj({ ca: fill, CA: line }))} gs`;
  }

  blend(blend: Blend): string {
    const name = blend.replace(/(^|-)([a-z])/g, (_, __, letter: string) => letter.toUpperCase());
    return `/${this.add("ExtGState", `blend ${blend}`, () => this.context.obj({ BM: name }))} gs`;
  }

  /** The name of a gradient as a pattern of the stream these resources belong to. */
  gradient(gradient: PlacedGradient, matrix: readonly number[]): string {
    const key = `gradient ${JSON.stringify([gradient, matrix])}`;
    return this.add("Pattern", key, () =>
      this.context.obj({
        Type: "Pattern",
        PatternType: 2,
        Matrix: [...matrix],
        Shading: shadingOf(this.context, gradient, (color) => [...channelsOf(color).rgb]),
      }),
    );
  }

  /**
   * The operator by which what follows is as clear as a gradient's stops within a box, and as an opacity over them, by a soft mask
   * (ISO 32000-1, 11.6.5); the matrix carries the gradient's space into the one it is used in. The opacity belongs to the mask:
   * set beside it, some readers count it twice; of grey masks some take another lightness.
   */
  clearness(
    gradient: PlacedGradient,
    matrix: readonly number[],
    { left, top, right, bottom }: Box,
    opacity: number,
  ): string {
    const key = `clear ${JSON.stringify([gradient, matrix, opacity])}`;
    const make = () => {
      const shading = shadingOf(this.context, gradient, (color) =>
        new Array<number>(3).fill(opacity * channelsOf(color).alpha),
      );
      const form = this.context.stream("/S0 sh", {
        Type: "XObject",
        Subtype: "Form",
        BBox: [left, top, right, bottom],
        Matrix: [...matrix],
        Group: { Type: "Group", S: "Transparency", CS: "DeviceRGB" },
        Resources: { Shading: { S0: shading } },
      });
      return this.context.obj({ SMask: { Type: "Mask", S: "Luminosity", G: this.context.register(form) } });
    };
    return `/${this.add("ExtGState", key, make)} gs`;
  }

  /** The name of a form, drawn in a space of its own. */
  form(key: string, make: () => PDFRef): string {
    return this.add("XObject", key, make);
  }

  /** The name of an image; its clear places let through what is below. */
  image(key: string, make: () => Raster): string {
    return this.add("XObject", `image ${key}`, () => {
      const { width, height, data } = make();
      const shared = { Type: "XObject", Subtype: "Image", Width: width, Height: height, BitsPerComponent: 8 };
      const smooth = { ...shared, Interpolate: true, Filter: "FlateDecode" };
      const packed = (channels: readonly number[]) => zlibSync(channelsIn(data, channels), { level: QUICK });
      const mask = this.context.register(this.context.stream(packed([3]), { ...smooth, ColorSpace: "DeviceGray" }));
      return this.context.register(
        this.context.stream(packed([0, 1, 2]), { ...smooth, ColorSpace: "DeviceRGB", SMask: mask }),
      );
    });
  }

  /** The operators that paint content within a box as one, so opaque as a whole. */
  group(content: string, { left, top, right, bottom }: Box, opacity: number): string {
    const name = this.add("XObject", `group ${content}`, () =>
      this.context.register(
        this.context.stream(content, {
          Type: "XObject",
          Subtype: "Form",
          BBox: [left, top, right, bottom],
          Group: { Type: "Group", S: "Transparency" },
          Resources: this.dictionary(new Set(content.match(/(?<=\/)[A-Z]\d+/g))),
        }),
      ),
    );
    return `${this.opacity(opacity, opacity)} /${name} Do`;
  }

  /** What is referred to by name; of some names only, where they are given. */
  dictionary(names?: ReadonlySet<string>): PDFObject {
    const kinds: Record<string, Record<string, PDFObject>> = {};
    for (const { kind, name, object } of this.known.values()) {
      if (names && !names.has(name)) continue;
      kinds[kind] ??= {};
      kinds[kind][name] = object;
    }
    return this.context.obj(kinds);
  }

  private add(kind: "ExtGState" | "Pattern" | "XObject", key: string, make: () => PDFObject): string {
    const known = this.known.get(key);
    if (known) return known.name;
    const name = `${kind.charAt(0)}${this.known.size}`;
    this.known.set(key, { kind, name, object: make() });
    return name;
  }
}

/** Noise hardly shrinks, however long it is tried. */
const QUICK = 1;

/** Some channels of RGBA pixels, one after the other. */
function channelsIn(data: Raster["data"], channels: readonly number[]): Uint8Array {
  const picked = new Uint8Array((data.length / 4) * channels.length);
  for (let pixel = 0; pixel * 4 < data.length; pixel++) {
    channels.forEach((channel, at) => {
      picked[pixel * channels.length + at] = data[pixel * 4 + channel] ?? 0;
    });
  }
  return picked;
}

/** An axial or radial shading told stop by stop: its colours, or how opaque they are as greys. */
function shadingOf(context: PDFContext, gradient: PlacedGradient, channels: (color: string) => number[]): PDFObject {
  const coordinates =
    gradient.kind === "linear"
      ? [gradient.from.x, gradient.from.y, gradient.to.x, gradient.to.y]
      : [gradient.centre.x, gradient.centre.y, 0, gradient.centre.x, gradient.centre.y, gradient.radius];
  return context.obj({
    ShadingType: gradient.kind === "linear" ? 2 : 3,
    ColorSpace: "DeviceRGB",
    Coords: coordinates,
    Extend: [true, true],
    Function: functionOf(context, gradient.stops, channels),
  });
}

function functionOf(
  context: PDFContext,
  stops: PlacedGradient["stops"],
  channels: (color: string) => number[],
): PDFObject {
  const [first] = stops;
  const last = stops.at(-1);
  if (!first || !last) throw new Error("a gradient without colours");
  // The colours before the first stop and after the last one go on to the ends.
  const whole = [
    ...(first.at > 0 ? [{ ...first, at: 0 }] : []),
    ...stops,
    ...(last.at < 1 ? [{ ...last, at: 1 }] : []),
  ];
  const pieces = whole.slice(1).map((stop, index) => ({
    FunctionType: 2,
    Domain: [0, 1],
    N: 1,
    C0: channels(whole[index]?.color ?? first.color),
    C1: channels(stop.color),
  }));
  const [only] = pieces;
  if (pieces.length === 1 && only) return context.obj(only);
  return context.obj({
    FunctionType: 3,
    Domain: [0, 1],
    Functions: pieces,
    Bounds: whole.slice(1, -1).map(({ at }) => at),
    Encode: pieces.flatMap(() => [0, 1]),
  });
}
