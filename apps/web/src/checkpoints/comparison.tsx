import { differingParts } from '@mint-lamp/core/edits/compare/differing-parts';
import type { Checkpoint } from '@mint-lamp/core/wire/checkpoints';
import { ArrowLeftRight } from 'lucide-react';
import { useMemo } from 'react';
import { ChangedRoles } from '../comparing/changed-roles.tsx';
import { ChangedThings } from '../comparing/changed-things.tsx';
import { RestoreBar } from '../comparing/restore-bar.tsx';
import { useRestoring } from '../comparing/use-restoring.ts';
import { useJob } from '../jobs/use-job.ts';
import { selectSettledDocument, useRegions } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Choice } from '../ui/choice.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { Failure } from '../ui/notice.tsx';
import { NOW, useStateOf } from './use-state-of.ts';

interface ComparisonProps {
  list: readonly Checkpoint[];
  before: string;
  after: string;
  onCompare: (before: string, after: string) => void;
}

/** What differs between two states, and the choice of what of the first one is restored. */
export function Comparison({ list, before, after, onCompare }: ComparisonProps) {
  const nameOf = (one: string) => (one === NOW ? 'now' : (list.find(({ id }) => id === one)?.name ?? ''));
  const present = useAppSelector(selectSettledDocument);
  const [from, to] = [useStateOf(before), useStateOf(after)];
  const regions = useRegions();
  const input = useMemo(
    () => (from.document && to.document ? { before: from.document, after: to.document, regions } : null),
    [from.document, to.document, regions],
  );
  const { result, busy, fault, again } = useJob('compare', input);
  const restoring = useRestoring(from.document, nameOf(before));
  const parts = useMemo(() => (result ? differingParts(result) : []), [result]);
  const options = [{ value: NOW, label: 'Now' }, ...list.map(({ id, name }) => ({ value: id, label: name }))];
  const problem = from.fault ?? to.fault ?? fault;
  const nothing = result && !parts.length && !result.roles.length;
  return (
    <section aria-label="Comparison" className="flex min-w-0 flex-col gap-3 px-5 py-3">
      <div className="flex items-end gap-2">
        <Choice
          label="From"
          value={before}
          options={options.filter(({ value }) => value !== after)}
          onChange={(one) => onCompare(one, after)}
          className="w-60"
        />
        <IconButton label="Swap" onClick={() => onCompare(after, before)}>
          <ArrowLeftRight aria-hidden className="size-4" />
        </IconButton>
        <Choice
          label="To"
          value={after}
          options={options.filter(({ value }) => value !== before)}
          onChange={(one) => onCompare(before, one)}
          className="w-60"
        />
      </div>
      {problem && (
        <Failure
          fault={problem}
          onAgain={() => {
            from.again();
            to.again();
            again();
          }}
        />
      )}
      {!problem && (!result || (busy && !result)) && <p className="text-quiet">Comparing …</p>}
      {nothing && (
        <p role="status" className="py-6 text-center text-quiet">
          Nothing differs between {nameOf(before)} and {nameOf(after)}.
        </p>
      )}
      {result && !nothing && (
        <>
          {before !== NOW && (
            <RestoreBar
              name={nameOf(before)}
              afterName={nameOf(after)}
              then={from.document}
              now={present}
              parts={parts}
              restoring={restoring}
              passing={result.passing}
            />
          )}
          <ChangedThings differences={result} restoring={before === NOW ? null : restoring} />
          <ChangedRoles differences={result} restoring={before === NOW ? null : restoring} />
        </>
      )}
    </section>
  );
}
