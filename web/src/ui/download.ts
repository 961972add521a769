/** Hands a file to the browser to keep. */
export function download(file: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  // The browser reads the file after the click; a minute is more than it needs.
  window.setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
