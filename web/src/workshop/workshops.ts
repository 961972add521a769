/** Every workshop: its place in addresses, its name, and what is done there. */
export const WORKSHOPS = [
  { kind: "print", name: "Print", words: "on paper, page by page" },
  { kind: "cut", name: "Cut", words: "by a blade, a beam or a pen" },
  { kind: "stitch", name: "Stitch", words: "in thread, stitch by stitch" },
  { kind: "solid", name: "Solid", words: "layer by layer, in space" },
] as const;
