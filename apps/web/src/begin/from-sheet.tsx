import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { takeBrought } from '../projects/brought.ts';
import { AddSheets, NOTHING_READABLE } from '../stations/gather/sheets/add-sheets.tsx';
import { chosenSheets, droppedSheets } from '../stations/gather/sheets/dropped-files.ts';
import { IconButton } from '../ui/icon-button.tsx';
import type { WayProps } from './to-begin-with.ts';
import { usePasted } from './use-pasted.ts';

/** From what a product has already: its sheets, tokens, or the address of a page. */
export default function FromSheet({ onGiven }: WayProps) {
  const [files, setFiles] = useState<readonly SheetFile[]>([]);
  const [address, setAddress] = useState('');
  const [fault, setFault] = useState<string | null>(null);
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
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping is one way among others
    <div
      onDragOver={(event) => event.preventDefault()}
      onDrop={async (event) => {
        event.preventDefault();
        add(await droppedSheets(event.dataTransfer));
      }}
    >
      <AddSheets
        project={null}
        onAdd={(more, from) => {
          if (from) setAddress(from);
          add(more);
        }}
        onFault={setFault}
      />
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
