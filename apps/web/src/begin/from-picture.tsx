import clsx from 'clsx';
import { FolderOpen } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { runJob } from '../jobs/run-job.ts';
import type { PicturePalette } from '../jobs/work/palettes-of-picture.ts';
import { LEANING_WORDS } from '../kinds/pictures/leaning-words.ts';
import { takeBrought } from '../projects/brought.ts';
import { Button } from '../ui/button.tsx';
import { ChoiceRow } from './choice-row.tsx';
import { bitmapOf } from './picture-file.ts';
import type { WayProps } from './to-begin-with.ts';
import { usePasted } from './use-pasted.ts';

/** Colours of each palette: as many as hold a page together. */
const SIZE = 5;

/** From a picture: six palettes of it, one of which is taken. */
export default function FromPicture({ onGiven }: WayProps) {
  const [picture, setPicture] = useState<File | null>(null);
  const [palettes, setPalettes] = useState<readonly PicturePalette[] | null>(null);
  const [chosen, setChosen] = useState(0);
  const [fault, setFault] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const open = useCallback(async (file: File) => {
    setFault(null);
    setPalettes(null);
    setPicture(file);
    setChosen(0);
    try {
      setPalettes(await runJob('palettesOfPicture', { bitmap: await bitmapOf(file), size: SIZE }));
    } catch (error) {
      setFault((error as Error).message);
      setPicture(null);
    }
  }, []);
  useEffect(() => {
    const brought = takeBrought('picture');
    if (brought) void open(brought.picture);
  }, [open]);
  usePasted((thing) => thing.from === 'picture' && void open(thing.picture));
  const given = useMemo(() => {
    const palette = palettes?.[chosen];
    return palette?.colors.length && picture
      ? {
          given: {
            of: 'colors' as const,
            colors: palette.colors.map((color) => ({ color })),
            level: 'AA' as const,
          },
          picture,
        }
      : null;
  }, [palettes, chosen, picture]);
  useEffect(() => onGiven(given), [given, onGiven]);
  const address = useMemo(() => (picture ? URL.createObjectURL(picture) : null), [picture]);
  useEffect(() => () => void (address && URL.revokeObjectURL(address)), [address]);
  return (
    <>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping is one way among others */}
      <div
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          const [file] = event.dataTransfer.files;
          if (file) void open(file);
        }}
        className={clsx(
          'grid min-h-40 place-content-center gap-2 rounded-md border border-dashed p-3 text-center',
          over ? 'border-main bg-sunken' : 'border-control',
        )}
      >
        {address && <img src={address} alt="" data-specimen className="mx-auto max-h-48 rounded-md" />}
        <p className="text-quiet">{picture ? picture.name : 'Drop a picture here, paste it, or'}</p>
        <p>
          <input
            ref={picker}
            type="file"
            accept="image/png,image/jpeg,image/webp,image/avif,image/gif,image/svg+xml"
            aria-label="Picture file"
            hidden
            onChange={({ currentTarget }) => {
              const file = currentTarget.files?.[0];
              currentTarget.value = '';
              if (file) void open(file);
            }}
          />
          <Button look={picture ? 'plain' : 'primary'} onClick={() => picker.current?.click()}>
            <FolderOpen aria-hidden className="size-4" />
            {picture ? 'Open another' : 'Open a picture'}
          </Button>
        </p>
      </div>
      {fault && (
        <p role="alert" className="mt-2 text-fail">
          {fault}
        </p>
      )}
      {picture && !palettes && !fault && (
        <p role="status" className="mt-2 text-quiet">
          Looking at {picture.name} …
        </p>
      )}
      {palettes && (
        <fieldset className="mt-3">
          <legend className="mb-1 text-quiet">Which palette?</legend>
          {palettes.map(({ leaning, colors }, i) => (
            <ChoiceRow
              key={leaning}
              of="palette"
              chosen={i === chosen}
              onChoose={() => setChosen(i)}
              colors={colors}
            >
              {LEANING_WORDS[leaning]}
            </ChoiceRow>
          ))}
        </fieldset>
      )}
    </>
  );
}
