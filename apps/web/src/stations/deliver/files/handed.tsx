import type { HandOver } from '@mint-lamp/core/wire/hand-overs';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { HAND_OVERS } from '../forms.ts';
import type { HandedState } from '../use-hand-over.ts';

const WORDS = {
  keeping: 'downloaded; saving it as a hand-over …',
  kept: 'downloaded and saved as a hand-over.',
  'not kept': 'downloaded, but it could not be saved as a hand-over:',
} as const;

/** What was handed over just now, and when the form went out last. */
export function Handed({ state, last }: { state: HandedState | null; last: HandOver | null }) {
  const id = useProjectId();
  if (!state && !last) return null;
  return (
    <section aria-label="Handed over">
      {state && (
        <p role="status" className={state.as === 'not kept' ? 'text-fail' : ''}>
          <b className="break-words">{state.file}</b> {WORDS[state.as]}
          {state.as === 'not kept' && ` ${state.reason}`}
        </p>
      )}
      {last && (
        <p className="text-sm text-quiet">
          Last handed over on {format(new Date(last.at), 'd MMM yyyy, HH:mm')}.{' '}
          <Link
            to={addressOf(id, 'deliver', HAND_OVERS, last.id)}
            className="underline underline-offset-2 hover:text-main"
          >
            What changed since
          </Link>
        </p>
      )}
    </section>
  );
}
