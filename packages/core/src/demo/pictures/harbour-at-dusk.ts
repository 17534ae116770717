import { fromBox, fromSegment, inside, mix, noise, type Rgb, rough, type Shader, smooth } from './shading.ts';

const HORIZON = 0.52;
const SKY: readonly (readonly [at: number, color: Rgb])[] = [
  [0, [28, 52, 82]],
  [0.2, [70, 92, 122]],
  [0.36, [168, 128, 128]],
  [0.46, [232, 152, 108]],
  [0.56, [250, 196, 128]],
];
/** Lamps along the quay, and windows of the ferry. */
const LAMPS = [0.06, 0.17, 0.29, 0.4, 1.24, 1.36, 1.47].map((x) => [x, HORIZON + 0.004] as const);

function sky(x: number, y: number): Rgb {
  let color = SKY[0]![1];
  for (let i = 1; i < SKY.length; i++) color = mix(color, SKY[i]![1], smooth(SKY[i - 1]![0], SKY[i]![0], y));
  const cloud = smooth(0.5, 0.75, rough(x * 2.2, y * 13)) * smooth(0.5, 0.1, Math.abs(y - 0.3));
  const sun = Math.exp(-(((x - 0.98) ** 2 + (y - HORIZON) ** 2 * 2.4) / 0.05));
  return mix(mix(color, [222, 128, 116], cloud * 0.5), [255, 222, 158], sun * 0.75);
}

function land(x: number, y: number, color: Rgb): Rgb {
  const far = HORIZON - 0.02 - 0.07 * rough(x * 2.6 + 3, 0.4);
  const near = HORIZON - 0.012 - 0.06 * rough(x * 4, 8) * smooth(0.62, 0.2, x);
  const hills = mix(color, [92, 96, 118], inside(far - y, 0.002));
  return mix(hills, [38, 48, 60], inside(near - y, 0.002) * smooth(0.66, 0.55, x));
}

function ferry(x: number, y: number, color: Rgb): Rgb {
  const hull = Math.max(fromBox(x, y, 0.78, HORIZON + 0.006, 0.3 - (y - HORIZON) * 1.4, 0.036), 0);
  let out = mix(color, [24, 40, 48], inside(hull - 0.0005));
  out = mix(out, [214, 208, 196], inside(fromBox(x, y, 0.77, HORIZON - 0.026, 0.22, 0.03)));
  out = mix(out, [196, 74, 44], inside(fromBox(x, y, 0.81, HORIZON - 0.062, 0.03, 0.044)));
  const row = Math.abs(y - (HORIZON - 0.026)) < 0.005 && Math.abs(x - 0.77) < 0.1;
  return row && (x * 60) % 1 < 0.5 ? [255, 214, 120] : out;
}

function above(x: number, y: number): Rgb {
  return ferry(x, y, land(x, y, sky(x, y)));
}

function sea(x: number, y: number): Rgb {
  const depth = (y - HORIZON) / (1 - HORIZON);
  const swell = (noise(x * 9, y * 70) - 0.5) * 0.05 * (0.3 + depth);
  const mirrored = above(x + swell * 0.5, Math.max(0, HORIZON - (y - HORIZON) * 0.8 - Math.abs(swell)));
  const glint = smooth(0.66, 0.8, noise(x * 26, y * 170)) * smooth(1.2, 0, depth);
  const water = mix([14, 56, 68], mirrored, 0.62 - depth * 0.36);
  return mix(water, [252, 204, 140], glint * 0.3 * Math.exp(-(((x - 0.98) / 0.3) ** 2)));
}

/** A harbour at dusk: soft bands, a ferry with lit windows, lamps on the quay and one red buoy. */
export const harbourAtDusk: Shader = (x, y) => {
  let color = y < HORIZON ? above(x, y) : sea(x, y);
  if (y > HORIZON - 0.01 && y < HORIZON + 0.02 && x < 0.5) color = mix(color, [30, 36, 44], 0.9);
  for (const [lx, ly] of LAMPS) {
    const d = Math.hypot(x - lx, y - ly);
    color = mix(color, [255, 206, 92], Math.min(1, inside(d - 0.004) + 0.5 * Math.exp(-((d / 0.018) ** 2))));
    if (y > HORIZON + 0.02) {
      const streak = Math.exp(-(((x - lx) / 0.006) ** 2)) * smooth(0.85, HORIZON, y);
      color = mix(color, [246, 186, 88], streak * 0.7 * noise(x * 30, y * 120));
    }
  }
  const buoy = Math.min(
    fromBox(x, y, 0.46, 0.79, 0.034, 0.05),
    fromSegment(x, y, 0.46, 0.79, 0.462, 0.72) - 0.004,
  );
  return mix(color, [226, 58, 36], inside(buoy));
};
