/** Where chunks may follow a PNG's header: its signature of 8 bytes and IHDR's 25. */
const BEHIND_HEADER = 33;
const LENGTH = 9;
/** "pHYs". */
const NAME = [0x70, 0x48, 0x59, 0x73];
/** Pixels are counted by the metre. */
const METRE = 1;

/** A PNG that says how large it is: so many pixels a metre across and down (pHYs, PNG third edition, 11.3.4.3). */
export function withPhysicalSize(png: Uint8Array, across: number, down: number): Uint8Array<ArrayBuffer> {
  const chunk = new Uint8Array(LENGTH + 12);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, LENGTH);
  chunk.set(NAME, 4);
  view.setUint32(8, Math.round(across));
  view.setUint32(12, Math.round(down));
  view.setUint8(16, METRE);
  view.setUint32(17, checksum(chunk.subarray(4, 17)));
  const sized = new Uint8Array(png.length + chunk.length);
  sized.set(png.subarray(0, BEHIND_HEADER));
  sized.set(chunk, BEHIND_HEADER);
  sized.set(png.subarray(BEHIND_HEADER), BEHIND_HEADER + chunk.length);
  return sized;
}

/** The CRC of a chunk (PNG, annex D): x³² + x²⁶ + … + 1, bits reversed. */
function checksum(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}
