const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";
const CODES = Uint8Array.from(LETTERS, (letter) => letter.charCodeAt(0));
const PAD = "=".charCodeAt(0);
/** Bytes written at a time: whole words, few enough to be one call's arguments. */
const CHUNK = 3 * 2_000;

/** Bytes as base64 (RFC 4648). */
export function base64(bytes: Uint8Array): string {
  const chunks: string[] = [];
  for (let start = 0; start < bytes.length; start += CHUNK) {
    chunks.push(String.fromCharCode(...codesOf(bytes.subarray(start, start + CHUNK))));
  }
  return chunks.join("");
}

function codesOf(bytes: Uint8Array): Uint8Array {
  const codes = new Uint8Array(Math.ceil(bytes.length / 3) * 4);
  for (let at = 0, to = 0; at < bytes.length; at += 3, to += 4) {
    const whole = ((bytes[at] ?? 0) << 16) | ((bytes[at + 1] ?? 0) << 8) | (bytes[at + 2] ?? 0);
    codes[to] = CODES[whole >> 18] ?? 0;
    codes[to + 1] = CODES[(whole >> 12) & 63] ?? 0;
    codes[to + 2] = at + 1 < bytes.length ? (CODES[(whole >> 6) & 63] ?? 0) : PAD;
    codes[to + 3] = at + 2 < bytes.length ? (CODES[whole & 63] ?? 0) : PAD;
  }
  return codes;
}
