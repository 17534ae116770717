import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { SHEET_ENDINGS } from '@mint-lamp/core/sheet/written/sheet-of';
import clsx from 'clsx';
import { FilePlus, FolderPlus, X } from 'lucide-react';
import { useRef, useState } from 'react';
import { useLibraryQuery } from '../../../fetching/library-api.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { PasteArea } from '../text/paste-area.tsx';
import { chosenSheets } from './dropped-files.ts';
import { fetchedSheets } from './fetched-sheets.ts';
import { setSheets } from './sheet-files.ts';

interface SheetListProps {
  files: readonly SheetFile[];
  unread: readonly { readonly name: string; readonly reason: string }[];
  onAdd: (files: readonly SheetFile[]) => void;
  onFault: (fault: string | null) => void;
}

const NO_LIBRARY = { artworks: [] };
const ACCEPT = SHEET_ENDINGS.map((ending) => `.${ending}`).join(',');
/** What a file is called without where it is. */
const lastPart = (name: string) => name.slice(name.lastIndexOf('/') + 1) || name;
const sizeOf = (text: string) =>
  text.length < 1000 ? `${text.length} B` : `${Math.round(text.length / 1000).toLocaleString('en-GB')} kB`;

/** The sheets that are read together, the text of one of them, and the ways to add more. */
export function SheetList({ files, unread, onAdd, onFault }: SheetListProps) {
  const id = useProjectId();
  const [shown, setShown] = useState<string | null>(null);
  const open = files.find(({ name }) => name === shown) ?? files[0];
  const remove = (name: string) =>
    setSheets(
      id,
      files.filter((file) => file.name !== name),
    );
  const write = (name: string, text: string) =>
    setSheets(
      id,
      files.map((file) => (file.name === name ? { name, text } : file)),
    );
  return (
    <section aria-label="Sheets" className="sticky top-0 flex min-w-0 flex-col gap-3 self-start">
      <AddSheets onAdd={onAdd} onFault={onFault} />
      {files.length > 0 && (
        <ul className="divide-y divide-hair border-y border-hair">
          {files.map(({ name, text }) => {
            const fault = unread.find((one) => one.name === name)?.reason;
            return (
              <li key={name} className="py-1">
                <div className="flex items-center gap-2">
                  <button
                    type="button"
                    aria-pressed={name === open?.name}
                    onClick={() => setShown(name)}
                    title={name}
                    className={clsx(
                      'min-w-0 flex-1 truncate rounded-md px-1 text-left hover:bg-pressed',
                      name === open?.name && 'font-semibold',
                    )}
                  >
                    {lastPart(name)}
                  </button>
                  <span className="text-sm text-quiet">{sizeOf(text)}</span>
                  <IconButton label={`Remove ${name}`} onClick={() => remove(name)}>
                    <X aria-hidden className="size-4" />
                  </IconButton>
                </div>
                {fault && <p className="px-1 text-sm text-fail">{fault}</p>}
              </li>
            );
          })}
        </ul>
      )}
      {open && (
        <div className="flex h-80 min-h-0 flex-col">
          <PasteArea text={open.text} onText={(text) => write(open.name, text)} isFile />
        </div>
      )}
    </section>
  );
}

function AddSheets({ onAdd, onFault }: Pick<SheetListProps, 'onAdd' | 'onFault'>) {
  const id = useProjectId();
  const [busy, setBusy] = useState(false);
  const files = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const { data: { artworks } = NO_LIBRARY } = useLibraryQuery();
  const pages = artworks.filter(({ address }) => /\.html$/.test(address));
  const chosen = async (input: HTMLInputElement) => {
    const taken = await chosenSheets([...(input.files ?? [])]);
    input.value = '';
    if (taken.length) onAdd(taken);
    else onFault('There is no style sheet, SCSS, LESS, page or file of tokens among them.');
  };
  const fetch = async (address: string) => {
    setBusy(true);
    onFault(null);
    try {
      const { files: fetched, missing } = await fetchedSheets(id, address);
      if (fetched.length) onAdd(fetched);
      if (missing.length) onFault(`Could not be fetched: ${missing.join(', ')}`);
      else if (!fetched.length) onFault('The page at that address has no style sheet.');
    } catch (error) {
      onFault((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => files.current?.click()}>
          <FilePlus aria-hidden className="size-4" />
          Open files
        </Button>
        <Button onClick={() => folder.current?.click()}>
          <FolderPlus aria-hidden className="size-4" />A folder
        </Button>
        <input
          ref={files}
          type="file"
          multiple
          hidden
          accept={ACCEPT}
          aria-label="Sheets as files"
          onChange={({ currentTarget }) => void chosen(currentTarget)}
        />
        <input
          ref={folder}
          type="file"
          multiple
          hidden
          aria-label="A folder of sheets"
          {...{ webkitdirectory: '' }}
          onChange={({ currentTarget }) => void chosen(currentTarget)}
        />
      </div>
      <TextField
        label={busy ? 'Fetching …' : 'or a page’s address, with its sheets'}
        value=""
        onCommit={(address) => {
          if (address) void fetch(address);
          return null;
        }}
      />
      {pages.length > 0 && (
        <p className="flex flex-wrap items-center gap-1 text-sm">
          <span className="text-quiet">or try a sample:</span>
          {pages.map(({ title, address }) => (
            <Button key={address} small disabled={busy} onClick={() => void fetch(address)}>
              {title}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}
