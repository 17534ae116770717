import { findColors } from '@mint-lamp/core/color/find';
import { NOTATIONS } from '@mint-lamp/core/color/notations';
import { parseColor, readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { COPIED_AS, type CopiedAs } from '@mint-lamp/core/document/delivery/delivery';
import { mayDo } from '@mint-lamp/core/wire/access';
import clsx from 'clsx';
import { Pipette } from 'lucide-react';
import { type DragEvent, type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useThemeSwitch } from '../kinds/themes/use-theme-switch.ts';
import { COPIED_OPTIONS } from '../kinds/values/copied-options.ts';
import { type ValueRow, valueRows } from '../kinds/values/value-rows.ts';
import { useEditing } from '../store/editing.ts';
import { selectProject, useProjectDocument, useSystem, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { lasting } from '../storing/storage.ts';
import { copyIn } from './copy-in.ts';

const KEY = 'mint-lamp/pocket-notation';
/** Of what is dropped, at most. */
const MOST_DROPPED = 50;

/** A colour or gradient in the pocket. */
interface Kept {
  readonly key: string;
  readonly group: string;
  readonly name: string;
  readonly css: string;
  readonly copied: string;
}

/** Everything that the pocket holds: the tray, then roles, gradients and families, as they are copied. */
function useKept(as: CopiedAs): readonly Kept[] {
  const { tray } = useProjectDocument();
  const system = useSystem();
  const theme = useTheme();
  return useMemo(() => {
    const notation = NOTATIONS.find(({ id }) => id === as);
    const swatches = tray.map(({ id, name, color }) => ({
      key: id,
      group: 'Tray',
      name,
      css: color,
      // A colour of the tray has no custom property; it is copied as the code that it is.
      copied: as === 'name' ? name : notation ? notation.write(readColor(color)) : color,
    }));
    return [...swatches, ...fromRows(valueRows(system, theme, as))];
  }, [tray, system, theme, as]);
}

function fromRows(rows: readonly ValueRow[]): Kept[] {
  let heading = '';
  let group = '';
  return rows.flatMap((row) => {
    if (row.kind === 'heading') [heading, group] = [row.text, ''];
    else if (row.kind === 'group') group = row.text;
    else {
      const { name, css, copied } = row.value();
      return [{ key: row.key, group: heading, name: group ? `${group} ${name}` : name, css, copied }];
    }
    return [];
  });
}

/** A word of so few signs is in many codes. */
const LEAST_OF_CODE = 4;

const found = (words: string, { group, name, copied }: Kept) => {
  const called = `${group} ${name}`.toLowerCase();
  const code = copied.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => called.includes(word) || (word.length >= LEAST_OF_CODE && code.includes(word)));
};

/** The project's colours at hand: one press copies, typing finds, what is dropped here goes into the tray. */
export default function Pocket() {
  const document = useProjectDocument();
  const theme = useTheme();
  const switchTheme = useThemeSwitch();
  const { edit } = useEditing();
  const canEdit = useAppSelector((state) => {
    const { access, readOnly } = selectProject(state);
    return readOnly === null && mayDo(access, 'edit');
  });
  const [as, setAs] = useState<CopiedAs>(() => {
    const read = lasting.read(KEY);
    return COPIED_AS.find((one) => one === read) ?? document.delivery.copied;
  });
  const [words, setWords] = useState('');
  const [says, setSays] = useState('');
  const [over, setOver] = useState(false);
  const root = useRef<HTMLElement>(null);
  const search = useRef<HTMLInputElement>(null);
  // Where there are keys, typing finds from the first moment; on a phone it would bring up its keyboard.
  useEffect(() => {
    const { defaultView } = root.current!.ownerDocument;
    if (defaultView?.matchMedia('(pointer: fine)').matches) search.current?.focus();
  }, []);
  const kept = useKept(as);
  const shown = useMemo(() => kept.filter((one) => found(words.trim(), one)), [kept, words]);

  const copy = async ({ copied }: Kept) => {
    const done = await copyIn(root.current!.ownerDocument, copied);
    setSays(done ? `Copied ${copied}` : `There is no clipboard here. It is ${copied}`);
  };
  const put = async (colors: readonly string[]) => {
    if (!canEdit) return setSays('You can look at this project, but not add to its tray.');
    if (!colors.length) return setSays('No colour was found in that.');
    const { newSwatches } = await import('../kinds/tray/new-swatches.ts');
    const swatches = newSwatches(colors.slice(0, MOST_DROPPED));
    const commands = swatches.map((swatch) => ({ type: 'addSwatch', swatch }) as const);
    const isIn = edit(
      commands.length === 1
        ? commands[0]!
        : { type: 'batch', label: `add ${commands.length} colours to the tray`, commands },
    );
    if (isIn)
      setSays(
        swatches.length === 1
          ? `${swatches[0]!.name} is in the tray`
          : `${swatches.length} colours are in the tray`,
      );
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const text = event.dataTransfer.getData('text/plain') || event.dataTransfer.getData('text/html');
    void put(findColors(text.slice(0, 100_000)).found.map(({ color }) => color));
  };
  const pick = async () => {
    const { EyeDropper } = root.current!.ownerDocument.defaultView ?? window;
    if (!EyeDropper) return setSays('This browser cannot pick from the screen.');
    try {
      const { sRGBHex } = await new EyeDropper().open();
      const parsed = parseColor(sRGBHex);
      if (parsed.ok) await put([canonical(parsed.color)]);
    } catch {
      // Escape ends picking without a colour.
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const rows = [...root.current!.querySelectorAll<HTMLElement>('[data-kept]')];
    const at = rows.indexOf(root.current!.ownerDocument.activeElement as HTMLElement);
    const inField = (event.target as Element).closest('input, select') !== null;
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      if ((event.target as Element).closest('select')) return;
      event.preventDefault();
      const next = event.key === 'ArrowDown' ? at + 1 : at - 1;
      (next < 0 ? search.current : rows[Math.min(next, rows.length - 1)])?.focus();
    } else if (event.key === 'Escape' && words) {
      setWords('');
      search.current?.focus();
    } else if (
      !inField &&
      event.key.length === 1 &&
      event.key !== ' ' &&
      !event.ctrlKey &&
      !event.metaKey &&
      !event.altKey
    ) {
      // Typing finds, wherever one is.
      event.preventDefault();
      setWords(words + event.key);
      search.current?.focus();
    }
  };
  return (
    <main
      ref={root}
      aria-label={`Pocket of ${document.name}`}
      onKeyDown={onKeyDown}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={clsx(
        'flex h-full min-h-0 flex-col bg-ground text-main',
        over && 'outline-2 -outline-offset-2 outline-ring',
      )}
    >
      <h1 className="sr-only">Pocket of {document.name}</h1>
      <div className="grid shrink-0 grid-cols-[1fr_1fr_auto] gap-1 p-1">
        <select
          aria-label="Theme"
          value={theme.theme.id}
          onChange={(event) => switchTheme(event.target.value)}
          className="h-7 min-w-0 rounded-md border border-control bg-raised px-1"
        >
          {document.themes.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <select
          aria-label="Copied as"
          value={as}
          onChange={(event) => {
            setAs(event.target.value as CopiedAs);
            lasting.write(KEY, event.target.value);
          }}
          className="h-7 min-w-0 rounded-md border border-control bg-raised px-1"
        >
          {COPIED_OPTIONS.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
        <button
          type="button"
          aria-label="Pick from the screen"
          title="Pick from the screen"
          onClick={pick}
          className="grid size-7 place-content-center rounded-md border border-control bg-raised hover:bg-pressed"
        >
          <Pipette aria-hidden className="size-4" />
        </button>
        <input
          ref={search}
          type="search"
          aria-label="Find a colour"
          placeholder="Find"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && shown[0]) void copy(shown[0]);
          }}
          className="col-span-3 h-7 min-w-0 rounded-md border border-control bg-raised px-2"
        />
      </div>
      <ul aria-label="Colours" className="min-h-0 flex-1 overflow-auto px-1">
        {shown.map((one, i) => (
          <li key={one.key} className="[contain-intrinsic-size:auto_28px] [content-visibility:auto]">
            {one.group !== shown[i - 1]?.group && (
              <span className="block px-1 pt-1 text-sm text-quiet">{one.group}</span>
            )}
            <button
              type="button"
              data-kept
              aria-label={`Copy ${one.group} ${one.name}, ${one.copied}`}
              onClick={() => void copy(one)}
              className="flex h-7 w-full items-center gap-1.5 rounded-md px-1 text-left -outline-offset-2 hover:bg-pressed"
            >
              <span className="checker size-5 shrink-0 rounded-[4px] border border-control">
                <span className="block size-full rounded-[3px]" style={{ background: one.css }} />
              </span>
              <span className="min-w-0 flex-1 truncate">{one.name}</span>
              <span className="max-w-[55%] truncate font-mono text-sm text-quiet">{one.copied}</span>
            </button>
          </li>
        ))}
      </ul>
      {!shown.length && <p className="px-2 pb-2 text-quiet">Nothing by that name.</p>}
      <p role="status" className="h-6 shrink-0 truncate border-t border-hair px-2 text-sm leading-6">
        {says || 'Press to copy, type to find, drop to add'}
      </p>
    </main>
  );
}
