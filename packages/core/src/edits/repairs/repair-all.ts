import type { SimpleCommand } from '../../document/commands/command.ts';
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
  const { measured, pairs } = readoutOf(system);
  let failing = 0;
  for (const { passing } of measured.values()) failing += pairs - passing;
  const repairs: LinkRepair[] = [];
  let done = 0;
  for (const theme of system.themes.values()) {
    const parts = repairTheme(system, theme);
    let step = parts.next();
    for (; !step.done; step = parts.next()) yield (done + step.value) / system.themes.size;
    repairs.push(...step.value);
    done += 1;
  }
  return { repairs, failing };
}
