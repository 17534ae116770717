import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { notedName } from '@mint-lamp/core/document/naming/note-name';
import { takenParts, type WeighedPart, weighProposal } from '@mint-lamp/core/share/weighed-proposal';
import type { Proposal as Arrived, ProposalState, ProposedCommand } from '@mint-lamp/core/wire/shares';
import { format } from 'date-fns';
import { ArrowLeft } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { reasonOf } from '../../../fetching/api.ts';
import { useRemoveProposalMutation, useSetProposalStateMutation } from '../../../fetching/shares-api.ts';
import { selectSettledDocument, useProjectId } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Confirm } from '../../../ui/confirm.tsx';
import { SHARES } from '../forms.ts';
import { Proposal } from '../read-back/proposal.tsx';
import { BesidePresent } from './beside-present.tsx';

/** What is proposed for, in words. */
function thingOf(document: ProjectDocument, command: ProposedCommand): string {
  if (command.type === 'setBase')
    return notedName(document, { kind: 'base', family: command.family }) ?? 'a removed family';
  const role = notedName(document, { kind: 'role', role: command.role }) ?? 'a removed role';
  const theme = document.themes.find(({ id }) => id === command.theme)?.name ?? 'a removed theme';
  return `${role} in ${theme}`;
}

/** What no longer fits, and where the project went another way since it was made. */
function Differs({ document, parts }: { document: ProjectDocument; parts: readonly WeighedPart[] }) {
  const gone = parts.filter(({ stands }) => stands === 'gone');
  const moved = parts.filter((part) => part.moved && part.stands === 'fits');
  if (!gone.length && !moved.length) return null;
  return (
    <div role="status" className="mt-2 rounded-md border border-look p-3">
      {gone.length > 0 && (
        <>
          <p className="font-semibold">
            {gone.length === 1 ? 'One change no longer fits' : `${gone.length} changes no longer fit`}, and
            cannot be taken:
          </p>
          <ul className="list-disc pl-5">
            {gone.map(({ command, reason }) => (
              <li key={JSON.stringify(command)}>
                {thingOf(document, command)}: {reason}
              </li>
            ))}
          </ul>
        </>
      )}
      {moved.length > 0 && (
        <>
          <p className="font-semibold">
            You have changed {moved.length === 1 ? 'this' : 'these'} since it was made; taking it puts theirs
            in its place:
          </p>
          <ul className="list-disc pl-5">
            {moved.map(({ command }) => (
              <li key={JSON.stringify(command)}>{thingOf(document, command)}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** A proposal that came back beside the project as it is: taken whole, in part, or not. */
export function ProposalView({ proposal }: { proposal: Arrived }) {
  const project = useProjectId();
  const navigate = useNavigate();
  const present = useAppSelector(selectSettledDocument);
  const [setState] = useSetProposalStateMutation();
  const [remove] = useRemoveProposalMutation();
  const { id, by, words, share, at, revision, parts, state } = proposal;
  const weighed = useMemo(() => weighProposal(present, parts), [present, parts]);
  const { document: wanted } = useMemo(
    () =>
      takenParts(
        present,
        parts.map(({ command }) => command),
      ),
    [present, parts],
  );
  const back = addressOf(project, 'deliver', SHARES);
  const end = async (next: ProposalState | 'removed') => {
    try {
      if (next === 'removed') await remove({ project, proposal: id }).unwrap();
      else await setState({ project, proposal: id, state: next }).unwrap();
      if (next !== 'open') navigate(back);
    } catch (error) {
      toast.error(reasonOf(error));
    }
  };
  return (
    <div className="px-5 pt-4 pb-6">
      <header className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <Link
          to={back}
          aria-label="All shares"
          title="All shares"
          className="flex size-8 items-center justify-center rounded-md hover:bg-pressed"
        >
          <ArrowLeft aria-hidden className="size-4" />
        </Link>
        <div className="min-w-0 flex-1">
          <h1 className="font-title text-xl leading-tight font-semibold">What {by} suggests</h1>
          <p className="text-quiet">
            By {share}, {format(new Date(at), 'd MMMM yyyy, HH:mm')}, from revision {revision}
          </p>
        </div>
        {state === 'open' ? (
          <>
            <Button onClick={() => void end('declined')}>Decline</Button>
            <Button onClick={() => void end('taken')}>Mark as done</Button>
          </>
        ) : (
          <>
            <Confirm
              trigger={<Button look="danger">Remove …</Button>}
              label="Remove what came back"
              yes="Remove it"
              no="Keep it"
              onYes={() => void end('removed')}
            >
              This can’t be undone. What you applied stays.
            </Confirm>
            <Button onClick={() => void end('open')}>Reopen</Button>
          </>
        )}
      </header>
      {words && (
        <blockquote className="mt-3 border-l-2 border-control pl-3 text-lg whitespace-pre-line">
          {words}
        </blockquote>
      )}
      <Differs document={present} parts={weighed} />
      <BesidePresent present={present} wanted={wanted} by={by} />
      <div className="mt-4">
        <Proposal name={`${by}’s colours`} wanted={wanted} />
      </div>
    </div>
  );
}
