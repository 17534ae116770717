import { hashed, inside, mix, noise, type Rgb, rough, type Shader, smooth } from './shading.ts';

const TABLE = 0.62;

/** A ball lit from the left, with a soft shine. */
function ball(x: number, y: number, cx: number, cy: number, r: number, color: Rgb, under: Rgb): Rgb {
  const [dx, dy] = [(x - cx) / r, (y - cy) / r];
  const d = Math.hypot(dx, dy);
  const shadow = Math.exp(-(((x - cx - r * 0.5) / (r * 1.2)) ** 2 + ((y - cy - r * 0.86) / (r * 0.24)) ** 2));
  const ground = mix(under, [30, 26, 26], shadow * 0.7);
  if (d > 1.05) return ground;
  const lit = Math.max(0, -dx * 0.6 - dy * 0.5 + Math.sqrt(Math.max(0, 1 - d * d)) * 0.6);
  const body = mix(
    mix([color[0] * 0.24, color[1] * 0.2, color[2] * 0.2], color, smooth(0, 0.7, lit)),
    [255, 250, 228],
    smooth(0.86, 1.02, lit) * 0.8,
  );
  return mix(ground, body, inside((d - 1) * r, 0.002));
}

function wall(x: number, y: number): Rgb {
  const light = Math.exp(-(((x - 0.3) / 0.7) ** 2 + ((y - 0.1) / 0.6) ** 2));
  return mix([34, 38, 42], [104, 106, 100], light * (0.8 + rough(x * 6, y * 6) * 0.4));
}

function table(x: number, y: number): Rgb {
  const weave = (noise(x * 340, y * 90) + noise(x * 90, y * 340)) * 9;
  const fold = rough(x * 2 + y, y * 3) * 40;
  const far = smooth(TABLE, 1, y) * 16;
  return [188 - fold + weave + far, 180 - fold + weave + far, 164 - fold + weave + far];
}

function bottle(x: number, y: number, under: Rgb): Rgb {
  const half = y < 0.3 ? 0.034 : 0.034 + 0.066 * smooth(0.3, 0.42, y);
  const d = Math.max(Math.abs(x - 1.05) - half, 0.12 - y, y - 0.74);
  const across = (x - 1.05) / half;
  const glass = mix([20, 62, 44], [70, 138, 92], Math.max(0, 1 - Math.abs(across + 0.1)) ** 2);
  const shine = Math.exp(-(((across + 0.55) / 0.1) ** 2)) * smooth(0.74, 0.3, y);
  return mix(under, mix(glass, [222, 238, 220], shine * 0.8), inside(d, 0.002));
}

/** A still life: cloth, a green bottle, fruit, and a few small bright berries. */
export const stillLife: Shader = (x, y) => {
  let color = y < TABLE ? wall(x, y) : table(x, y);
  color = mix(color, [70, 62, 56], Math.exp(-(((y - TABLE) / 0.006) ** 2)) * 0.6);
  color = bottle(x, y, color);
  color = ball(x, y, 0.42, 0.68, 0.12, [238, 190, 40], color);
  color = ball(x, y, 0.66, 0.72, 0.1, [232, 172, 30], color);
  color = ball(x, y, 0.8, 0.62, 0.11, [196, 92, 52], color);
  for (let i = 0; i < 5; i++)
    color = ball(
      x,
      y,
      0.28 + i * 0.085 + hashed(i, 1) * 0.03,
      0.87 + hashed(i, 2) * 0.05,
      0.016,
      [214, 24, 58],
      color,
    );
  return ball(x, y, 1.26, 0.84, 0.02, [52, 92, 204], color);
};
