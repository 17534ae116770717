import { fromSegment, inside, mix, type Rgb, rough, type Shader, smooth } from './shading.ts';

/** Hallin, Oster Skerry and Grey Holm: middle and size. */
const ISLANDS = [
  [0.42, 0.36, 0.26],
  [1.08, 0.28, 0.19],
  [0.94, 0.76, 0.17],
] as const;
const PORTS = [
  [0.56, 0.47],
  [0.95, 0.33],
  [0.86, 0.66],
] as const;
const SEA: Rgb = [206, 228, 230];

/** Height above the sea, below 0 in it. */
function height(x: number, y: number): number {
  let most = -1;
  for (const [cx, cy, size] of ISLANDS) most = Math.max(most, 1 - Math.hypot(x - cx, (y - cy) * 1.25) / size);
  return most + (rough(x * 7, y * 7, 5) - 0.5) * 0.9;
}

function ground(h: number): Rgb {
  if (h < 0) return mix(SEA, [154, 200, 206], smooth(-0.25, -1, h));
  const low = mix([232, 224, 190], [176, 196, 140], smooth(0.02, 0.2, h));
  return mix(low, [128, 116, 96], smooth(0.35, 0.8, h));
}

/** A map of the three islands: pale sea, coasts, heights, dashed routes and small red ports. */
export const map: Shader = (x, y) => {
  const h = height(x, y);
  let color = ground(h);
  if (h > 0.06) {
    const line = Math.abs(((h * 9) % 1) - 0.5);
    color = mix(color, [112, 110, 84], smooth(0.44, 0.5, line) * 0.45);
  }
  color = mix(color, [60, 92, 98], Math.exp(-((h / 0.012) ** 2)) * 0.9);
  // Meridians.
  if (h < 0 && (Math.abs((x % 0.25) - 0.125) < 0.0009 || Math.abs((y % 0.25) - 0.125) < 0.0009))
    color = mix(color, [120, 168, 176], 0.7);
  PORTS.forEach(([ax, ay], i) => {
    const [bx, by] = PORTS[(i + 1) % 3]!;
    const along = Math.hypot(x - ax, y - ay);
    const dash = (along * 32) % 1 < 0.6;
    const d = fromSegment(x, y, ax, ay, bx, by);
    if (dash && h < 0.02) color = mix(color, [11, 95, 107], inside(d - 0.0028));
  });
  for (const [px, py] of PORTS) {
    const d = Math.hypot(x - px, y - py);
    color = mix(mix(color, [255, 255, 255], inside(d - 0.014)), [198, 36, 64], inside(d - 0.01));
  }
  return color;
};
