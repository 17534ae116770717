import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { MOST_KEPT, MOST_SEED, type Round, type Way } from '@mint-lamp/core/document/rounds/round';
import { keptAndFree } from '@mint-lamp/core/edits/rounds/kept';
import type { ProposedSystem } from '@mint-lamp/core/edits/rounds/propose-systems';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useJob } from '../../../jobs/use-job.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { Progress } from '../../../ui/progress.tsx';
import { Track } from '../../../ui/track.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { GatherHeader } from '../gather-header.tsx';
import { AdoptDialog } from './adopt-dialog.tsx';
import { KeepChoice } from './keep-choice.tsx';
import { ProposalCard } from './proposal-card.tsx';
import { RoundStrip, wayWords } from './round-strip.tsx';
import { type Draft, MOST_MORE, useDraft } from './use-draft.ts';

const newSeed = () => crypto.getRandomValues(new Uint32Array(1))[0]! % MOST_SEED;

/** The recipe of a round by what is asked for; null when too much is kept. */
function recipeOf(
  document: ProjectDocument,
  draft: Draft,
  seed: number,
  way: Way = 'fresh',
  of: readonly (readonly string[])[] = [],
): Round | null {
  const { kept, free } = keptAndFree(document, draft);
  if (kept.length > MOST_KEPT) return null;
  // As many as those that it goes by.
  const earlier = Math.max(0, ...of.map((colors) => colors.length));
  const count = Math.max(3, kept.length + Math.max(earlier, free.length + draft.more));
  return { id: newId(), seed, count, stray: draft.stray, kept, free, way, of };
}

/** The seed in an address; null for what is none. */
function seedIn(text: string | null): number | null {
  const seed = Number(text);
  return text !== null && /^\d{1,10}$/.test(text) && seed <= MOST_SEED ? seed : null;
}

/** Whole variations beside each other, round by round; the address carries the seed. @public Found by its file. */
export default function ProposalsSource({ view: address }: { view: string | null }) {
  const id = useProjectId();
  const document = useProjectDocument();
  const { rounds } = document;
  const { edit } = useEditing();
  const navigate = useNavigate();
  const [draft, setDraft] = useDraft(id, document);
  const seed = seedIn(address);
  /** A round whose seed came with the address: the same seed, what is kept now. */
  const given = useRef<Round | null>(null);
  const kept = rounds.find((round) => round.seed === seed);
  if (seed !== null && !kept && given.current?.seed !== seed) given.current = recipeOf(document, draft, seed);
  const round = kept ?? (seed === null ? (rounds.at(-1) ?? null) : given.current);

  const make = (way: Way = 'fresh', of: readonly (readonly string[])[] = []) => {
    const next = recipeOf(document, draft, newSeed(), way, of);
    if (!next) {
      toast.error(`At most ${MOST_KEPT} colours can be kept; take some away.`);
      return;
    }
    if (edit({ type: 'addRound', round: next }))
      navigate(addressOf(id, 'gather', 'proposals', String(next.seed)));
  };

  return (
    <div className="flex min-h-full flex-col">
      <GatherHeader
        source="proposals"
        lead={
          round
            ? `Round ${kept || seed === null ? rounds.indexOf(round) + 1 : 'of the address'}, ${wayWords(round)}, seed ${round.seed}`
            : 'Whole variations side by side. What you keep stays in all of them.'
        }
      >
        <KeepChoice keeping={draft} onChange={setDraft} />
        <NumberField
          label="More colours"
          beside
          value={draft.more}
          min={0}
          max={MOST_MORE}
          className="w-36"
          onCommit={(more) => setDraft({ more: Math.round(more) })}
        />
        <div className="grid w-40 grid-cols-[auto_1fr] items-center gap-2">
          <span className="text-sm text-quiet">Variety</span>
          <Track
            label="How varied the proposals are"
            value={draft.stray * 100}
            min={0}
            max={100}
            step={5}
            background="var(--surface-sunken)"
            valueText={`${Math.round(draft.stray * 100)} %`}
            onPreview={(stray) => setDraft({ stray: stray / 100 })}
            onCommit={(stray) => setDraft({ stray: stray / 100 })}
          />
        </div>
        <Button look="primary" onClick={() => make()}>
          New round
        </Button>
      </GatherHeader>
      <RoundStrip rounds={rounds} open={round} />
      {round ? (
        <RoundView key={round.id} round={round} onMake={make} />
      ) : (
        <EmptyState title="No round yet">
          Choose what to keep, how many colours to add, and how varied they may be. A round shows nine
          proposals, and earlier rounds stay.
          <p className="mt-3">
            <Button onClick={() => make()}>Make the first round</Button>
          </p>
        </EmptyState>
      )}
    </div>
  );
}

