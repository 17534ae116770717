import { lasting } from '../storing/storage.ts';

const KEY = 'mint-lamp/notations';
const USUAL = ['hex', 'srgb', 'oklch'];

/** The notations that the designer uses; those that most do until something was chosen. */
export function rememberedNotations(): readonly string[] {
  const kept = lasting.read(KEY);
  return kept === null ? USUAL : kept.split(' ').filter(Boolean);
}

export const rememberNotations = (ids: readonly string[]): void => {
  lasting.write(KEY, ids.join(' '));
};
