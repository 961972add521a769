/** An open font that ships with the application. */
export interface ShippedFont {
  /** What the design file calls it. */
  readonly id: string;
  /** What designers call it. */
  readonly name: string;
  /** What it looks like, in a word or two. */
  readonly character: string;
  /** The static WOFF in the installed packages. */
  readonly file: string;
}

const file = (name: string, weight: number) => `@fontsource/${name}/files/${name}-latin-${weight}-normal.woff`;

/** Every font lettering can be set in. Another is a line here and one where the interface finds its file. */
export const FONTS: readonly ShippedFont[] = [
  { id: "alegreya-sans", name: "Alegreya Sans", character: "humanist", file: file("alegreya-sans", 700) },
  {
    id: "cormorant-garamond",
    name: "Cormorant Garamond",
    character: "book serif",
    file: file("cormorant-garamond", 600),
  },
  { id: "limelight", name: "Limelight", character: "playhouse", file: file("limelight", 400) },
  { id: "great-vibes", name: "Great Vibes", character: "flowing script", file: file("great-vibes", 400) },
  { id: "alfa-slab-one", name: "Alfa Slab One", character: "heavy slab", file: file("alfa-slab-one", 400) },
  { id: "uncial-antiqua", name: "Uncial Antiqua", character: "uncial", file: file("uncial-antiqua", 400) },
];

/** What design files call the fonts. */
export const FONT_IDS = FONTS.map(({ id }) => id);
