import { useEffect, useRef, useState } from 'react';
import { addressOf } from '../../../addresses.ts';
import type { FoundInText } from '../../../jobs/work/find-colors.ts';
import { selectProject, useDocumentPart } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { gatherTextKey } from '../../../storing/gather-text.ts';
import { ofTab } from '../../../storing/storage.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { GatherHeader } from '../gather-header.tsx';
import { TakeFiles } from '../pictures/take-files.tsx';
import { setSheets } from '../sheets/sheet-files.ts';
import { FoundColors } from './found-colors.tsx';
import { FoundGradients } from './found-gradients.tsx';
import { Gathered } from './gathered.tsx';
import { PasteArea } from './paste-area.tsx';
import { SheetOffer } from './sheet-offer.tsx';
import { useCollecting } from './use-collecting.ts';
import { useFoundInText } from './use-found-in-text.ts';
import { usePasteAnywhere } from './use-paste-anywhere.ts';

const EXAMPLE = `Hi! Our funnel is painted #E2552B and the water on the posters is rgb(11 95 107).
Notices: delayed hsl(42 79% 49%), cancelled #B8234A. The letterhead says #0B5F6 …
Oh, and linen for the background.`;

/** What is typed stays while the tab is open, also when another station is visited. */
function useDraft(projectId: string) {
  const key = gatherTextKey(projectId);
  const [text, setText] = useState(() => ofTab.read(key) ?? '');
  useEffect(() => {
    // A text too large for the storage stays on the screen.
    ofTab.write(key, text);
  }, [key, text]);
  return [text, setText] as const;
}

/**
 * Collects colours from any text: found codes on one side, what looks like a code and is none beside them; a style sheet goes
 * on to where it is read as a system.
 * @public Found by its file.
 */
export default function TextSource() {
  const id = useAppSelector((state) => selectProject(state).id);
  const [text, setText] = useDraft(id);
  usePasteAnywhere(setText);
  const field = useRef<HTMLTextAreaElement>(null);
  const hasColors = useDocumentPart('tray').length > 0;
  const hasFamilies = useDocumentPart('families').length > 0;
  const isEmpty = !hasColors && !hasFamilies;
  // A project that has nothing yet begins with what is typed or pasted here.
  // biome-ignore lint/correctness/useExhaustiveDependencies: when it is opened, and not when it is emptied
  useEffect(() => {
    if (isEmpty && document.activeElement === document.body) field.current?.focus();
  }, []);
  const found = useFoundInText(text);
  const {
    merge,
    setMerge,
    result,
    searching,
    shown,
    drawn,
    isChosen,
    reading,
    summary: sheet,
    faults,
  } = found;
  const { inTray, collect, onCollect } = useCollecting();
  const chosen = shown.filter((item) => isChosen(item) && !inTray.has(item.color));

  return (
    <TakeFiles className="relative flex min-h-full flex-col">
      <GatherHeader
        source="text"
        lead="Paste anything with colours in it: an e-mail, a style sheet, a list of codes."
      >
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={merge} onChange={(event) => setMerge(event.target.checked)} />
          Merge near-duplicates
        </label>
        <Button
          data-next
          look="primary"
          disabled={!chosen.length}
          onClick={() => collect(chosen.map(({ color }) => color))}
        >
          {chosen.length ? `Add ${chosen.length} to the tray` : 'Add to the tray'}
        </Button>
      </GatherHeader>
      <div className="grid min-h-[calc(100dvh-264px)] flex-1 grid-cols-[minmax(240px,2fr)_3fr] gap-5 px-5 pb-5 narrow:min-h-0 narrow:grid-cols-1">
        <PasteArea text={text} onText={setText} field={field} />
        <section
          aria-label="Found colours"
          aria-busy={searching || drawn.length < shown.length}
          className="min-w-0"
        >
          {faults.map(({ fault, again }) => (
            <Failure key={fault} fault={fault} onAgain={again} />
          ))}
          <p role="status" className="mb-2 text-quiet">
            {summary(searching, text, result, shown.length)}
          </p>
          {text.trim() && !found.fault ? (
            <>
              {reading.fault && <Failure fault={reading.fault} onAgain={reading.again} />}
              <SheetOffer
                summary={sheet}
                busy={result.isSheet && reading.busy}
                to={addressOf(id, 'gather', 'sheets')}
                onRead={() => setSheets(id, [{ name: 'pasted.css', text }])}
              />
              <FoundGradients gradients={result.gradients} onCollect={onCollect} />
              <FoundColors found={found} inTray={inTray} onText={setText} field={field} />
            </>
          ) : (
            <>
              {hasColors && <Gathered />}
              <NothingYet isQuiet={hasColors} onExample={() => setText(EXAMPLE)} />
            </>
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

const UNDERSTOOD =
  'Hex with or without #, names, rgb, hsl, hwb, lab, lch, oklab, oklch and color() are understood. Mistyped codes are shown with corrections.';

/** What can be pasted; in a project that has colours it stands back behind them. */
function NothingYet({ isQuiet, onExample }: { isQuiet: boolean; onExample: () => void }) {
  const example = <Button onClick={onExample}>Try an example</Button>;
  if (isQuiet)
    return (
      <div className="mt-6 flex flex-wrap items-center gap-3 border-t border-hair pt-3 text-quiet">
        <p className="min-w-60 flex-1">Colours you paste appear here. {UNDERSTOOD}</p>
        {example}
      </div>
    );
  return (
    <EmptyState title="Colours appear here as you paste">
      {UNDERSTOOD}
      <p className="mt-3">{example}</p>
    </EmptyState>
  );
}
