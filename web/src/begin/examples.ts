/** The demo designs, loaded when one is chosen. */
const FILES = import.meta.glob<unknown>("../../../demo/*.petal.json", { import: "default" });
/** Their pictures, which ship with them. */
const PICTURES = import.meta.glob<string>("../../../demo/pictures/*.png", {
  import: "default",
  eager: true,
  query: "?url",
});

interface Example {
  readonly name: string;
  /** Where its picture is. */
  readonly picture: string | undefined;
  load: () => Promise<unknown>;
}

/** The designs of Brinewick Baths. */
export const EXAMPLES: readonly Example[] = Object.entries(FILES).map(([path, load]) => {
  const key = path.replace(/^.*\//, "").replace(/\.petal\.json$/, "");
  const words = key.replaceAll("-", " ");
  return {
    name: words.charAt(0).toUpperCase() + words.slice(1),
    picture: PICTURES[`../../../demo/pictures/${key}.png`],
    load,
  };
});
