/**
 * The one fact of a camera's notes that a picture needs: how it was held. Source: Exif 2.32, TIFF 6.0; tag 274.
 */
const ORIENTATION = 0x0112;

/** How the camera was held, 1–8, from TIFF data as Exif has it; 1, upright, where it does not say. */
export function orientationIn(tiff: Uint8Array): number {
  if (tiff.length < 14) return 1;
  const view = new DataView(tiff.buffer, tiff.byteOffset, tiff.byteLength);
  const little = tiff[0] === 0x49;
  const first = view.getUint32(4, little);
  if (first + 2 > tiff.length) return 1;
  const count = view.getUint16(first, little);
  for (let i = 0; i < count; i++) {
    const at = first + 2 + i * 12;
    if (at + 12 > tiff.length) return 1;
    if (view.getUint16(at, little) !== ORIENTATION) continue;
    const value = view.getUint16(at + 8, little);
    return value >= 1 && value <= 8 ? value : 1;
  }
  return 1;
}

/** TIFF data that says how the camera was held, and nothing else. */
export function tiffWith(orientation: number): Uint8Array {
  const view = new DataView(new ArrayBuffer(26));
  view.setUint32(0, 0x4d4d002a);
  view.setUint32(4, 8);
  view.setUint16(8, 1);
  view.setUint16(10, ORIENTATION);
  view.setUint16(12, 3);
  view.setUint32(14, 1);
  view.setUint16(18, orientation);
  return new Uint8Array(view.buffer);
}
