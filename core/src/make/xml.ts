/** Text as XML content: markup characters escaped, characters XML cannot hold left out. */
export function escapeText(text: string): string {
  return (
    text
      // oxlint-disable-next-line no-control-regex -- these are the characters XML has no way to write
      .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, "")
      .replace(/&/g, "&amp;")
      .replace(/</g, "&lt;")
      .replace(/>/g, "&gt;")
  );
}

/** One attribute with the space before it. */
export function attribute(name: string, value: string): string {
  return ` ${name}="${escapeText(value).replace(/"/g, "&quot;")}"`;
}
