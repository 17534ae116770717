import { useState } from 'react';
import { toast } from 'sonner';
import { useDocumentPart } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Progress } from '../../../ui/progress.tsx';
import type { ProposedTheme } from './use-proposed-theme.ts';

/** What a derived theme comes to, and the ways to take it or leave it. */
export function DeriveBar({ proposed }: { proposed: ProposedTheme }) {
  const themes = useDocumentPart('themes');
  const [refused, setRefused] = useState<string | null>(null);
  const { asked, busy, progress, fault, again, pairs, failing, roles, left } = proposed;
  const target = themes.find(({ id }) => id === asked.into)?.name ?? asked.name;
  if (fault)
    return (
      <p role="alert" className="mx-5 mb-2 flex items-center gap-3 text-fail">
        {fault}
        <Button small onClick={again}>
          Try again
        </Button>
        <Button small look="quiet" onClick={proposed.leave}>
          Discard
        </Button>
      </p>
    );
  if (busy)
    return (
      <p role="status" className="mx-5 mb-2 flex items-center gap-3">
        <Progress label="Deriving" value={progress} className="w-40" />
        Deriving {target} …
        <Button small look="quiet" onClick={proposed.leave}>
          Cancel
        </Button>
      </p>
    );
  const taken = roles.length - left.size;
  const take = () => {
    const reason = proposed.take();
    setRefused(reason);
    if (!reason)
      toast(`${taken} ${taken === 1 ? 'link' : 'links'} of ${target} taken; one undo takes them back`);
  };
  return (
    <section
      aria-label={`Proposed: ${target}`}
      className="mx-5 mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-md border border-control bg-raised px-3 py-2"
    >
      <p role="status" className="min-w-0 flex-1">
        <b>{target}</b> is proposed on the sheet:{' '}
        <span className={failing ? 'text-fail' : 'text-pass'}>
          {pairs - failing} of {pairs} pairs
        </span>{' '}
        {asked.way === 'glare' ? 'reach AAA' : 'pass'}.
        {failing > 0 && ' No shade in these families would repair the others.'}
      </p>
      <Button small look="quiet" onClick={() => proposed.takeAll(left.size > 0)}>
        {left.size ? 'Select all' : 'Select none'}
      </Button>
      <Button small look="primary" disabled={!taken} onClick={take}>
        Apply {taken === roles.length ? 'all' : `${taken} of ${roles.length}`}
      </Button>
      <Button small onClick={proposed.leave}>
        Discard
      </Button>
      {refused && (
        <p role="alert" className="w-full text-sm text-fail">
          {refused}
        </p>
      )}
    </section>
  );
}
