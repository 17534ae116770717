import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { newTwins } from '@mint-lamp/core/judged/readers/new-twins';
import type { Deficiency } from '@mint-lamp/core/vision/simulate';
import { useMemo } from 'react';
import { selectSettledSystem, useSystem, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

export const WITH: Readonly<Record<Deficiency, string>> = {
  deutan: 'deutan vision',
  protan: 'protan vision',
  tritan: 'tritan vision',
  achromat: 'no colour vision',
};

/** A share of people in percent. */
export const percentOfPeople = (share: number) => `${(share * 100).toFixed(share < 0.001 ? 3 : 1)} %`;

/**
 * What a link that is being looked at would make indistinguishable for somebody, told before it is taken. It is of one
 * height, so that nothing moves under the pointer.
 */
export function TwinsWarning() {
  const settled = useAppSelector(selectSettledSystem);
  const system = useSystem();
  const theme = useTheme().theme.id;
  const severity = useAppSelector((state) => state.interface.severity);
  const twins = useMemo(
    () => (system === settled ? [] : newTwins(settled, system, theme, severity)),
    [settled, system, theme, severity],
  );
  return (
    <p role="status" className="h-10 overflow-hidden text-sm leading-5 text-look">
      {twins.slice(0, 2).map(({ a, b, deficiency, people }) => (
        <span key={`${a} ${b}`} className="block truncate">
          {roleNameIn(system.document.roles, a)} and {roleNameIn(system.document.roles, b)} would look the
          same to people with {WITH[deficiency]} ({percentOfPeople(people)} of people).
        </span>
      ))}
    </p>
  );
}
