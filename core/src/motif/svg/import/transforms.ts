import { IDENTITY, multiply, rotation, scaling, translation, type Matrix } from "../../../geometry/matrix";
import { toRadians } from "../../../geometry/angle";
import { numbersIn } from "./lengths";

/** The map of a `transform` attribute; what cannot be read of it does nothing. */
export function transformOf(text: string | undefined): Matrix {
  let result = IDENTITY;
  // Each letter and blank is looked at once, however long the text is.
  for (const [, name = "", values = ""] of (text ?? "").matchAll(/\b([a-zA-Z]+)\s*\(([^()]*)\)/g)) {
    result = multiply(result, oneTransform(name, numbersIn(values)));
  }
  return result;
}

function oneTransform(name: string, [a = 0, b, c, d = 0, e = 0, f = 0]: readonly number[]): Matrix {
  switch (name) {
    case "matrix":
      return [a, b ?? 0, c ?? 0, d, e, f];
    case "translate":
      return translation(a, b ?? 0);
    case "scale":
      return scaling(a, b ?? a);
    case "rotate":
      return multiply(translation(b ?? 0, c ?? 0), multiply(rotation(a), translation(-(b ?? 0), -(c ?? 0))));
    case "skewX":
      return [1, 0, Math.tan(toRadians(a)), 1, 0, 0];
    case "skewY":
      return [1, Math.tan(toRadians(a)), 0, 1, 0, 0];
    default:
      return IDENTITY;
  }
}

/** How a viewBox is laid into a viewport: the map from its units to the viewport's, by `preserveAspectRatio`. */
export function viewBoxMap(
  [left = 0, top = 0, across = 0, down = 0]: readonly number[],
  width: number,
  height: number,
  preserve: string | undefined,
): Matrix {
  if (!(across > 0 && down > 0)) return IDENTITY;
  const [align = "xMidYMid", meet = "meet"] = (preserve ?? "").trim().split(/\s+/).filter(Boolean);
  if (align === "none") return multiply(scaling(width / across, height / down), translation(-left, -top));
  const scale = (meet === "slice" ? Math.max : Math.min)(width / across, height / down);
  const share = (word: string) => (word.includes("Min") ? 0 : word.includes("Max") ? 1 : 0.5);
  const x = (width - across * scale) * share(align.slice(0, 4));
  const y = (height - down * scale) * share(align.slice(4));
  return multiply(translation(x, y), multiply(scaling(scale), translation(-left, -top)));
}
