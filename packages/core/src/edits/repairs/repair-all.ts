import type { SimpleCommand } from '../../document/commands/command.ts';
import { saidAs } from '../../in-parts/drain.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { readoutOf } from '../../judged/readout/readout.ts';
import type { System } from '../../system/resolve.ts';
import { type LinkRepair, repairTheme } from './repair-theme.ts';

/** What repairing everything comes to, as plain data. */
export interface RepairOfAll {
  readonly repairs: readonly LinkRepair[];
  /** Measurements that fail before, over all themes. */
  readonly failing: number;
}

/** The commands that make some repairs. */
export const repairCommands = (repairs: readonly LinkRepair[]): SimpleCommand[] =>
  repairs.map(({ role, theme, to }) => ({ type: 'setLink', role, theme, link: to }));

/** Repairs every theme of a system; see {@link repairTheme}. Yields how far it is, 0–1. */
export function* repairAll(system: System): Generator<number, RepairOfAll> {
  const { measured, pairs } = readoutOf(system, undefined, underTexts);
  let failing = 0;
  for (const { passing } of measured.values()) failing += pairs - passing;
  const repairs: LinkRepair[] = [];
  let done = 0;
  for (const theme of system.themes.values()) {
    const before = done;
    const inAll = (share: number) => (before + share) / system.themes.size;
    repairs.push(...(yield* saidAs(repairTheme(system, theme), inAll)));
    done += 1;
  }
  return { repairs, failing };
}
