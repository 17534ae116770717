import type { Movement } from '@mint-lamp/core/moving/pair-ratios';
import { adoptSheet, type SheetChoice, wholeOf } from '@mint-lamp/core/sheet/adopt';
import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { sheetSummary } from '@mint-lamp/core/sheet/sheet-summary';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { Fragment, type ReactNode, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useJob } from '../../../jobs/use-job.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Failure } from '../../../ui/notice.tsx';
import { useGradually } from '../../../ui/use-gradually.ts';
import { GatherHeader } from '../gather-header.tsx';
import { HowFar } from './how-far.tsx';
import { ProposedFamilies } from './proposed-families.tsx';
import { ProposedPairs } from './proposed-pairs.tsx';
import { ProposedRoles } from './proposed-roles.tsx';
import { SheetsAgainList } from './sheets-again.tsx';
import { useSheetChoice } from './use-sheet-choice.ts';
import { UsedInRules } from './used-in-rules.tsx';
import { WayBack } from './way-back.tsx';

interface SheetProposalProps {
  files: readonly SheetFile[];
  read: { readonly system: SheetSystem; readonly movement: Movement };
  farthest: number;
  onFarthest: (farthest: number) => void;
  busy: boolean;
  /** Puts colours into the tray. */
  onCollect: (colors: readonly string[]) => void;
  /** What is said above the proposal. */
  notes: ReactNode;
  children: ReactNode;
}

/** The parts of a proposal below its head, one in each frame: all at once would hold the page. */
const ORDER = ['head', 'families', 'roles', 'gradients', 'pairs', 'left', 'unfixed', 'uses', 'back'] as const;

const count = (n: number, one: string, many: string) => (n ? [`${n} ${n === 1 ? one : many}`] : []);

/** Style sheets as a colour system: a proposal beside the original, taken whole or in part. */
export default function SheetProposal({
  files,
  read: { system, movement },
  farthest,
  onFarthest,
  busy,
  onCollect,
  notes,
  children,
}: SheetProposalProps) {
  const id = useProjectId();
  const document = useProjectDocument();
  const { edit } = useEditing();
  const navigate = useNavigate();
  const { choice, set } = useSheetChoice(system);
  const input = useMemo(() => ({ system, choice }), [system, choice]);
  const painting = useJob('paintSheet', input);
  const exact = useExact(system, farthest, busy);
  const before = useJob('paintSheet', exact);
  const names = useMemo(() => files.map(({ name }) => name), [files]);
  const asked = useMemo(() => ({ document, system, files: names }), [document, system, names]);
  const again = useJob('compareSheets', asked).result?.again ?? null;
  const [was, is] = [before.result?.page, painting.result?.page];
  const pages = farthest > 0 && was && is ? { before: was, after: is } : null;
  const parts = [
    ...count(choice.families.size, 'family', 'families'),
    ...count(choice.roles.size, 'role', 'roles'),
    ...count(choice.gradients.size, 'gradient', 'gradients'),
    ...count(choice.pairs.size, 'pair', 'pairs'),
  ];
  const take = () => {
    const adoption = adoptSheet(document, system, choice, newId);
    if (!adoption || !edit(adoption.command)) return;
    toast(`Added: ${parts.join(', ')}. Undo removes all of it.`);
    navigate(addressOf(id, choice.families.size ? 'grow' : choice.roles.size ? 'assign' : 'fade'));
  };
  const drawn = useGradually(ORDER, 1);
  const sections = {
    head: null,
    families: <ProposedFamilies families={system.families} choice={choice} set={set} />,
    // With their colours, which are worked out meanwhile.
    roles: painting.result && (
      <ProposedRoles system={system} choice={choice} painted={painting.result.roles} set={set} />
    ),
    gradients: (
      <GradientChoice
        system={system}
        taken={choice.gradients}
        set={set}
        painted={painting.result?.gradients}
      />
    ),
    pairs: <ProposedPairs system={system} taken={choice.pairs} set={set} />,
    left: <LeftOver system={system} onCollect={onCollect} />,
    unfixed: <Unfixed system={system} />,
    uses: <UsedInRules system={system} />,
    back: <WayBack files={files} system={system} choice={choice} />,
  };
  return (
    <div className="flex min-h-full flex-col">
      <GatherHeader source="sheets" lead={sheetSummary(system)}>
        <Button
          {...(again ? {} : { 'data-next': true })}
          look={again ? 'plain' : 'primary'}
          disabled={!parts.length || busy}
          onClick={take}
        >
          {parts.length ? `Add ${parts.join(', ')}` : 'Nothing selected'}
        </Button>
      </GatherHeader>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(230px,1fr)_3fr] narrow:grid-cols-1 gap-5 px-5 pb-5">
        {children}
        <div className="min-w-0">
          {notes}
          {painting.fault && <Failure fault={painting.fault} onAgain={painting.again} />}
          {again && <SheetsAgainList again={again} system={system} />}
          {again && <h2 className="mb-2 font-title text-xl font-semibold">Or add all of it again</h2>}
          <HowFar
            farthest={farthest}
            onFarthest={onFarthest}
            system={system}
            movement={movement}
            busy={busy}
            pages={pages}
          />
          <ThemeChoice system={system} taken={choice.themes} set={set} />
          {drawn.map((section) => (
            <Fragment key={section}>{sections[section]}</Fragment>
          ))}
        </div>
      </div>
    </div>
  );
}

