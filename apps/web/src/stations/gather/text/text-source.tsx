import type { MergedColor } from '@mint-lamp/core/color/find';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useJob } from '../../../jobs/use-job.ts';
import type { FoundInText } from '../../../jobs/work/find-colors.ts';
import { newSwatches } from '../../../kinds/tray/new-swatches.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectProject, useProjectDocument } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { ofTab } from '../../../storing/storage.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { useGradually } from '../../../ui/use-gradually.ts';
import { GatherHeader } from '../gather-header.tsx';
import { TakeFiles } from '../pictures/take-files.tsx';
import { SheetProposal } from '../sheet/sheet-proposal.tsx';
import { FoundGradients } from './found-gradients.tsx';
import { FoundTile } from './found-tile.tsx';
import { NearCodes } from './near-codes.tsx';
import { PasteArea } from './paste-area.tsx';
import { SheetOffer } from './sheet-offer.tsx';
import { usePasteAnywhere } from './use-paste-anywhere.ts';

const EXAMPLE = `Hi! Our funnel is painted #E2552B and the water on the posters is rgb(11 95 107).
Notices: delayed hsl(42 79% 49%), cancelled #B8234A. The letterhead says #0B5F6 …
Oh, and linen for the background.`;

const NOTHING: FoundInText = { found: [], near: [], beyond: 0, gradients: [], isSheet: false };

/** What is typed stays while the tab is open, also when another station is visited. */
function useDraft(projectId: string) {
  const key = `mint-lamp/gather/${projectId}`;
  const [text, setText] = useState(() => ofTab.read(key) ?? '');
  useEffect(() => {
    // A text too large for the storage stays on the screen.
    ofTab.write(key, text);
  }, [key, text]);
  return [text, setText] as const;
}

/**
 * Collects colours from any text: found codes on one side, what looks like a code and is none beside them; and a style
 * sheet as the system that it comes to.
 * @public Found by its file.
 */
export default function TextSource({ view }: { view: string | null }) {
  const asSystem = view === 'system';
  const id = useAppSelector((state) => selectProject(state).id);
  const { tray } = useProjectDocument();
  const { edit } = useEditing();
  const [text, setText] = useDraft(id);
  usePasteAnywhere(setText);
  const [merge, setMerge] = useState(false);
  /** Colours that are taken in though they are not to begin with, or the other way round. */
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const job = useJob('findColors', text.trim() ? text : null);
  const result = (text.trim() && job.result) || NOTHING;
  const searching = job.busy;
  const merging = useJob('mergeTwins', merge && result.found.length ? result.found : null);
  const merged = merge ? merging.result : null;
  const shown = useMemo(
    () => merged ?? result.found.map((item) => ({ ...item, twins: [] as string[] })),
    [merged, result],
  );
  const drawn = useGradually(shown);
  const inTray = new Set(tray.map((swatch) => swatch.color));
  // A name in prose may be no colour at all: it is listed, and taken when it is pressed.
  const isChosen = (item: MergedColor) => item.inProse === turned.has(item.color);
  const chosen = shown.filter((item) => isChosen(item) && !inTray.has(item.color));
  const reading = useJob('readSheet', result.isSheet ? text : null);
  const system = result.isSheet ? reading.result : null;

  const collect = (colors: readonly string[]) => {
    const fresh = colors.filter((color) => !inTray.has(color));
    if (!fresh.length) {
      toast('They are in the tray already.');
      return;
    }
    const commands = newSwatches(fresh).map((swatch) => ({ type: 'addSwatch' as const, swatch }));
    const label = commands.length === 1 ? 'collect 1 colour' : `collect ${commands.length} colours`;
    if (edit({ type: 'batch', label, commands }))
      toast(
        `${commands.length === 1 ? 'One colour is' : `${commands.length} colours are`} in the tray below`,
      );
  };
  /** The same function for as long as the view is there, so that what has not changed is not drawn again. */
  const latest = useRef(collect);
  latest.current = collect;
  const onCollect = useCallback((colors: readonly string[]) => latest.current(colors), []);
  const toggle = useCallback(
    (color: string) =>
      setTurned((old) => {
        const next = new Set(old);
        if (!next.delete(color)) next.add(color);
        return next;
      }),
    [],
  );

  if (asSystem && system)
    return (
      <SheetProposal system={system} onCollect={collect}>
        <PasteArea text={text} onText={setText} />
      </SheetProposal>
    );
  return (
    <TakeFiles className="relative flex min-h-full flex-col">
      <GatherHeader
        source="text"
        lead="Paste anything with colours in it: an e-mail, a style sheet, a list of codes."
      >
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={merge} onChange={(event) => setMerge(event.target.checked)} />
          Merge near-twins
        </label>
        <Button
          data-next
          look="primary"
          disabled={!chosen.length}
          onClick={() => collect(chosen.map(({ color }) => color))}
        >
          {chosen.length ? `Put ${chosen.length} into the tray` : 'Put into the tray'}
        </Button>
      </GatherHeader>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(240px,2fr)_3fr] gap-5 px-5 pb-5">
        <PasteArea text={text} onText={setText} />
        <section
          aria-label="Found colours"
          aria-busy={searching || drawn.length < shown.length}
          className="min-w-0"
        >
          {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
          {merging.fault && <Failure fault={merging.fault} onAgain={merging.again} />}
          <p role="status" className="mb-2 text-quiet">
            {summary(searching, text, result, shown.length)}
          </p>
          {text.trim() && !job.fault ? (
            <>
              {reading.fault && <Failure fault={reading.fault} onAgain={reading.again} />}
              <SheetOffer
                system={system}
                busy={result.isSheet && reading.busy}
                to={addressOf(id, 'gather', 'text', 'system')}
              />
              <FoundGradients gradients={result.gradients} onCollect={onCollect} />
              <ul className="grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] gap-2">
                {drawn.map((item) => (
                  <FoundTile
                    key={item.color}
                    item={item}
                    inTray={inTray.has(item.color)}
                    chosen={isChosen(item)}
                    onToggle={toggle}
                  />
                ))}
              </ul>
              <NearCodes
                near={result.near}
                onCorrect={({ text: wrong, index }, right) =>
                  setText((old) => old.slice(0, index) + old.slice(index).replace(wrong, right))
                }
              />
            </>
          ) : (
            <EmptyState title="Colours appear here as you paste">
              Hex with or without #, names, rgb, hsl, hwb, lab, lch, oklab, oklch and color() are understood.
              Mistyped codes are shown with corrections.
              <p className="mt-3">
                <Button onClick={() => setText(EXAMPLE)}>Try an example</Button>
              </p>
            </EmptyState>
          )}
        </section>
      </div>
    </TakeFiles>
  );
}

function summary(
  searching: boolean,
  text: string,
  { found, near, beyond }: FoundInText,
  shown: number,
): string {
  if (!text.trim()) return 'Nothing pasted yet';
  if (searching) return 'Looking …';
  const merged = shown < found.length ? `, merged to ${shown}` : '';
  const doubts = near.length
    ? `; ${near.length} ${near.length === 1 ? 'code is' : 'codes are'} not quite a colour`
    : '';
  const more = beyond ? `; ${beyond.toLocaleString('en-GB')} more, further down, are left out` : '';
  return `${found.length} ${found.length === 1 ? 'colour' : 'colours'} found${merged}${doubts}${more}`;
}
