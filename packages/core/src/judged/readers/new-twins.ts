import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { type ReaderTwins, readerTwins } from './reader-twins.ts';

/**
 * The roles that carry meaning and that a change makes twins for someone: those that are in a theme after it and were
 * not before, each two once, for whom it concerns most people. Severity 0–1.
 */
export function newTwins(before: System, after: System, theme: string, severity: number): ReaderTwins[] {
  const twinsIn = (system: System): ReaderTwins[] => {
    const resolved: ResolvedTheme | undefined = system.themes.get(theme);
    return resolved ? readerTwins(system, resolved, severity) : [];
  };
  const key = ({ a, b, deficiency }: ReaderTwins) => `${a} ${b} ${deficiency}`;
  const known = new Set(twinsIn(before).map(key));
  const told = new Set<string>();
  return twinsIn(after).filter((twins) => {
    const both = `${twins.a} ${twins.b}`;
    if (known.has(key(twins)) || told.has(both)) return false;
    told.add(both);
    return true;
  });
}
