/**
 * A picture as full as a photograph, RGBA: every part of it in another hue, so that tens of thousands of colours of 6
 * bits a channel are in it. The same each time.
 */
export function fullPicture(width: number, height: number): Uint8ClampedArray<ArrayBuffer> {
  const pixels = new Uint8ClampedArray(width * height * 4);
  let state = 3;
  const random = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const hue = (x / width) * 2 * Math.PI;
      const reach = 8 + 38 * (y / height);
      const light = 122 + 74 * Math.sin(x / 37 + y / 53);
      const noise = (random() - 0.5) * 14;
      for (let k = 0; k < 3; k++) pixels[at + k] = light + reach * Math.cos(hue + 2.1 * k) + noise;
      pixels[at + 3] = 255;
    }
  return pixels;
}
