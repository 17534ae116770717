import { describeColor } from '@mint-lamp/core/color/describe';
import { NOTATIONS } from '@mint-lamp/core/color/notations';
import { readColor } from '@mint-lamp/core/color/parse';
import type { Marker, Picture } from '@mint-lamp/core/document/pictures/picture';
import clsx from 'clsx';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useEditing } from '../../../../store/editing.ts';
import { ofTab } from '../../../../storing/storage.ts';
import { Button } from '../../../../ui/button.tsx';
import { Choice } from '../../../../ui/choice.tsx';
import { ColorChip } from '../../../../ui/color-chip.tsx';
import { CopyButton } from '../../../../ui/copy-button.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import type { Taking } from '../../taking/use-taking.ts';
import { SIDE_OPTIONS, sideOf } from './sides.ts';

const MODELS = NOTATIONS.map(({ id, name }) => ({ value: id, label: name }));
const KEY = 'mint-lamp/marker-model';

/** A colour in the notation that all markers are read in. */
const read = (color: string, model: string): string =>
  (NOTATIONS.find(({ id }) => id === model) ?? NOTATIONS[0]!).write(readColor(color));

interface MarkerPanelProps {
  picture: Picture;
  colors: ReadonlyMap<string, string>;
  selected: string | null;
  onSelect: (marker: string) => void;
  taking: Taking;
}

/** Every marker with its colour, all read in one model; each with a square of its own. */
export function MarkerPanel({ picture, colors, selected, onSelect, taking }: MarkerPanelProps) {
  const { edit } = useEditing();
  const [model, setModel] = useState<string>(
    () => MODELS.find(({ value }) => value === ofTab.read(KEY))?.value ?? 'hex',
  );
  const { markers } = picture;
  const all = markers.flatMap(({ id }) => colors.get(id) ?? []);
  if (!markers.length)
    return (
      <p className="text-quiet">
        Press anywhere in the picture to put a marker there. By keyboard: go to the picture with Tab, move
        with the arrow keys, and press Enter.
      </p>
    );
  return (
    <>
      <div className="mb-2 flex items-end gap-2">
        <Choice
          label="Read in"
          value={model}
          options={MODELS}
          className="w-36"
          onChange={(next) => {
            setModel(next);
            ofTab.write(KEY, next);
          }}
        />
        <CopyButton
          text={all.map((color) => read(color, model)).join('\n')}
          label="Copy all markers as text"
          className="h-8 font-sans!"
        >
          Copy all
        </CopyButton>
      </div>
      <ol className="flex flex-col">
        {markers.map((marker, i) => (
          <MarkerRow
            key={marker.id}
            picture={picture.id}
            marker={marker}
            number={i + 1}
            color={colors.get(marker.id) ?? null}
            model={model}
            selected={selected === marker.id}
            onSelect={onSelect}
          />
        ))}
      </ol>
      <div className="mt-3 flex flex-wrap gap-1.5">
        <Button small disabled={!all.length} onClick={() => taking.tray(all)}>
          All to the tray
        </Button>
        <Button small disabled={!all.length} onClick={() => taking.families([...new Set(all)])}>
          To families
        </Button>
        <Button small disabled={all.length < 2} onClick={() => taking.gradient(all)}>
          To a gradient
        </Button>
        <Button
          small
          look="danger"
          onClick={() =>
            edit({
              type: 'batch',
              label: `remove all markers of ${picture.name}`,
              commands: markers.map(({ id }) => ({
                type: 'removeMarker' as const,
                picture: picture.id,
                marker: id,
              })),
            })
          }
        >
          Remove all
        </Button>
      </div>
    </>
  );
}

interface MarkerRowProps {
  picture: string;
  marker: Marker;
  number: number;
  color: string | null;
  model: string;
  selected: boolean;
  onSelect: (marker: string) => void;
}

function MarkerRow({ picture, marker, number, color, model, selected, onSelect }: MarkerRowProps) {
  const { edit } = useEditing();
  const { id, side } = marker;
  return (
    <li className={clsx('rounded-md py-1.5 pr-1 pl-1.5', selected && 'bg-pressed')}>
      <div className="flex items-center gap-2">
        <button
          type="button"
          aria-pressed={selected}
          aria-label={`Show marker ${number}`}
          onClick={() => onSelect(id)}
          className="flex items-center gap-2 rounded-md"
        >
          <span className="w-5 text-right text-sm font-semibold">{number}</span>
          <ColorChip css={color} className="size-9" />
        </button>
        {color && (
          <span className="min-w-0 flex-1">
            <span className="block pl-1 text-sm leading-tight">{describeColor(readColor(color))}</span>
            <CopyButton text={read(color, model)} className="w-full justify-between text-sm!" />
          </span>
        )}
        <IconButton
          small
          label={`Remove marker ${number}`}
          onClick={() => edit({ type: 'removeMarker', picture, marker: id })}
        >
          <X aria-hidden className="size-4" />
        </IconButton>
      </div>
      {selected && (
        <Choice
          label={`Area of marker ${number}`}
          hideLabel
          value={String(side)}
          options={SIDE_OPTIONS}
          className="mt-1 ml-7 w-36"
          onChange={(next) =>
            edit({ type: 'setMarker', picture, marker: id, change: { side: sideOf(next) } })
          }
        />
      )}
    </li>
  );
}