interface RoundViewProps {
  round: Round;
  onMake: (way: Way, of: readonly (readonly string[])[]) => void;
}

function RoundView({ round, onMake }: RoundViewProps) {
  const id = useProjectId();
  const navigate = useNavigate();
  // Counted anew once the project rests.
  const document = useResting(useProjectDocument(), 400);
  const { families, roles, pairs, gradients, themes } = document;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what else changes makes no difference to proposals
  const input = useMemo(() => ({ document, round }), [families, roles, pairs, gradients, themes, round]);
  const job = useJob('propose', input);
  const proposals = job.result ?? NONE;
  const [adopting, setAdopting] = useState<number | null>(null);
  const [mixing, setMixing] = useState<readonly number[]>([]);
  const newColors = ({ colors }: ProposedSystem) => colors.slice(round.kept.length);
  const latest = useRef({ proposals, onMake, newColors });
  latest.current = { proposals, onMake, newColors };
  const onMore = useCallback((index: number, way: 'like' | 'away') => {
    const { proposals: all, onMake: go, newColors: of } = latest.current;
    const one = all[index];
    if (one) go(way, [of(one)]);
  }, []);
  // The two that were pressed last.
  const onMixing = useCallback(
    (index: number) =>
      setMixing((old) =>
        old.includes(index) ? old.filter((one) => one !== index) : [...old, index].slice(-2),
      ),
    [],
  );
  const [a, b] = mixing.map((index) => proposals[index]);
  const adopted = adopting === null ? null : proposals[adopting];
  return (
    <section aria-label="Proposals" aria-busy={job.busy} className="px-5 pb-5">
      {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
      {!proposals.length && job.busy && (
        <p className="flex items-center gap-3 text-quiet">
          Making proposals …
          <Progress label="How many of the round are made" value={job.progress} className="w-64" />
        </p>
      )}
      {!proposals.length && !job.busy && !job.fault && (
        <EmptyState title="Everything is kept">
          Keep fewer colours, or ask for more, then make a new round.
        </EmptyState>
      )}
      <ul className="grid grid-cols-3 narrow:grid-cols-2 max-sm:grid-cols-1 gap-x-5 gap-y-4">
        {proposals.map((proposal, index) => (
          <ProposalCard
            key={proposal.colors.join()}
            proposal={proposal}
            index={index}
            kept={round.kept.length}
            mixing={mixing.includes(index)}
            onMixing={onMixing}
            onAdopt={setAdopting}
            onMore={onMore}
          />
        ))}
      </ul>
      {a && b && (
        <div className="sticky bottom-3 mt-3 flex justify-center">
          <Button
            onClick={() => onMake('mix', [newColors(a), newColors(b)])}
            className="shadow-[0_4px_16px_var(--veil-modal)]"
          >
            Mix the two selected
          </Button>
        </div>
      )}
      {adopted && (
        <AdoptDialog
          round={round}
          proposal={adopted}
          name={`Proposal ${adopting! + 1}`}
          onClose={() => setAdopting(null)}
          onAdopted={({ families: grown }) => {
            setAdopting(null);
            toast('Adopted. Undo takes all of it back', {
              ...(grown
                ? { action: { label: 'See at Grow', onClick: () => navigate(addressOf(id, 'grow')) } }
                : {}),
            });
          }}
        />
      )}
    </section>
  );
}

const NONE: readonly ProposedSystem[] = [];
