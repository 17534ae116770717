import {
  fromBox,
  fromSegment,
  hashed,
  inside,
  mix,
  noise,
  type Rgb,
  rough,
  type Shader,
  smooth,
} from './shading.ts';

const RAIL = 0.36;
const HORIZON = 0.2;

function sea(x: number, y: number): Rgb {
  const sky = mix([168, 198, 210], [226, 234, 232], smooth(0, HORIZON, y));
  if (y < HORIZON) return mix(sky, [246, 248, 246], smooth(0.5, 0.7, rough(x * 3, y * 9)) * 0.7);
  const water = mix([52, 128, 138], [16, 84, 96], smooth(HORIZON, 0.6, y));
  return mix(water, [232, 242, 240], smooth(0.72, 0.86, noise(x * 22, y * 90)) * 0.6);
}

function planks(x: number, y: number): Rgb {
  // They run towards the horizon.
  const across = (x - 0.75) / (y - 0.12);
  const plank = Math.floor(across * 6);
  const tone = 0.8 + hashed(plank, 3) * 0.3;
  const grain = noise(across * 90, y * 7) * 22;
  const wood: Rgb = [(172 + grain) * tone, (136 + grain) * tone, (98 + grain) * tone];
  const seam = Math.abs(across * 6 - plank - 0.5);
  return mix(wood, [58, 46, 38], smooth(0.47, 0.495, seam));
}

function rails(x: number, y: number, color: Rgb): Rgb {
  let out = color;
  for (const at of [RAIL, RAIL + 0.09, RAIL + 0.18])
    out = mix(
      out,
      mix([246, 246, 242], [150, 162, 166], smooth(-0.008, 0.01, y - at)),
      inside(Math.abs(y - at) - 0.009),
    );
  const post = Math.abs(((x + 0.12) % 0.32) - 0.16);
  if (y > RAIL && y < RAIL + 0.3)
    out = mix(out, mix([250, 250, 246], [140, 150, 156], post * 60), inside(post - 0.011));
  return out;
}

function lifebuoy(x: number, y: number, color: Rgb): Rgb {
  const [dx, dy] = [x - 1.08, y - 0.56];
  const ring = Math.abs(Math.hypot(dx, dy) - 0.1) - 0.034;
  const angle = Math.atan2(dy, dx);
  const banded = Math.abs(((angle / (Math.PI / 2) + 8.5) % 1) - 0.5) < 0.16;
  const lit = 1 - smooth(-0.12, 0.16, dy + dx * 0.4) * 0.35;
  const paint: Rgb = banded ? [244, 242, 234] : [230, 86, 40];
  return mix(color, [paint[0] * lit, paint[1] * lit, paint[2] * lit], inside(ring, 0.002));
}

function rope(x: number, y: number, color: Rgb): Rgb {
  const [dx, dy] = [x - 0.36, (y - 0.84) * 1.9];
  const r = Math.hypot(dx, dy);
  if (r > 0.19) return mix(color, [46, 38, 32], Math.exp(-(((r - 0.19) / 0.02) ** 2)) * 0.4);
  const strand = Math.abs(((r * 44 + Math.atan2(dy, dx) / 6.28) % 1) - 0.5);
  const twist = noise(Math.atan2(dy, dx) * 30 + r * 200, r * 90);
  return mix(mix([226, 208, 164], [188, 164, 118], twist), [96, 80, 56], smooth(0.34, 0.5, strand));
}

/** A deck in daylight: planks, white rails, the sea behind them, a lifebuoy and a coil of rope with one green end. */
export const deck: Shader = (x, y) => {
  let color = y < 0.62 ? sea(x, y) : planks(x, y);
  color = mix(color, [206, 212, 210], inside(fromBox(x, y, 0.75, 0.625, 2, 0.03)));
  color = lifebuoy(x, y, rails(x, y, rope(x, y, color)));
  return mix(color, [44, 150, 96], inside(fromSegment(x, y, 0.53, 0.82, 0.57, 0.86) - 0.009));
};
