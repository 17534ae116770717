import type { BrokenLink } from '@mint-lamp/core/system/readout';
import { addressOf } from '../addresses.ts';
import { selectProject, useProjectDocument, useReadout, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

/** The things behind the counts of the readout, each in words and with its address. */
export function useCountedThings() {
  const readout = useReadout();
  const { theme } = useTheme();
  const doc = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  const path = (role: string) => doc.roles.find((r) => r.id === role)?.path ?? 'a role that is gone';
  const family = (key: string) => doc.families.find((f) => f.id === key)?.name ?? '';
  const themeName = (key: string) => doc.themes.find((t) => t.id === key)?.name ?? '';
  const shade = (item: { family: string; shade: string }) => ({
    key: `${item.family} ${item.shade}`,
    text: `${family(item.family)} ${item.shade}`,
    to: addressOf(id, 'grow', item.family, item.shade),
  });
  const broken = ({ kind, id: thing, theme: where, problem }: BrokenLink) => {
    const station = { role: 'assign', stop: 'fade', pair: 'check' } as const;
    const name = {
      role: () => path(thing),
      stop: () => doc.gradients.find((g) => g.id === thing)?.name ?? '',
      pair: () => 'A pair',
    }[kind]();
    return {
      key: `${kind} ${thing} ${where}`,
      text: `${name} in ${themeName(where)}: ${problem}`,
      to: addressOf(id, station[kind], thing),
    };
  };
  return {
    alike: (readout.alike[theme.id] ?? []).map(({ a, b, difference }) => ({
      key: `${a} ${b}`,
      text: `${path(a)} and ${path(b)}: ΔE OK ${difference.toFixed(3)}, hard to tell apart`,
      to: addressOf(id, 'assign', a),
    })),
    outside: readout.outside.map(shade),
    handSet: readout.handSet.map(shade),
    broken: readout.broken.map(broken),
  };
}
