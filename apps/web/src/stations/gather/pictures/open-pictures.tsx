import { FolderOpen } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { useLibraryQuery } from '../../../fetching/library-api.ts';
import { Button } from '../../../ui/button.tsx';
import { filesOf } from './files-of.ts';
import { useIncoming } from './use-incoming.ts';

const ACCEPTED = 'image/png,image/jpeg,image/webp,image/avif,image/gif,image/svg+xml';

const NO_LIBRARY = { pictures: [] };

/** The ways in: files, an address, and the library that stands for the web. */
export function OpenPictures() {
  const incoming = useIncoming();
  const picker = useRef<HTMLInputElement>(null);
  const id = useId();
  const [address, setAddress] = useState('');
  // Without an answer there is no library, and the rest works.
  const { data: { pictures: library } = NO_LIBRARY } = useLibraryQuery();
  const fromAddress = () => {
    if (!address.trim()) return;
    void incoming([{ from: 'address', address: address.trim() }]);
    setAddress('');
  };
  return (
    <section aria-label="Open pictures" className="flex flex-wrap items-end gap-x-5 gap-y-3">
      <div>
        <input
          ref={picker}
          type="file"
          accept={ACCEPTED}
          multiple
          hidden
          aria-label="Picture files"
          onChange={(event) => {
            const transfer = { files: event.currentTarget.files ?? [] } as unknown as DataTransfer;
            void incoming(filesOf(transfer));
            event.currentTarget.value = '';
          }}
        />
        <Button look="primary" onClick={() => picker.current?.click()}>
          <FolderOpen aria-hidden className="size-4" /> Open files …
        </Button>
      </div>
      <form
        className="flex max-w-xl min-w-60 flex-1 items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          fromAddress();
        }}
      >
        <div className="min-w-0 flex-1">
          <label htmlFor={id} className="mb-0.5 block text-sm text-quiet">
            By address
          </label>
          <input
            id={id}
            type="text"
            inputMode="url"
            value={address}
            placeholder="https://"
            spellCheck={false}
            autoComplete="off"
            onChange={(event) => setAddress(event.target.value)}
            className="h-8 w-full min-w-0 rounded-md border border-control bg-raised px-2"
          />
        </div>
        <Button type="submit" disabled={!address.trim()}>
          Fetch
        </Button>
      </form>
      {library.length > 0 && (
        <p className="flex w-full flex-wrap items-center gap-1.5 text-sm">
          <span className="text-quiet">Or try one of the samples:</span>
          {library.map((picture) => (
            <Button
              key={picture.address}
              small
              title={picture.address}
              onClick={() => void incoming([{ from: 'address', address: picture.address }])}
            >
              {picture.title}
            </Button>
          ))}
        </p>
      )}
    </section>
  );
}
