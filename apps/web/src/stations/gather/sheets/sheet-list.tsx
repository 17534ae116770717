import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import clsx from 'clsx';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useProjectId } from '../../../store/selectors.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { PasteArea } from '../text/paste-area.tsx';
import { AddSheets } from './add-sheets.tsx';
import { setSheets } from './sheet-files.ts';

interface SheetListProps {
  files: readonly SheetFile[];
  unread: readonly { readonly name: string; readonly reason: string }[];
  onAdd: (files: readonly SheetFile[]) => void;
  onFault: (fault: string | null) => void;
}

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
      <AddSheets project={id} onAdd={onAdd} onFault={onFault} />
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
