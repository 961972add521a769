/** The demo designs, loaded when one is chosen. */
const FILES = import.meta.glob<unknown>("../../../demo/*.petal.json", { import: "default" });

interface Example {
  readonly name: string;
  load: () => Promise<unknown>;
}

export const EXAMPLES: readonly Example[] = Object.entries(FILES).map(([path, load]) => ({ name: nameOf(path), load }));

function nameOf(path: string): string {
  const words = path
    .replace(/^.*\//, "")
    .replace(/\.petal\.json$/, "")
    .replaceAll("-", " ");
  return words.charAt(0).toUpperCase() + words.slice(1);
}
