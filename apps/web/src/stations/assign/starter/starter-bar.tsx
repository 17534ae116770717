import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { PlainLink } from '../../../ui/plain-link.tsx';
import { useFocusOnce } from '../../../ui/use-focus-once.ts';
import { PartChoice } from './part-choice.tsx';
import type { ProposedRoles } from './use-starter-roles.ts';

/** Which of the usual roles are added; the sheet below shows them meanwhile, linked to the families there are. */
export function StarterBar({ proposed }: { proposed: ProposedRoles }) {
  const [refused, setRefused] = useState<string | null>(null);
  const next = useFocusOnce<HTMLButtonElement>();
  const id = useProjectId();
  const navigate = useNavigate();
  const { ids, names, lacking, parts, setParts, leave } = proposed;
  const n = names.length;
  const take = () => {
    const reason = proposed.take();
    setRefused(reason);
    if (!reason)
      toast(`${n === 1 ? 'One role is' : `${n} roles are`} on the sheet; one undo takes them back`);
  };
  return (
    <section
      aria-label="Proposed: starter roles"
      className="mx-5 mb-2 flex flex-col gap-2 rounded-md border border-control bg-raised px-3 py-2"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <p role="status" className="min-w-0 flex-1">
          {n ? (
            <>
              <b>{n === 1 ? 'One role' : `${n} roles`}</b> {n === 1 ? 'is' : 'are'} proposed at the end of the
              sheet, linked to the families there are.{' '}
              <PlainLink to={addressOf(id, 'assign', ids[0]!)} onGo={navigate} className="underline">
                Show {n === 1 ? 'it' : 'them'}
              </PlainLink>
            </>
          ) : (
            'Every role of these parts is there already.'
          )}
          {lacking.length > 0 && (
            <span className="text-look"> No family has a colour for {lacking.join(', ')}.</span>
          )}
        </p>
        <Button ref={next} data-next small look="primary" disabled={!n} onClick={take}>
          {n ? `Add ${n === 1 ? 'it' : `the ${n}`}` : 'Add them'}
        </Button>
        <Button small onClick={leave}>
          Discard
        </Button>
      </div>
      <PartChoice parts={parts} onChange={setParts} />
      {refused && (
        <p role="alert" className="text-sm text-fail">
          {refused}
        </p>
      )}
    </section>
  );
}
