import type { AgainChoice, AgainThing, SheetsAgain } from '@mint-lamp/core/moving/sheets-again';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { useState } from 'react';
import { toast } from 'sonner';
import { runJob } from '../../../jobs/run-job.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

interface SheetsAgainProps {
  again: SheetsAgain;
  system: SheetSystem;
}

type Kind = keyof AgainChoice;

const KINDS: readonly { readonly kind: Kind; readonly title: string; readonly says: string }[] = [
  { kind: 'changed', title: 'Changed', says: 'the sheets say another colour' },
  { kind: 'fresh', title: 'New', says: 'not added yet' },
  { kind: 'gone', title: 'Gone', says: 'no longer in the sheets; what you tick is retired' },
];
const SHOWN = 60;

/** What sheets that come again have otherwise than the project, to be taken in part. */
export function SheetsAgainList({ again, system }: SheetsAgainProps) {
  const document = useProjectDocument();
  const { edit } = useEditing();
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [busy, setBusy] = useState(false);
  const keys = (kind: Kind) => again[kind].map(({ key }) => key).filter((key) => !out.has(`${kind} ${key}`));
  const chosen = KINDS.map(({ kind, title }) => ({ title, count: keys(kind).length })).filter(
    ({ count }) => count,
  );
  const toggle = (id: string) =>
    setOut((old) => {
      const next = new Set(old);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const take = async () => {
    setBusy(true);
    try {
      const choice: AgainChoice = {
        fresh: new Set(keys('fresh')),
        changed: new Set(keys('changed')),
        gone: new Set(keys('gone')),
      };
      const { command } = await runJob('takeSheetsAgain', { document, system, choice });
      if (command && edit(command)) toast('Applied. Undo takes all of it back.');
    } catch (error) {
      toast.error((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="Since you added it" className="mb-5">
      <div className="flex items-center gap-3">
        <h2 className="font-title text-lg font-semibold">Since you added it</h2>
        <Button data-next look="primary" small disabled={busy || !chosen.length} onClick={take}>
          {chosen.length
            ? `Apply ${chosen.map(({ title, count }) => `${count} ${title.toLowerCase()}`).join(', ')}`
            : 'Nothing selected'}
        </Button>
      </div>
      <p role="status" className="mb-2 text-quiet">
        {told(again)}
      </p>
      {KINDS.map(
        ({ kind, title, says }) =>
          again[kind].length > 0 && (
            <fieldset key={kind} className="mb-3">
              <legend>
                <b>{title}</b> <span className="text-sm text-quiet">{says}</span>
              </legend>
              <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(300px,100%),1fr))] gap-x-5">
                {again[kind].slice(0, SHOWN).map((thing) => (
                  <Thing
                    key={thing.key}
                    thing={thing}
                    taken={!out.has(`${kind} ${thing.key}`)}
                    onToggle={() => toggle(`${kind} ${thing.key}`)}
                  />
                ))}
              </ul>
              {again[kind].length > SHOWN && (
                <p className="text-sm text-quiet">and {again[kind].length - SHOWN} more, taken alike</p>
              )}
            </fieldset>
          ),
      )}
    </section>
  );
}

function told({ fresh, changed, gone, same }: SheetsAgain): string {
  const all = fresh.length + changed.length + gone.length;
  const alike = `${same} ${same === 1 ? 'is' : 'are'} the same`;
  return all
    ? `${changed.length} changed, ${fresh.length} new, ${gone.length} gone; ${alike}.`
    : `Nothing has changed: ${alike}.`;
}

function Thing({ thing, taken, onToggle }: { thing: AgainThing; taken: boolean; onToggle: () => void }) {
  return (
    <li>
      <label className="flex items-center gap-2 py-0.5">
        <input type="checkbox" checked={taken} onChange={onToggle} />
        <span className="min-w-0 flex-1 truncate">{thing.name}</span>
        {thing.colors.slice(0, 3).map(({ theme, was, is }) => (
          <span
            key={theme}
            className="flex"
            title={`${theme ? `${theme}: ` : ''}${was ?? 'nothing'} → ${is ?? 'nothing'}`}
          >
            <ColorChip css={was} className="h-6 w-7 rounded-r-none!" />
            <ColorChip css={is} className="h-6 w-7 rounded-l-none! border-l-0!" />
          </span>
        ))}
      </label>
    </li>
  );
}
