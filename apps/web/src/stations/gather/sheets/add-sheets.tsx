import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { SHEET_ENDINGS } from '@mint-lamp/core/sheet/written/sheet-of';
import { FilePlus, FolderPlus } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { useLibraryQuery } from '../../../fetching/library-api.ts';
import { Button } from '../../../ui/button.tsx';
import { chosenSheets } from './dropped-files.ts';
import { fetchedSheets } from './fetched-sheets.ts';

const NO_LIBRARY = { artworks: [] };
const ACCEPT = SHEET_ENDINGS.map((ending) => `.${ending}`).join(',');
/** What is said where nothing of what was given can be read. */
export const NOTHING_READABLE = 'There is no style sheet, SCSS, LESS, page or file of tokens among them.';

interface AddSheetsProps {
  /** The project that they are for; null where there is none yet. */
  project: string | null;
  onAdd: (files: readonly SheetFile[], address?: string) => void;
  onFault: (fault: string | null) => void;
}

/** The ways in for sheets: a page's address, files, a folder, and the made-up pages that ship with the app. */
export function AddSheets({ project, onAdd, onFault }: AddSheetsProps) {
  const id = useId();
  const [address, setAddress] = useState('');
  const [busy, setBusy] = useState(false);
  const files = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const { data: { artworks } = NO_LIBRARY } = useLibraryQuery();
  const pages = artworks.filter(({ address: of }) => /\.html$/.test(of));
  const chosen = async (input: HTMLInputElement) => {
    const taken = await chosenSheets([...(input.files ?? [])]);
    input.value = '';
    onFault(taken.length ? null : NOTHING_READABLE);
    if (taken.length) onAdd(taken);
  };
  const fetch = async (from: string) => {
    setAddress(from);
    setBusy(true);
    onFault(null);
    try {
      const { files: fetched, missing } = await fetchedSheets(project, from);
      if (fetched.length) onAdd(fetched, from);
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
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (address.trim() && !busy) void fetch(address.trim());
        }}
      >
        <div className="min-w-0 flex-1">
          <label htmlFor={id} className="mb-0.5 block text-sm text-quiet">
            A page’s address, with its sheets
          </label>
          <input
            id={id}
            value={address}
            inputMode="url"
            placeholder="https://"
            spellCheck={false}
            autoComplete="off"
            onChange={(event) => setAddress(event.target.value)}
            className="h-8 w-full rounded-md border border-control bg-raised px-2"
          />
        </div>
        <Button type="submit" disabled={!address.trim() || busy}>
          {busy ? 'Fetching …' : 'Fetch'}
        </Button>
      </form>
      <div className="flex flex-wrap items-center gap-2">
        <Button onClick={() => files.current?.click()}>
          <FilePlus aria-hidden className="size-4" />
          Open files
        </Button>
        <Button onClick={() => folder.current?.click()}>
          <FolderPlus aria-hidden className="size-4" />
          Open a folder
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
      <p className="text-sm text-quiet">
        CSS, SCSS, LESS, design tokens or HTML. You can drop or paste them, too.
      </p>
      {pages.length > 0 && (
        <p className="flex flex-wrap items-center gap-1.5 text-sm">
          <span className="text-quiet">Or try a sample:</span>
          {pages.map(({ title, address: of }) => (
            <Button key={of} small disabled={busy} onClick={() => void fetch(of)}>
              {title}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}
