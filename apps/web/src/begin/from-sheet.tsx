import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { FilePlus, FolderPlus, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLibraryQuery } from '../fetching/library-api.ts';
import { takeBrought } from '../projects/brought.ts';
import { chosenSheets, droppedSheets } from '../stations/gather/sheets/dropped-files.ts';
import { fetchedSheets } from '../stations/gather/sheets/fetched-sheets.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import type { WayProps } from './to-begin-with.ts';
import { usePasted } from './use-pasted.ts';

const NO_LIBRARY = { artworks: [] };
const NOTHING_READABLE = 'There is no style sheet, SCSS, LESS, page or file of tokens among them.';

/** From what a product has already: its sheets, tokens, or the address of a page. */
export default function FromSheet({ onGiven }: WayProps) {
  const [files, setFiles] = useState<readonly SheetFile[]>([]);
  const [address, setAddress] = useState('');
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const { data: { artworks } = NO_LIBRARY } = useLibraryQuery();
  const pages = artworks.filter(({ address: of }) => /\.html$/.test(of));
  const add = (more: readonly SheetFile[]) => {
    setFault(more.length ? null : NOTHING_READABLE);
    setFiles((old) => [...new Map([...old, ...more].map((file) => [file.name, file])).values()]);
  };
  const name = /^https?:\/\/([^/]+)/.exec(address)?.[1];
  const given = useMemo(
    () => (files.length ? { given: { of: 'sheets' as const, files }, ...(name ? { name } : {}) } : null),
    [files, name],
  );
  useEffect(() => onGiven(given), [given, onGiven]);
  const takeFiles = async (chosen: readonly File[]) => add(await chosenSheets([...chosen]));
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was brought is taken once
  useEffect(() => {
    const brought = takeBrought('sheet');
    if (brought) void takeFiles(brought.files);
  }, []);
  usePasted((thing) => {
    if (thing.from === 'text') add([{ name: 'pasted.css', text: thing.text }]);
    if (thing.from === 'sheet') void takeFiles(thing.files);
  });
  const fetch = async (from: string) => {
    setAddress(from);
    setBusy(true);
    setFault(null);
    try {
      const { files: fetched, missing } = await fetchedSheets(null, from);
      if (fetched.length) add(fetched);
      if (missing.length) setFault(`Could not be fetched: ${missing.join(', ')}`);
      else if (!fetched.length) setFault('The page at that address has no style sheet.');
    } catch (error) {
      setFault((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const fromInput = (input: HTMLInputElement) => {
    const chosen = [...(input.files ?? [])];
    input.value = '';
    void takeFiles(chosen);
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping is one way among others
    <div
      onDragOver={(event) => event.preventDefault()}
      onDrop={async (event) => {
        event.preventDefault();
        add(await droppedSheets(event.dataTransfer));
      }}
    >
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (address.trim()) void fetch(address.trim());
        }}
      >
        <label className="min-w-0 flex-1">
          <span className="mb-1 block text-quiet">A page’s address; its sheets are fetched too</span>
          <input
            value={address}
            inputMode="url"
            placeholder="https://"
            spellCheck={false}
            autoComplete="off"
            onChange={(event) => setAddress(event.target.value)}
            className="h-9 w-full rounded-md border border-control bg-raised px-3"
          />
        </label>
        <Button type="submit" className="h-9" disabled={!address.trim() || busy}>
          {busy ? 'Fetching …' : 'Fetch'}
        </Button>
      </form>
      <p className="mt-3 text-quiet">Or files: CSS, SCSS, LESS, design tokens, HTML; dropped, pasted, or</p>
      <p className="mt-1 flex flex-wrap gap-2">
        <Button onClick={() => picker.current?.click()}>
          <FilePlus aria-hidden className="size-4" />
          Open files
        </Button>
        <Button onClick={() => folder.current?.click()}>
          <FolderPlus aria-hidden className="size-4" />
          Open a folder
        </Button>
        <input
          ref={picker}
          type="file"
          multiple
          hidden
          aria-label="Sheets as files"
          onChange={({ currentTarget }) => fromInput(currentTarget)}
        />
        <input
          ref={folder}
          type="file"
          multiple
          hidden
          aria-label="A folder of sheets"
          {...{ webkitdirectory: '' }}
          onChange={({ currentTarget }) => fromInput(currentTarget)}
        />
      </p>
      {pages.length > 0 && (
        <p className="mt-3 flex flex-wrap items-center gap-1.5 text-sm">
          <span className="text-quiet">To try it: a small made-up web</span>
          {pages.map(({ title, address: of }) => (
            <Button key={of} small disabled={busy} onClick={() => void fetch(of)}>
              {title}
            </Button>
          ))}
        </p>
      )}
      {fault && (
        <p role="alert" className="mt-2 text-fail">
          {fault}
        </p>
      )}
      {files.length > 0 && (
        <ul aria-label="Sheets" className="mt-3 divide-y divide-hair border-y border-hair">
          {files.map((file) => (
            <li key={file.name} className="flex items-center gap-2 py-1">
              <span className="min-w-0 flex-1 truncate" title={file.name}>
                {file.name}
              </span>
              <span className="text-sm text-quiet">
                {Math.max(1, Math.round(file.text.length / 1000)).toLocaleString('en-GB')} kB
              </span>
              <IconButton
                label={`Remove ${file.name}`}
                onClick={() => setFiles((old) => old.filter((one) => one !== file))}
              >
                <X aria-hidden className="size-4" />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
