declare module 'quantize' {
  export default function quantize(
    pixels: [number, number, number][],
    size: number,
  ): { palette(): number[][] } | false;
}
