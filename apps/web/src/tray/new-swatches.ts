import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import type { Swatch } from '@mint-lamp/core/system/tray/swatch';
import { useMemo } from 'react';
import { useJob } from '../jobs/use-job.ts';
import { newId } from '../store/editing.ts';

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The nearest names for colours that may go into the tray, as far as they are known by now. */
export function useColorNames(colors: readonly string[]): ReadonlyMap<string, string> {
  const { result } = useJob('nameColors', colors.length ? colors : null);
  return useMemo(() => new Map(result), [result]);
}

/** Colours as they go into the tray, each under its nearest name, or described where that is not known. */
export function newSwatches(colors: readonly string[], names: ReadonlyMap<string, string>): Swatch[] {
  const added = Date.now();
  return colors.map((color) => ({
    id: newId(),
    name: names.get(color) ?? capital(describeColor(readColor(color))),
    color,
    group: '',
    added,
  }));
}