/** The proposal in which no colour moves, as it was read last. */
function useExact(system: SheetSystem, farthest: number, busy: boolean) {
  const [exact, setExact] = useState<{ system: SheetSystem; choice: SheetChoice } | null>(null);
  useEffect(() => {
    if (farthest === 0 && !busy) setExact({ system, choice: wholeOf(system) });
  }, [system, farthest, busy]);
  return exact;
}

interface PartProps {
  system: SheetSystem;
  taken: ReadonlySet<string>;
  set: ReturnType<typeof useSheetChoice>['set'];
}

/** Custom properties that are no fixed colour, and so no role. */
function Unfixed({ system: { unfixed } }: Pick<PartProps, 'system'>) {
  if (!unfixed.length) return null;
  const names = (on: 'currentcolor' | 'system') =>
    unfixed
      .filter((one) => one.on === on)
      .map(({ property }) => property)
      .join(', ');
  const [current, system] = [names('currentcolor'), names('system')];
  return (
    <section aria-label="No fixed colours" className="mb-5">
      <h2 className="font-title text-lg font-semibold">No fixed colours</h2>
      {current && (
        <p className="text-sm">
          The colour of the text around: <span className="font-mono">{current}</span>
        </p>
      )}
      {system && (
        <p className="text-sm">
          Colours of the system that shows the page: <span className="font-mono">{system}</span>
        </p>
      )}
    </section>
  );
}

function ThemeChoice({ system: { themes, roles, beyond, propertiesBeyond }, taken, set }: PartProps) {
  if (!roles.length) return null;
  return (
    <fieldset className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
      <legend className="float-left mr-4 font-title text-lg font-semibold">Themes</legend>
      {themes.map(({ key, name }) => (
        <label key={key} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={taken.has(key)}
            onChange={(event) => set('themes', [key], event.target.checked)}
          />
          {name}
        </label>
      ))}
      {propertiesBeyond > 0 && (
        <span className="text-sm text-quiet">
          {propertiesBeyond.toLocaleString('en-GB')} custom properties are beyond what a project has, and stay
          in the sheets.
        </span>
      )}
      {beyond.length > 0 && (
        <span className="text-sm text-quiet">
          {beyond.length} more are beyond what a project has: {beyond.slice(0, 6).join(', ')}
          {beyond.length > 6 ? ' …' : ''}
        </span>
      )}
    </fieldset>
  );
}

function GradientChoice({
  system: { gradients },
  taken,
  set,
  painted,
}: PartProps & { painted: ReadonlyMap<string, string> | undefined }) {
  if (!gradients.length) return null;
  return (
    <section aria-label="Proposed gradients" className="mb-5">
      <h2 className="mb-1 font-title text-lg font-semibold">Gradients</h2>
      <ul className="flex flex-col gap-1.5">
        {gradients.map(({ property, name }) => (
          <li key={property}>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={taken.has(property)}
                onChange={(event) => set('gradients', [property], event.target.checked)}
              />
              <span
                aria-hidden
                className="checker h-7 w-72 shrink-0 overflow-hidden rounded-[4px] border border-hair"
              >
                <span className="block size-full" style={{ background: painted?.get(property) }} />
              </span>
              {name} <span className="truncate font-mono text-sm text-quiet">{property}</span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

const MOST_SHOWN = 60;

function LeftOver({
  system: { leftOver },
  onCollect,
}: Pick<PartProps, 'system'> & Pick<SheetProposalProps, 'onCollect'>) {
  if (!leftOver.length) return null;
  return (
    <section aria-label="Left over" className="mb-5">
      <div className="mb-1 flex items-center gap-3">
        <h2 className="font-title text-lg font-semibold">Left over</h2>
        <Button small onClick={() => onCollect(leftOver.map(({ color }) => color))}>
          {leftOver.length === 1 ? 'Add it to the tray' : `Add all ${leftOver.length} to the tray`}
        </Button>
      </div>
      <ul className="flex flex-wrap gap-1.5">
        {leftOver.slice(0, MOST_SHOWN).map(({ color, count: times }) => (
          <li key={color} className="flex items-center gap-1 text-sm">
            <ColorChip css={color} className="size-5" />
            <span className="font-mono">{color}</span>
            <span className="text-quiet">×{times}</span>
          </li>
        ))}
        {leftOver.length > MOST_SHOWN && (
          <li className="text-sm text-quiet">and {leftOver.length - MOST_SHOWN} more</li>
        )}
      </ul>
    </section>
  );
}
