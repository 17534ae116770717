import { readColor } from '@mint-lamp/core/color/parse';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import { nameOf } from '@mint-lamp/core/names/names';
import { newId } from '../../store/editing.ts';

/** Colours as they go into the tray, each under the name that it has while nobody names it. */
export function newSwatches(colors: readonly string[]): Swatch[] {
  const added = Date.now();
  return colors.map((color) => ({ id: newId(), name: nameOf(readColor(color)), color, group: '', added }));
}
