import { pick, upTo, type Random } from "./pick";

const VALUES = [
  "0",
  "-0",
  "-1",
  "1e308",
  "-1e308",
  "1e22",
  "1e-320",
  "NaN",
  "Infinity",
  "",
  "12px",
  "50%",
  "1e9",
  "9".repeat(400),
  "url(#a)",
  "url(#none)",
  "none",
  "inherit",
  "currentColor",
  "rotate(1e308)",
  "scale(0)",
  "scale(1e200) scale(1e200)",
  "matrix(1 2 3)",
  "translate(",
  "skewX(90)",
  "M",
  "M 0 0 A 1 1 0 0 1 5 5",
  "M0 0C",
  "M 0 0 " + "L 1 1 ".repeat(5_000),
  "M 0 0 " + "q 1 1 2 2 ".repeat(3_000) + "Z",
  "hsl(1e9 0% 0%)",
  "#",
  "calc(1px + 2px)",
  "x".repeat(100_000),
];
const NAMES = [
  "d",
  "transform",
  "viewBox",
  "width",
  "height",
  "x",
  "y",
  "r",
  "cx",
  "cy",
  "rx",
  "points",
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "opacity",
  "clip-path",
  "style",
  "href",
  "id",
  "class",
  "gradientTransform",
  "offset",
  "preserveAspectRatio",
];
const ELEMENTS = [
  '<use href="#a"/>',
  '<g id="a"><use href="#a"/></g>',
  '<clipPath id="a"><use href="#a"/></clipPath>',
  '<circle r="1e308"/>',
  "<style>* { fill: url(#a); stroke-width: 1e308 }</style>",
  "<style>" + "a".repeat(50_000) + "</style>",
  "<style>g g g g g g g g { fill: red }</style>",
  '<linearGradient id="a" href="#a"/>',
  "<script>1</script>",
  "<foreignObject/>",
  '<image href="data:,x"/>',
  '<path d="M 0 0 L 10 10" stroke="red" stroke-dasharray="0.0001 0.0001"/>',
  '<text x="1">petal</text>',
  '<symbol id="a" viewBox="0 0 0 0"><rect width="1" height="1"/></symbol>',
  "<![CDATA[ x ]]>",
  "<!-- x -->",
  "<?xml version='1.0'?>",
  "<!DOCTYPE svg>",
  "&x;",
  "&#0;",
];

/** An SVG in which a few things are not as they were. */
export function mutatedSvg(seeds: readonly string[], random: Random): string {
  let svg = pick(seeds, random);
  const changes = 1 + upTo(5, random);
  for (let change = 0; change < changes; change++) svg = pick(CHANGES, random)(svg, random);
  return svg;
}

type Change = (svg: string, random: Random) => string;

/** What an attribute says, chosen by chance, said in another way. */
const otherValue: Change = (svg, random) => {
  const places = [...svg.matchAll(/="([^"]*)"/g)];
  if (places.length === 0) return svg;
  const { index, 0: whole } = pick(places, random);
  return `${svg.slice(0, index)}="${pick(VALUES, random)}"${svg.slice(index + whole.length)}`;
};

/** A number, chosen by chance, as another one. */
const otherNumber: Change = (svg, random) => {
  const places = [...svg.matchAll(/-?\d+(\.\d+)?/g)];
  if (places.length === 0) return svg;
  const { index, 0: whole } = pick(places, random);
  const number = pick(
    ["0", "-1", "1e9", "1e22", "1e308", "-1e308", "0.000001", "1e-320", "1e400", String(random() * 1_000)],
    random,
  );
  return svg.slice(0, index) + number + svg.slice(index + whole.length);
};

const otherAttribute: Change = (svg, random) =>
  svg.replace(/<(\w+)/g, (tag) => (random() < 0.1 ? `${tag} ${pick(NAMES, random)}="${pick(VALUES, random)}"` : tag));

const withElement: Change = (svg, random) => {
  const places = [...svg.matchAll(/>/g)];
  if (places.length === 0) return svg;
  const at = pick(places, random).index + 1;
  return svg.slice(0, at) + pick(ELEMENTS, random).repeat(random() < 0.05 ? 2_000 : 1) + svg.slice(at);
};

const nested: Change = (svg, random) => {
  const depth = 10 ** upTo(4, random);
  const end = svg.lastIndexOf("</svg>");
  return end < 0
    ? svg
    : `${svg.slice(0, end)}${'<g transform="scale(1.1)">'.repeat(depth)}<rect width="1" height="1"/>${"</g>".repeat(depth)}</svg>`;
};

const damaged: Change = (svg, random) => {
  const [from, length] = [upTo(svg.length, random), upTo(30, random)];
  return (
    svg.slice(0, from) +
    pick(["", "<", ">", '"', "&", "\u0000", svg.slice(from, from + length).repeat(3)], random) +
    svg.slice(from + length)
  );
};

const CHANGES: readonly Change[] = [
  otherValue,
  otherValue,
  otherNumber,
  otherNumber,
  otherNumber,
  otherAttribute,
  withElement,
  nested,
  damaged,
];
