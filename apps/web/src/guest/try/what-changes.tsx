import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import type { ClientView } from '@mint-lamp/core/exchange/people/client-view';
import type { ReportedPair } from '@mint-lamp/core/judged/readout/report';
import type { ProposedCommand } from '@mint-lamp/core/wire/shares';
import { GuestSection } from '../guest-frame.tsx';
import type { Trial } from './use-trial.ts';

interface Turned {
  readonly theme: string;
  readonly pair: ReportedPair;
}

/** The texts whose verdict is another than before. */
function turned(
  then: ClientView,
  now: ClientView,
  from: ReportedPair['verdict'],
  to: ReportedPair['verdict'],
): Turned[] {
  return now.themes.flatMap(({ name, pairs }, i) => {
    const before = new Map(then.themes[i]?.pairs.map((pair) => [pair.pair, pair.verdict]));
    return pairs
      .filter(({ pair, verdict }) => verdict === to && before.get(pair) === from)
      .map((pair) => ({ theme: name, pair }));
  });
}

const MOST_SHOWN = 12;

/** A change in words, as whoever made it would say it. */
function wordsOf({ families, roles, themes }: ProjectDocument, command: ProposedCommand): string {
  const nameIn = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? '';
  if (command.type === 'setBase') return `${nameIn(families, command.family)} is another colour`;
  const role = roleNameIn(roles, command.role);
  const to =
    command.link?.to === 'shade'
      ? `${nameIn(families, command.link.family)} ${command.link.shade}`
      : 'another';
  return `${role} is ${to} in ${nameIn(themes, command.theme)}`;
}

/** What was changed, and what that does to reading, in plain words. */
export function WhatChanges({ then, now, trial }: { then: ClientView; now: ClientView; trial: Trial }) {
  const { commands, document } = trial;
  if (!commands.length) return null;
  const worse = turned(then, now, 'passes', 'fails');
  const better = turned(then, now, 'fails', 'passes');
  return (
    <GuestSection title="What you changed">
      <ul className="mb-3">
        {commands.slice(0, MOST_SHOWN).map((command) => (
          <li key={JSON.stringify(command)} className="flex items-center gap-2 border-b border-hair">
            <span className="min-w-0 flex-1 py-2 text-base break-words">{wordsOf(document, command)}</span>
            <button
              type="button"
              aria-label={`Put back: ${wordsOf(document, command)}`}
              onClick={() => trial.putBack(command)}
              className="h-10 shrink-0 rounded-md px-2 underline underline-offset-2 hover:bg-pressed"
            >
              Put back
            </button>
          </li>
        ))}
      </ul>
      {commands.length > MOST_SHOWN && (
        <p className="mb-3 text-quiet">and {commands.length - MOST_SHOWN} more</p>
      )}
      <div role="status" className="text-base">
        {worse.length === 0 ? (
          <p>Everything that could be read before can still be read.</p>
        ) : (
          <>
            <p className="text-fail">
              {worse.length === 1 ? 'One text is' : `${worse.length} texts are`} now hard to read:
            </p>
            <ul className="list-disc pl-5">
              {worse.slice(0, MOST_SHOWN).map(({ theme, pair }) => (
                <li key={`${theme} ${pair.pair}`}>
                  {pair.text} on {pair.ground}, in {theme}: {pair.ratio} where {pair.required} is needed
                </li>
              ))}
            </ul>
            {worse.length > MOST_SHOWN && <p className="text-quiet">and {worse.length - MOST_SHOWN} more</p>}
          </>
        )}
        {better.length > 0 && (
          <p>
            {better.length === 1
              ? 'One text that was hard to read'
              : `${better.length} texts that were hard to read`}{' '}
            can be read now.
          </p>
        )}
      </div>
    </GuestSection>
  );
}
