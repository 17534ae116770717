import { rgb8ToOklch, toRgb8 } from '../../color/gamut.ts';
import { readColor } from '../../color/parse.ts';
import type { Batch } from '../commands/definition.ts';
import { groupsOf, type Swatch } from './swatch.ts';
import type { SwatchCommand } from './swatch-commands.ts';

type Placed = Pick<Swatch, 'id' | 'group'>;

const arrange = (order: readonly Placed[]): SwatchCommand => ({
  type: 'arrangeTray',
  order: order.map(({ id, group }) => ({ swatch: id, group })),
});

/** The command that puts some colours of the tray before or after another, into its group. */
export function dropCommand(tray: readonly Swatch[], ids: ReadonlySet<string>, onto: Swatch): SwatchCommand {
  const [only] = ids;
  const to = tray.findIndex(({ id }) => id === onto.id);
  if (ids.size === 1) return { type: 'moveSwatch', swatch: only!, index: to, group: onto.group };
  const moved = tray.filter(({ id }) => ids.has(id)).map((swatch) => ({ ...swatch, group: onto.group }));
  const from = tray.findIndex(({ id }) => ids.has(id));
  const rest = tray.filter(({ id }) => !ids.has(id));
  const at = rest.findIndex(({ id }) => id === onto.id) + (from < to ? 1 : 0);
  return arrange([...rest.slice(0, at), ...moved, ...rest.slice(at)]);
}

/** The command that puts some colours at the end of a group, or behind all others in a new one. */
export function groupCommand(
  tray: readonly Swatch[],
  ids: ReadonlySet<string>,
  group: string,
): SwatchCommand {
  const moved = tray.filter(({ id }) => ids.has(id)).map((swatch) => ({ ...swatch, group }));
  const rest = tray.filter(({ id }) => !ids.has(id));
  const last = rest.findLastIndex((swatch) => swatch.group === group);
  const at = last === -1 ? rest.length : last + 1;
  return arrange([...rest.slice(0, at), ...moved, ...rest.slice(at)]);
}

/** The command that takes colours out of the tray, in one edit. */
export function takeOut(
  ids: readonly string[],
  label = `remove ${ids.length} colours from the tray`,
): SwatchCommand | Batch<SwatchCommand> {
  const commands = ids.map((swatch) => ({ type: 'removeSwatch' as const, swatch }));
  return commands.length === 1 ? commands[0]! : { type: 'batch', label, commands };
}

export type SortKey = 'lightness' | 'hue' | 'time';

/** Below this OKLCH chroma a colour has no hue to sort by. */
const GREYISH = 0.02;

const KEYS: Readonly<Record<SortKey, (swatch: Swatch) => readonly number[]>> = {
  lightness: ({ color }) => [-rgb8ToOklch(...toRgb8(readColor(color)))[0]],
  hue: ({ color }) => {
    const [l, chroma, hue] = rgb8ToOklch(...toRgb8(readColor(color)));
    return chroma < GREYISH ? [1, -l] : [0, hue, -l];
  },
  time: ({ added }) => [added],
};

function compare(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < Math.max(a.length, b.length); i++) {
    const difference = (a[i] ?? 0) - (b[i] ?? 0);
    if (difference) return difference;
  }
  return 0;
}

/** The command that sorts the tray within its groups: lightest first, around the hues with greys last, or oldest first. */
export function sortCommand(tray: readonly Swatch[], by: SortKey): SwatchCommand {
  const keys = new Map(tray.map((swatch) => [swatch, KEYS[by](swatch)]));
  return arrange(
    groupsOf(tray).flatMap(({ swatches }) =>
      [...swatches].sort((a, b) => compare(keys.get(a)!, keys.get(b)!)),
    ),
  );
}

/** The tray as text: a line for each colour with its code and name, groups under their names. */
export function trayAsText(swatches: readonly Swatch[]): string {
  return groupsOf(swatches)
    .map(({ name, swatches: own }) =>
      [...(name ? [name] : []), ...own.map(({ name: title, color }) => `${color}  ${title}`)].join('\n'),
    )
    .join('\n\n');
}
