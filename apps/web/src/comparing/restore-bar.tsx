import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import type { Differences } from '@mint-lamp/core/edits/compare/differences';
import { type Portion, portionKey, titleOf } from '@mint-lamp/core/edits/compare/parts';
import clsx from 'clsx';
import { useState } from 'react';
import { toast } from 'sonner';
import { Button } from '../ui/button.tsx';
import type { Restoring } from './use-restoring.ts';

interface RestoreBarProps {
  name: string;
  afterName: string;
  then: ProjectDocument | null;
  now: ProjectDocument;
  parts: readonly Portion[];
  restoring: Restoring;
  passing: Differences['passing'];
  /** What is done with a state: restored, or taken from a file. */
  words?: RestoreWords;
}

interface RestoreWords {
  readonly verb: string;
  readonly done: string;
}

const RESTORE: RestoreWords = { verb: 'Restore', done: 'restored' };

/** How the pairs fare on both sides, and the ways to go back. */
export function RestoreBar({
  name,
  afterName,
  then,
  now,
  parts,
  restoring,
  passing,
  words = RESTORE,
}: RestoreBarProps) {
  const [refused, setRefused] = useState<string | null>(null);
  const { chosen, alsoNeeded } = restoring;
  const all = parts.length > 0 && parts.every((part) => chosen.has(portionKey(part)));
  const restore = (make: () => string | null, what: string) => {
    const reason = make();
    setRefused(reason);
    if (!reason) toast(`${what}; one undo takes it back`);
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 rounded-md border border-control bg-raised px-3 py-2">
      <p className="min-w-0 flex-1">
        Pairs that pass: <Passing side={passing.before} /> in {name}, <Passing side={passing.after} />{' '}
        {afterName === 'now' ? 'now' : `in ${afterName}`}.
      </p>
      <Button small look="quiet" onClick={() => restoring.toggle(parts, !all)}>
        {all ? 'Select none' : 'Select all'}
      </Button>
      <Button
        small
        disabled={!chosen.size}
        onClick={() => restore(restoring.restoreChosen, `The chosen parts of ${name} are ${words.done}`)}
      >
        {words.verb} {chosen.size ? `the ${chosen.size} selected` : 'what is selected'}
      </Button>
      <Button
        small
        look="primary"
        onClick={() => restore(restoring.restoreWhole, `${name} is ${words.done}`)}
      >
        {words.verb} all of it
      </Button>
      {alsoNeeded.length > 0 && then && (
        <p role="status" className="w-full text-sm text-look">
          They need, and bring back with them:{' '}
          {alsoNeeded.map((part) => nameOfPart(part, then, now)).join(', ')}.
        </p>
      )}
      {refused && (
        <p role="alert" className="w-full text-sm text-fail">
          {refused}
        </p>
      )}
    </div>
  );
}

const Passing = ({ side: [passing, all] }: { side: readonly [number, number] }) => (
  <b className={clsx('tabular-nums', passing < all && 'text-fail')}>
    {passing} of {all}
  </b>
);

/** A part of a project in words, by its name then or now. */
function nameOfPart(part: Portion, then: ProjectDocument, now: ProjectDocument): string {
  const named = (key: 'themes' | 'families' | 'gradients', id: string) =>
    [...then[key], ...now[key]].find((one) => one.id === id)?.name ?? 'something gone';
  switch (part.part) {
    case 'name':
      return 'the name of the project';
    case 'ground':
      return 'what lies beneath the page';
    case 'words':
      return 'the words of samples';
    case 'relatives':
      return 'the relatives';
    case 'scenes':
      return 'what paints scenes, and what they say';
    case 'delivery':
      return 'what is chosen at Deliver';
    case 'list':
      return titleOf(part.list).toLowerCase();
    case 'order':
      return `the order of ${part.list}`;
    case 'theme':
      return `the theme ${named('themes', part.id)}`;
    case 'family':
      return `the family ${named('families', part.id)}`;
    case 'gradient':
      return `the gradient ${named('gradients', part.id)}`;
    case 'pair':
      return 'a pair';
    case 'role':
    case 'cell':
      return `the role ${roleNameIn([...then.roles, ...now.roles], part.id)}`;
  }
}
