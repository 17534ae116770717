import { formatDistanceToNow } from 'date-fns';
import { toast } from 'sonner';
import {
  useEndOtherSessionsMutation,
  useEndSessionMutation,
  useSessionsQuery,
} from '../fetching/account-api.ts';
import { reasonOf } from '../fetching/api.ts';
import { Button } from '../ui/button.tsx';
import { agentInWords } from './agent-words.ts';

/** The browsers in which one is signed in, this one first. */
export function Sessions() {
  const { data: sessions = [] } = useSessionsQuery();
  const [end] = useEndSessionMutation();
  const [endOthers] = useEndOtherSessionsMutation();
  const attempt = async (answer: PromiseLike<{ error?: unknown }>, said: string) => {
    const { error } = await answer;
    if (error) toast.error(reasonOf(error));
    else toast(said);
  };
  const sorted = [...sessions].sort((a, b) => Number(b.own) - Number(a.own));
  return (
    <>
      <ul aria-label="Sessions" className="divide-y divide-hair">
        {sorted.map(({ id, own, agent, begunAt, seenAt }) => (
          <li key={id} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 flex-1">
              {agentInWords(agent)}
              <span title={agent} className="block truncate font-mono text-sm text-quiet">
                {agent}
              </span>
              <span className="block text-sm text-quiet">
                signed in {formatDistanceToNow(new Date(begunAt), { addSuffix: true })},{' '}
                {own
                  ? 'this is where you are now'
                  : `last here ${formatDistanceToNow(new Date(seenAt), { addSuffix: true })}`}
              </span>
            </span>
            {!own && (
              <Button
                aria-label={`End ${agentInWords(agent)}`}
                onClick={() => attempt(end(id), 'It is signed out.')}
              >
                End it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 && (
        <Button className="mt-2" onClick={() => attempt(endOthers(), 'Everywhere else you are signed out.')}>
          End all others
        </Button>
      )}
    </>
  );
}
