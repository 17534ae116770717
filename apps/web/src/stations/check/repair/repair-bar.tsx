import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { nameIn } from '@mint-lamp/core/document/naming/names';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import clsx from 'clsx';
import { useState } from 'react';
import { toast } from 'sonner';
import { useReadout } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Failure } from '../../../ui/notice.tsx';
import { Progress } from '../../../ui/progress.tsx';
import { useFocusOnce } from '../../../ui/use-focus-once.ts';
import { type ProposedRepairs, repairKey } from './use-repair-all.ts';

/** Lines of the list that are drawn at first. */
const MOST = 80;

/** What repairing everything comes to, and the ways to take it or leave it; the board below shows it meanwhile. */
export function RepairBar({ proposed }: { proposed: ProposedRepairs }) {
  const { busy, progress, fault, again, repairs, leave } = proposed;
  if (fault)
    return (
      <div className="px-5">
        <Failure fault={fault} onAgain={again} />
      </div>
    );
  if (busy)
    return (
      <p role="status" className="mx-5 mb-2 flex items-center gap-3">
        <Progress label="Repairing" value={progress} className="w-40" />
        Looking for repairs …
        <Button small look="quiet" onClick={leave}>
          Cancel
        </Button>
      </p>
    );
  if (!repairs.length)
    return (
      <p role="status" className="mx-5 mb-2 flex items-center gap-3 text-look">
        No single link makes a failing pair pass without breaking another. Open a pair to see every way to
        repair it, and what each would break.
        <Button small onClick={leave}>
          OK
        </Button>
      </p>
    );
  return <Repairs proposed={proposed} />;
}

function Repairs({ proposed }: { proposed: ProposedRepairs }) {
  const { repairs, failing, before, left, toggle, takeAll, take, leave } = proposed;
  const [refused, setRefused] = useState<string | null>(null);
  const next = useFocusOnce<HTMLButtonElement>();
  const now = useReadout();
  const taken = repairs.length - left.size;
  const all = now.pairs * now.themes;
  const still = all - now.passingOverall;
  // Some left out may leave others without what they go with.
  let broken = 0;
  for (const [id, { measurements }] of now.measured) {
    const was = before.measured.get(id)?.measurements;
    measurements.forEach((one, i) => {
      if (!one.passes && was?.[i]?.passes) broken += 1;
    });
  }
  const onTake = () => {
    const reason = take();
    setRefused(reason);
    if (!reason)
      toast(`${taken === 1 ? 'One link is' : `${taken} links are`} changed; one undo takes it back`);
  };
  return (
    <section
      aria-label="Proposed repairs"
      className="mx-5 mb-2 flex flex-col gap-1 rounded-md border border-control bg-raised px-3 py-2"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <p role="status" className="min-w-0 flex-1">
          <b>
            {failing - still} of {failing}
          </b>{' '}
          failing measurements pass by {taken === 1 ? 'one other link' : `${taken} other links`}, seen on the
          board below.
          {still > 0 && ` ${still} ${still === 1 ? 'fails' : 'fail'} still.`}
          {broken > 0 && (
            <b className="text-fail">
              {' '}
              {broken} that passed {broken === 1 ? 'fails' : 'fail'} without what is left out.
            </b>
          )}
        </p>
        <Button small look="quiet" onClick={() => takeAll(left.size > 0)}>
          {left.size ? 'Select all' : 'Select none'}
        </Button>
        <Button ref={next} data-next small look="primary" disabled={!taken} onClick={onTake}>
          Apply {taken === repairs.length ? 'all' : `${taken} of ${repairs.length}`}
        </Button>
        <Button small onClick={leave}>
          Discard
        </Button>
      </div>
      <details>
        <summary className="cursor-pointer text-sm text-quiet">Choose link by link</summary>
        <ul className="max-h-56 overflow-y-auto">
          {repairs.slice(0, MOST).map((one) => {
            const key = repairKey(one);
            const { document } = before.system;
            const { role, theme, from, to, before: old, after, pairs } = one;
            return (
              <li key={key}>
                <label className={clsx('flex items-center gap-2 py-0.5', left.has(key) && 'opacity-60')}>
                  <input type="checkbox" checked={!left.has(key)} onChange={() => toggle(key)} />
                  <span className="flex">
                    <ColorChip css={old} className="h-5 w-6 rounded-r-none" />
                    <ColorChip css={after} className="h-5 w-6 rounded-l-none" />
                  </span>
                  <span className="min-w-0 truncate">
                    {roleNameIn(document.roles, role)} in {nameIn(document.themes, theme)}:{' '}
                    {linkName(document, from)} → {linkName(document, to)}
                  </span>
                  <span className="text-sm text-quiet">
                    mends {pairs.length === 1 ? 'one pair' : `${pairs.length} pairs`}
                  </span>
                </label>
              </li>
            );
          })}
        </ul>
        {repairs.length > MOST && (
          <p className="text-sm text-quiet">and {repairs.length - MOST} more, taken with all</p>
        )}
      </details>
      {refused && (
        <p role="alert" className="text-sm text-fail">
          {refused}
        </p>
      )}
    </section>
  );
}
