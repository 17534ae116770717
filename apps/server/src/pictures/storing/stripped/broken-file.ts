/** The file does not keep to the form of its kind. */
export class BrokenFile extends Error {
  override name = 'BrokenFile';
}

/** Four letters at a place, as chunks and boxes are called. */
export const tagAt = (bytes: Uint8Array, at: number): string =>
  String.fromCharCode(...bytes.subarray(at, at + 4));

export const viewOf = (bytes: Uint8Array): DataView =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
