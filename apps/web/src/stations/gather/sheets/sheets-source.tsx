import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { part } from '../../../ui/part.tsx';
import { Progress } from '../../../ui/progress.tsx';
import { GatherHeader } from '../gather-header.tsx';
import { useCollecting } from '../text/use-collecting.ts';
import { usePasteAnywhere } from '../text/use-paste-anywhere.ts';
import { droppedSheets } from './dropped-files.ts';
import { addSheets, setSheets, useSheetFiles } from './sheet-files.ts';
import { SheetList } from './sheet-list.tsx';

const SheetProposal = part(() => import('./sheet-proposal.tsx'));

const NONE: never[] = [];
const PASTED = 'pasted.css';

/**
 * What a team has already, as the system that it comes to: style sheets and the like from files, a folder, an address or the
 * clipboard, read together.
 * @public Found by its file.
 */
export default function SheetsSource() {
  const id = useProjectId();
  const files = useSheetFiles(id);
  const [farthest, setFarthest] = useState(0);
  const [fault, setFault] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [stopped, setStopped] = useState<readonly SheetFile[] | null>(null);
  const { collect } = useCollecting();
  const add = (added: readonly SheetFile[]) => setFault(addSheets(id, added));
  usePasteAnywhere((change) => {
    const before = files.find(({ name }) => name === PASTED)?.text ?? '';
    add([{ name: PASTED, text: change(before) }]);
  });
  const isStopped = stopped === files;
  const input = useMemo(
    () => (files.length && !isStopped ? { files, farthest } : null),
    [files, farthest, isStopped],
  );
  const reading = useJob('readSheets', input);
  const read = files.length ? reading.result : null;
  const list = <SheetList files={files} unread={read?.unread ?? NONE} onAdd={add} onFault={setFault} />;
  const drop = {
    onDragOver: (event: React.DragEvent) => {
      if (!event.dataTransfer.types.includes('Files')) return;
      event.preventDefault();
      setOver(true);
    },
    onDragLeave: (event: React.DragEvent) => {
      if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
    },
    onDrop: async (event: React.DragEvent) => {
      if (!event.dataTransfer.types.includes('Files')) return;
      event.preventDefault();
      setOver(false);
      const dropped = await droppedSheets(event.dataTransfer);
      if (dropped.length) add(dropped);
      else setFault('There is no style sheet, SCSS, LESS, page or file of tokens among what was dropped.');
    },
  };
  return (
    <div className="relative min-h-full" {...drop}>
      {read?.system && read.movement && files.length > 0 ? (
        <SheetProposal
          files={files}
          read={{ ...read, system: read.system, movement: read.movement }}
          farthest={farthest}
          onFarthest={(next) => {
            setStopped(null);
            setFarthest(next);
          }}
          busy={reading.busy}
          onCollect={collect}
          notes={
            <Notes fault={fault} reading={reading} onStop={() => setStopped(files)} busy={reading.busy} />
          }
        >
          {list}
        </SheetProposal>
      ) : (
        <>
          <GatherHeader
            source="sheets"
            lead="Turn what you have into a system, colour for colour: style sheets, SCSS, LESS, tokens, or a page."
          />
          <div
            className={clsx(
              'grid gap-5 px-5 pb-5 narrow:grid-cols-1',
              files.length
                ? 'grid-cols-[minmax(230px,1fr)_3fr]'
                : 'grid-cols-[minmax(0,3fr)_minmax(240px,2fr)]',
            )}
          >
            {list}
            <div className="min-w-0">
              <Notes fault={fault} reading={reading} onStop={() => setStopped(files)} busy={reading.busy} />
              {isStopped && (
                <p role="status">
                  Stopped; nothing was read.{' '}
                  <Button small onClick={() => setStopped(null)}>
                    Read again
                  </Button>
                </p>
              )}
              {!files.length && <NothingYet onExample={() => setSheets(id, [EXAMPLE])} />}
              {files.length > 0 && !reading.busy && !isStopped && read && !read.system && (
                <p role="status">There is no rule with a colour in it.</p>
              )}
            </div>
          </div>
        </>
      )}
      {over && (
        <div className="pointer-events-none absolute inset-2 z-20 grid place-content-center rounded-md border-2 border-ring bg-veil text-lg text-inverse">
          <span className="rounded-md bg-main px-4 py-2">Drop to read it</span>
        </div>
      )}
    </div>
  );
}

interface NotesProps {
  fault: string | null;
  reading: { readonly fault: string | null; readonly again: () => void; readonly progress: number };
  busy: boolean;
  onStop: () => void;
}

/** What stands in the way, and how far the reading is, with a way to stop it. */
function Notes({ fault, reading, busy, onStop }: NotesProps) {
  return (
    <>
      {fault && (
        <p role="alert" className="mb-2 text-fail">
          {fault}
        </p>
      )}
      {reading.fault && <Failure fault={reading.fault} onAgain={reading.again} />}
      {busy && (
        <p className="mb-2 flex items-center gap-3">
          <Progress label="Reading the sheets" value={reading.progress} className="w-48" />
          <span className="text-quiet">Reading … {Math.round(reading.progress * 100)} %</span>
          <Button small onClick={onStop}>
            Stop
          </Button>
        </p>
      )}
    </>
  );
}

const EXAMPLE: SheetFile = {
  name: 'deck-notices.css',
  text: `:root { --ground: #fdfbf5; --ink: #12262b; --funnel: #e2552b; --water: #0b5f6b }
.night { --ground: #002f39; --ink: #e6f1f2; --funnel: #ff7a52; --water: #6fb6c0 }
body { background: var(--ground); color: var(--ink) }
header { background: var(--water); color: #ffffff }
.notice { background: #fbe3b4; color: #6b4300; border: 1px solid #d9cfae }
.card { background: #ffffff; border: 1px solid #dfe4e4 }
.card p { color: #5b6f73 }
.card .late { color: #5b6e73 }
.go { background: var(--funnel); color: #ffffff }
footer { background: #e9eeec; color: #44575b }
`,
};

function NothingYet({ onExample }: { onExample: () => void }) {
  return (
    <EmptyState title="A system appears here as you add what you have">
      Drop files or a folder, paste a sheet, or give a page’s address. Colours stay exactly as they are unless
      you say otherwise.
      <p className="mt-3">
        <Button onClick={onExample}>Try an example</Button>
      </p>
    </EmptyState>
  );
}
