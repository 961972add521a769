import type { SaidEffects } from "../../finish/effects/softShades";
import type { SoftShade } from "../../finish/effects/shade";
import { isEmpty, type Box } from "../../geometry/box";
import { decimals } from "../../geometry/decimals";
import type { PartScene } from "../../scene/scene";
import { attribute } from "../xml";

const PLACES = 4;
/** What a filter is called after its part: no other id begins so. */
const filterName = (id: string) => `shades-${id}`;

/**
 * The lines of a part's copies with soft shades under and over them as one filter (SVG 1.1, filter effects). `box` is what
 * they reach, in the sheet's millimetres; colours mix in sRGB, as they do in pictures.
 */
export function shadedLines(part: PartScene, { under, over }: SaidEffects, box: Box, copies: string[]): string[] {
  if (under.length + over.length === 0 || isEmpty(box)) return copies;
  const name = filterName(part.id);
  const region = [
    attribute("x", decimals(box.left, PLACES)),
    attribute("y", decimals(box.top, PLACES)),
    attribute("width", decimals(box.right - box.left, PLACES)),
    attribute("height", decimals(box.bottom - box.top, PLACES)),
  ].join("");
  const layers = [...under.map((_, k) => `under${k}`), "SourceGraphic", ...over.map((_, k) => `over${k}`)];
  return [
    `<filter id="${name}" filterUnits="userSpaceOnUse"${region} color-interpolation-filters="sRGB">`,
    ...under.flatMap((shade, k) => shadeLines(shade, `under${k}`)),
    ...over.flatMap((shade, k) => shadeLines(shade, `over${k}`)),
    `<feMerge>${layers.map((layer) => `<feMergeNode in="${layer}"/>`).join("")}</feMerge>`,
    `</filter>`,
    `<g filter="url(#${name})">`,
    ...copies,
    `</g>`,
  ];
}

/** One soft copy of what is painted, or of what is not, as the named result. */
function shadeLines({ color, x, y, blur, opacity, strength, inside }: SoftShade, name: string): string[] {
  const own = color.length > 7 ? Number.parseInt(color.slice(7), 16) / 255 : 1;
  const flood = [
    attribute("flood-color", color.slice(0, 7)),
    attribute("flood-opacity", decimals(own * opacity, PLACES)),
  ];
  return [
    `<feGaussianBlur in="SourceAlpha" stdDeviation="${decimals(blur / 2, PLACES)}"/>`,
    `<feOffset dx="${decimals(x, PLACES)}" dy="${decimals(y, PLACES)}" result="${name}-soft"/>`,
    ...(strength === 1
      ? []
      : [
          `<feComponentTransfer in="${name}-soft" result="${name}-soft"><feFuncA type="linear" slope="${strength}"/></feComponentTransfer>`,
        ]),
    `<feFlood${flood.join("")} result="${name}-flat"/>`,
    ...(inside
      ? [
          `<feComposite in="${name}-flat" in2="${name}-soft" operator="out" result="${name}-out"/>`,
          `<feComposite in="${name}-out" in2="SourceAlpha" operator="in" result="${name}"/>`,
        ]
      : [`<feComposite in="${name}-flat" in2="${name}-soft" operator="in" result="${name}"/>`]),
  ];
}
