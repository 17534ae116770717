import { parseColor } from '../color/parse.ts';
import { type Color, color, SPACES, type SpaceId } from '../color/spaces.ts';
import { canonical } from '../color/write.ts';
import { isTree } from './token-tree.ts';

const isKnown = (space: string): space is SpaceId => Object.hasOwn(SPACES, space);

const channel = (value: unknown): number | null | undefined =>
  value === 'none' ? null : typeof value === 'number' && Number.isFinite(value) ? value : undefined;

/**
 * A colour of a token: in the object form of 2025.10, or as text in any CSS notation, as older files have it. Its canonical
 * spelling; null for what is none.
 */
export function colorOfToken(value: unknown): string | null {
  if (typeof value === 'string') {
    const parsed = parseColor(value);
    return parsed.ok ? canonical(parsed.color) : null;
  }
  if (!isTree(value)) return null;
  const { colorSpace, components, alpha = 1, hex } = value;
  const space = typeof colorSpace === 'string' ? colorSpace : '';
  if (!Array.isArray(components) || components.length !== 3 || !isKnown(space))
    return typeof hex === 'string' ? colorOfToken(hex) : null;
  const channels = components.map(channel);
  const opacity = channel(alpha);
  if (channels.some((one) => one === undefined) || opacity === undefined) return null;
  // sRGB of whole 8 bits is meant where it is that, as nearly as the digits that are written say.
  if (space === 'srgb') {
    const bits = channels.map((v) => (v ?? 0) * 255);
    if (bits.every((v) => v >= 0 && v <= 255 && Math.abs(v - Math.round(v)) < 0.01)) {
      const [r, g, b] = bits.map(Math.round);
      const text = `rgb(${r} ${g} ${b} / ${opacity ?? 0})`;
      const parsed = parseColor(text);
      return parsed.ok ? canonical(parsed.color) : null;
    }
  }
  const own: Color = color(space, channels as [number, number, number], opacity ?? 0);
  return canonical(own);
}
