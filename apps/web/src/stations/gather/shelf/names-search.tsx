import { useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import type { FoundNames } from '../../../jobs/work/search-names.ts';
import { litColor } from '../../../kinds/lit.ts';
import { useDocumentPart, useSystem, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { colorTyping } from '../../../ui/color-text.ts';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { SearchField } from '../../../ui/search-field.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { useTaking } from '../taking/use-taking.ts';

/** The colour that names are looked for near while nothing is typed: what the lamp holds, else the first of the tray. */
function useUsualColor(): { readonly name: string; readonly css: string } | null {
  const system = useSystem();
  const theme = useTheme();
  const lit = litColor(
    system,
    theme,
    useAppSelector((state) => state.interface.selection),
  );
  const [swatch] = useDocumentPart('tray');
  if (lit?.painted) return { name: lit.title, css: lit.painted.css };
  return swatch ? { name: swatch.name, css: swatch.color } : null;
}

/**
 * The plain colour names that ship with the app, by word or near a colour; what is found goes to the tray when it is
 * pressed.
 */
export function NamesSearch() {
  const [text, setText] = useState('');
  const usual = useUsualColor();
  const resting = useResting(text.trim());
  const asked = resting || usual?.css || null;
  const job = useJob('searchNames', asked);
  // What was found last stays until the next is there.
  const result = asked === null ? null : job.result;
  const found = result?.names ?? NO_NAMES;
  const tray = useDocumentPart('tray');
  const inTray = new Set(tray.map(({ color }) => color));
  const taking = useTaking('Names');
  return (
    <div className="px-5 pb-5">
      <SearchField
        label="A word, or a colour: rust, moss, harbour, #0b5f6b …"
        value={text}
        onChange={setText}
        className="mb-4 block max-w-xl"
      />
      {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
      <p role="status" className="mb-2 text-quiet">
        {job.busy ? 'Looking …' : saidOf(result, resting, usual?.name)}
      </p>
      {found.length > 0 ? (
        <ul aria-label="Names" className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3">
          {found.map(({ name, hex }) => (
            <li key={`${name} ${hex}`}>
              <button
                type="button"
                disabled={inTray.has(hex)}
                aria-label={`${name}, ${hex}${inTray.has(hex) ? ', in the tray already' : ''}`}
                onClick={() => taking.tray([hex])}
                className="block w-full rounded-md text-left"
              >
                <ColorChip css={hex} className="h-14 w-full rounded-md!" />
                <span className="block truncate">{name}</span>
                <span className="flex justify-between font-mono text-sm text-quiet">
                  {hex}
                  {inTray.has(hex) && <span className="font-sans">in tray</span>}
                </span>
              </button>
            </li>
          ))}
        </ul>
      ) : (
        !job.busy &&
        (resting ? (
          <NoName typed={resting} onText={setText} />
        ) : (
          <EmptyState title="Three thousand plain names">
            Type a word to find colours by name, or a colour to see what is near it.
          </EmptyState>
        ))
      )}
    </div>
  );
}

/** That there is none, and what may have been meant where it is nearly a colour. */
function NoName({ typed, onText }: { typed: string; onText: (text: string) => void }) {
  return (
    <EmptyState title="No name has that in it">
      Try a shorter word, or a whole colour such as #0b5f6b.
      <p className="mt-3 flex flex-wrap justify-center gap-1.5">
        {colorTyping.corrections(typed).map((text) => (
          <Button key={text} small aria-label={`Use ${text}`} onClick={() => onText(text)}>
            <ColorChip css={text} className="size-4" /> {text}
          </Button>
        ))}
      </p>
    </EmptyState>
  );
}

const MOST = 120;
const NO_NAMES: FoundNames['names'] = [];

/** What was found, in a sentence. */
function saidOf(found: FoundNames | null, typed: string, usual: string | undefined): string {
  if (!found) return '';
  const { names, near } = found;
  if (near) return `The names nearest to ${typed || usual}`;
  const count = names.length === MOST ? `The first ${MOST}` : names.length;
  return `${count} ${names.length === 1 ? 'name' : 'names'} with “${typed}”`;
}
