/** A name every system can keep a file under. */
export function fileName(name: string): string {
  return (
    name
      .replace(/[^\p{L}\p{N} _-]+/gu, "")
      .trim()
      .slice(0, 80) || "design"
  );
}
