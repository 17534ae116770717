import { useMemo, useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { SearchField } from '../../../ui/search-field.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { useTaking } from '../taking/use-taking.ts';

/** The plain colour names that ship with the app, searched by word; what is found goes to the tray when it is pressed. */
export function NamesSearch() {
  const [text, setText] = useState('');
  const resting = useResting(text.trim());
  const job = useJob('searchNames', resting || null);
  const found = useMemo(() => (resting ? (job.result ?? []) : []), [resting, job.result]);
  const tray = useDocumentPart('tray');
  const inTray = new Set(tray.map(({ color }) => color));
  const taking = useTaking('Names');
  return (
    <div className="px-5 pb-5">
      <SearchField
        label="A word: rust, moss, harbour …"
        value={text}
        onChange={setText}
        className="mb-4 block max-w-xl"
      />
      {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
      <p role="status" className="mb-2 text-quiet">
        {resting && !job.busy
          ? `${found.length === MOST ? `The first ${MOST}` : found.length} ${found.length === 1 ? 'name' : 'names'} with “${resting}”`
          : resting && 'Looking …'}
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
        !resting && (
          <EmptyState title="Three thousand plain names">Type a word to find colours by name.</EmptyState>
        )
      )}
    </div>
  );
}

const MOST = 120;
