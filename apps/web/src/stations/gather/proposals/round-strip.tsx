import type { Round, Way } from '@mint-lamp/core/document/rounds/round';
import clsx from 'clsx';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';

const WAY_WORDS: Readonly<Record<Way, string>> = {
  fresh: 'fresh',
  like: 'like one',
  away: 'unlike one',
  mix: 'a mix of two',
};

/** What a round is: "fresh", "like one". */
export const wayWords = ({ way }: Pick<Round, 'way'>): string => WAY_WORDS[way];

/** Every round that was made, to be gone back to. */
export function RoundStrip({ rounds, open }: { rounds: readonly Round[]; open: Round | null }) {
  const id = useProjectId();
  if (rounds.length < 1) return null;
  return (
    <nav aria-label="Rounds" className="flex gap-1.5 overflow-x-auto px-5 pb-3">
      {rounds.map((round, i) => (
        <Link
          key={round.id}
          to={addressOf(id, 'gather', 'proposals', String(round.seed))}
          aria-current={round === open ? 'page' : undefined}
          className={clsx(
            'flex shrink-0 items-center gap-2 rounded-md border px-2 py-1 text-sm',
            round === open ? 'border-main bg-pressed' : 'border-hair hover:bg-pressed',
          )}
        >
          <b className="font-semibold">{i + 1}</b>
          {wayWords(round)}
          <span aria-hidden className="flex overflow-hidden rounded-[4px]">
            {[...(round.of[0] ?? []), ...(round.of[1] ?? []), ...round.kept].slice(0, 8).map((color, k) => (
              <span
                // biome-ignore lint/suspicious/noArrayIndexKey: a colour may come twice
                key={k}
                className="h-3.5 w-2"
                style={{ background: color }}
              />
            ))}
          </span>
        </Link>
      ))}
    </nav>
  );
}
