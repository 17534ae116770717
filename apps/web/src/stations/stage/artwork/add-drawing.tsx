import { MOST_ARTWORKS } from '@mint-lamp/core/document/artworks/artwork';
import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import { matchColors, shadeCandidates } from '@mint-lamp/core/edits/artworks/match-colors';
import { svgColors } from '@mint-lamp/core/svg/svg-colors';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { runJob } from '../../../jobs/run-job.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useDocumentPart, useProjectId, useSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { drawingAddress } from './drawing-address.ts';
import { drawingShares } from './drawing-shares.ts';

/** Takes an SVG file, or its text, as a drawing of the project, linked as is proposed. */
export default function AddDrawing({ onDone }: { onDone: () => void }) {
  const artworks = useDocumentPart('artworks');
  const system = useSystem();
  const { tryEdit } = useEditing();
  const navigate = useNavigate();
  const id = useProjectId();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (svg: string, wanted: string) => {
    setBusy(true);
    setFault(null);
    try {
      const cleaned = await runJob('cleanDrawing', svg);
      if (!cleaned.ok) {
        setFault(cleaned.reason);
        return;
      }
      const shares = await drawingShares(cleaned.svg);
      const links = matchColors(
        svgColors(cleaned.svg).filter((color) => shares.has(color)),
        shadeCandidates(system),
        shares,
      );
      const name = freeName(wanted, slugsOf(artworks));
      const artwork = { id: newId(), name, svg: cleaned.svg, links: Object.fromEntries(links) };
      const refused = tryEdit({ type: 'addArtwork', artwork });
      if (refused) {
        setFault(refused);
        return;
      }
      if (cleaned.removed.length)
        toast(`Left out of ${name}: ${cleaned.removed.join(', ')}.`, { duration: 12_000 });
      onDone();
      navigate(addressOf(id, 'stage', drawingAddress(artwork.id)));
    } catch (error) {
      setFault((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const files = async (list: FileList | null) => {
    const [file] = list ?? [];
    if (file) await take(await file.text(), file.name.replace(/\.svg$/i, '').slice(0, 60) || 'Drawing');
  };
  return (
    <fieldset
      aria-label="Add a drawing"
      className="flex w-[400px] flex-col gap-2"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void files(event.dataTransfer.files);
      }}
    >
      <p className="text-sm text-quiet">
        Its colours are listed, linked to the nearest shades, and follow bases and themes. Scripts, links and
        what comes from outside are left out.
      </p>
      <label className="flex flex-col gap-0.5 text-sm">
        <span className="text-quiet">An SVG file, or drop one here</span>
        <input
          type="file"
          accept=".svg,image/svg+xml"
          aria-label="SVG file"
          disabled={busy || artworks.length >= MOST_ARTWORKS}
          className="text-quiet file:mr-2 file:h-7 file:rounded-md file:border file:border-control file:bg-raised file:px-2 file:text-main"
          onChange={({ target }) => void files(target.files)}
        />
      </label>
      <label htmlFor="pasted-svg" className="text-sm text-quiet">
        or its text
      </label>
      <textarea
        id="pasted-svg"
        rows={3}
        value={text}
        spellCheck={false}
        placeholder="<svg …"
        onChange={({ target }) => setText(target.value)}
        className="rounded-md border border-control bg-raised p-2 font-mono text-sm"
      />
      <p role="alert" className="text-sm text-fail empty:hidden">
        {artworks.length >= MOST_ARTWORKS
          ? `A project keeps at most ${MOST_ARTWORKS} drawings; remove one first.`
          : fault}
      </p>
      <Button look="primary" disabled={busy || !text.trim()} onClick={() => void take(text, 'Drawing')}>
        {busy ? 'Reading …' : 'Add it'}
      </Button>
    </fieldset>
  );
}
