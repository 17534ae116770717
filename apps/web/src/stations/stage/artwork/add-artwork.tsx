import { MOST_ARTWORKS } from '@mint-lamp/core/document/artworks/artwork';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { fetchArtwork } from '../../../fetching/fetch-artwork.ts';
import { useLibraryQuery } from '../../../fetching/library-api.ts';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart, useProjectId, useSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { artworkAddress } from './artwork-address.ts';
import { type Given, takeArtwork } from './take-artwork.ts';

/** What files come to: a drawing, or a page with its style sheets in the order of their names. */
async function givenBy(files: readonly File[]): Promise<Given | null> {
  const isSheet = ({ name }: File) => /\.css$/i.test(name);
  const main = files.find((file) => !isSheet(file));
  if (!main) return null;
  const sheets = files.filter(isSheet).sort((a, b) => (a.name < b.name ? -1 : 1));
  return {
    text: await main.text(),
    sheets: await Promise.all(sheets.map((file) => file.text())),
    name: main.name.replace(/\.\w+$/, ''),
  };
}

const NO_LIBRARY = { artworks: [] };

/** Takes a drawing or a page, from files, by address or as text, as an artwork of the project, linked as is proposed. */
export default function AddArtwork({ onDone }: { onDone: () => void }) {
  const artworks = useDocumentPart('artworks');
  const system = useSystem();
  const { tryEdit } = useEditing();
  const navigate = useNavigate();
  const id = useProjectId();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { data: { artworks: artworksThere } = NO_LIBRARY } = useLibraryQuery();
  const isFull = artworks.length >= MOST_ARTWORKS;
  const take = async (given: Given) => {
    setBusy(true);
    setFault(null);
    try {
      const taken = await takeArtwork(given, system);
      const refused = taken.ok ? tryEdit({ type: 'addArtwork', artwork: taken.artwork }) : taken.reason;
      if (!taken.ok || refused) {
        setFault(refused);
        return;
      }
      if (taken.left.length)
        toast(`Left out of ${taken.artwork.name}: ${taken.left.join(', ')}.`, { duration: 12_000 });
      onDone();
      navigate(addressOf(id, 'stage', artworkAddress(taken.artwork.id)));
    } catch (error) {
      setFault((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const fetched = async (address: string) => {
    setBusy(true);
    setFault(null);
    try {
      await take(await fetchArtwork(id, address));
    } catch (error) {
      setFault((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const files = async (list: FileList | null) => {
    const given = await givenBy([...(list ?? [])]);
    if (given) await take(given);
    else if (list?.length) setFault('There are style sheets alone: choose the page too.');
  };
  return (
    <fieldset
      aria-label="Add a drawing or a page"
      className="flex w-[420px] flex-col gap-2"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void files(event.dataTransfer.files);
      }}
    >
      <p className="text-sm text-quiet">
        Its colours link to this project and change with it. Scripts, links and outside content are left out.
      </p>
      <label className="flex flex-col gap-0.5 text-sm">
        <span className="text-quiet">An SVG file, or an HTML page with its CSS files; or drop them here</span>
        <input
          type="file"
          multiple
          accept=".svg,.html,.htm,.css,image/svg+xml,text/html,text/css"
          aria-label="Files"
          disabled={busy || isFull}
          className="text-quiet file:mr-2 file:h-7 file:rounded-md file:border file:border-control file:bg-raised file:px-2 file:text-main"
          onChange={({ target }) => void files(target.files)}
        />
      </label>
      <TextField
        label="or its address: the server fetches it with its style sheets"
        value=""
        onCommit={(address) => {
          if (address) void fetched(address);
          return null;
        }}
      />
      {artworksThere.length > 0 && (
        <p className="flex flex-wrap items-center gap-1 text-sm">
          <span className="text-quiet">or try a sample:</span>
          {artworksThere.map(({ title, address }) => (
            <Button key={address} small disabled={busy || isFull} onClick={() => void fetched(address)}>
              {title}
            </Button>
          ))}
        </p>
      )}
      <label htmlFor="pasted-artwork" className="text-sm text-quiet">
        or their text
      </label>
      <textarea
        id="pasted-artwork"
        rows={4}
        value={text}
        spellCheck={false}
        placeholder="<svg … or <html …"
        onChange={({ target }) => setText(target.value)}
        className="rounded-md border border-control bg-raised p-2 font-mono text-sm"
      />
      <p role="alert" className="text-sm text-fail empty:hidden">
        {isFull ? `A project keeps at most ${MOST_ARTWORKS} drawings and pages; remove one first.` : fault}
      </p>
      <Button
        look="primary"
        disabled={busy || isFull || !text.trim()}
        onClick={() => void take({ text, sheets: [], name: '' })}
      >
        {busy ? 'Reading …' : 'Add it'}
      </Button>
    </fieldset>
  );
}
