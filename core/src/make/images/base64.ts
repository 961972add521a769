const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";

/** Bytes as base64 (RFC 4648). */
export function base64(bytes: Uint8Array): string {
  const words: string[] = [];
  for (let at = 0; at < bytes.length; at += 3) {
    const [a = 0, b = 0, c = 0] = bytes.subarray(at, at + 3);
    const whole = (a << 16) | (b << 8) | c;
    const letters = [18, 12, 6, 0].map((shift) => LETTERS[(whole >> shift) & 63] ?? "");
    const left = bytes.length - at;
    words.push(
      left === 1 ? `${letters[0]}${letters[1]}==` : left === 2 ? `${letters.slice(0, 3).join("")}=` : letters.join(""),
    );
  }
  return words.join("");
}
