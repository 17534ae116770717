import { convert, numbers } from '@mint-lamp/core/color/convert';
import { inGamut, toRgb8, toSrgb } from '@mint-lamp/core/color/gamut';
import type { Triple } from '@mint-lamp/core/color/kernel';
import { type Color, color, SPACES, type SpaceId } from '@mint-lamp/core/color/spaces';
import { fromPlainCmyk, plainCmyk, writeColor } from '@mint-lamp/core/color/write';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { memo, useCallback, useState, useSyncExternalStore } from 'react';
import { useLit } from '../kinds/use-lit.ts';
import { useEditing } from '../store/editing.ts';
import { inTurns, READ_BOX } from '../store/in-turns.tsx';
import { colorTyping, takeTyped } from '../ui/color-text.ts';
import { NumberField } from '../ui/number-field.tsx';
import { part } from '../ui/part.tsx';
import { TextField } from '../ui/text-field.tsx';
import { Track } from '../ui/track.tsx';
import { PickedColor, PickFromScreen } from './pick-from-screen.tsx';
import type { PlanePlace } from './plane.tsx';
import { planeIsOpen, rememberPlane } from './remembered-plane.ts';
import { LatelySet } from './set-values.ts';

const Plane = part(() => import('./plane.tsx'), <div className="h-[122px]" />);

/** A way to edit: its channels with ranges, and the way to and from a colour. */
interface Model {
  readonly id: string;
  readonly name: string;
  readonly channels: readonly { name: string; min: number; max: number; decimals: number; unit: string }[];
  readonly read: (c: Color) => number[];
  readonly write: (values: readonly number[]) => Color;
  readonly note?: string;
}

function spaceModel(
  id: SpaceId,
  scale: readonly [number, number, number],
  decimals: readonly number[],
): Model {
  const { name, channels } = SPACES[id];
  return {
    id,
    name,
    channels: channels.map((c, i) => ({
      name: c.name,
      min: c.min * scale[i]!,
      max: c.max * scale[i]!,
      decimals: decimals[i]!,
      unit: c.unit || (id === 'oklch' && i === 0 ? '%' : ''),
    })),
    read: (c) => numbers(convert(c, id)).map((v, i) => v * scale[i]!),
    write: (values) => color(id, values.map((v, i) => v / scale[i]!) as [number, number, number]),
  };
}

/** RGB once more, with channels in percent. */
function inPercent(): Model {
  const rgb = spaceModel('srgb', [100, 100, 100], [1, 1, 1]);
  return { ...rgb, id: 'percent', name: 'RGB %', channels: rgb.channels.map((c) => ({ ...c, unit: '%' })) };
}

const ink = (name: string) => ({ name, min: 0, max: 100, decimals: 0, unit: '%' });

const MODELS: readonly Model[] = [
  spaceModel('oklch', [100, 1, 1], [1, 3, 1]),
  spaceModel('hsl', [1, 1, 1], [1, 1, 1]),
  spaceModel('hsv', [1, 1, 1], [1, 1, 1]),
  spaceModel('srgb', [255, 255, 255], [0, 0, 0]),
  inPercent(),
  {
    id: 'cmyk',
    name: 'CMYK',
    channels: [ink('Cyan'), ink('Magenta'), ink('Yellow'), ink('Black')],
    read: (c) => plainCmyk(c),
    write: ([c, m, y, k]) => color('srgb', fromPlainCmyk(c!, m!, y!, k!)),
    note: 'Plain uncalibrated formula: for orientation, not for print.',
  },
  spaceModel('lab', [1, 1, 1], [1, 1, 1]),
];

const SAMPLES = 20;
// Where the colour leaves sRGB a browser cannot show it: the track is hatched there.
const HATCH = 'repeating-linear-gradient(135deg, #8f8f8f 0 2px, #5a5a5a 2px 4px)';

/** Background of a track: the colours that moving this channel gives, hatched where they leave the gamut. */
function trackBackground(model: Model, values: readonly number[], channel: number): string {
  const { min, max } = model.channels[channel]!;
  const stops: string[] = [];
  let before: string | null = null;
  for (let i = 0; i <= SAMPLES; i++) {
    const at = values.map((v, j) => (j === channel ? min + ((max - min) * i) / SAMPLES : v));
    const c = model.write(at);
    const css = inGamut(c) ? writeColor(toSrgb(c), 'srgb') : null;
    // Between a colour inside and one outside lies the edge, somewhere in the middle.
    const edge = `${((i - 0.5) / SAMPLES) * 100}%`;
    if (i > 0 && css && !before) stops.push(`transparent ${edge}`, `${css} ${edge}`);
    if (!css && before) stops.push(`${before} ${edge}`, `transparent ${edge}`);
    if (css) stops.push(`${css} ${(i / SAMPLES) * 100}%`);
    else if (i === 0 || i === SAMPLES) stops.push(`transparent ${(i / SAMPLES) * 100}%`);
    before = css;
  }
  return `linear-gradient(to right, ${stops.join(', ')}), ${HATCH}`;
}

const same = (a: readonly number[], b: readonly number[]) => a.every((v, i) => Math.abs(v - b[i]!) < 1e-9);

interface ColorEditorProps {
  painted: Painted;
  change: (c: Color) => Command;
  translucent: boolean;
}

/** Edits one colour in OKLCH, HSL, HSV, RGB (to 255 or in percent), CMYK or Lab, or by typing any CSS colour. */
export const ColorEditor = memo(function ColorEditor({ painted, change, translucent }: ColorEditorProps) {
  const { edit, preview } = useEditing();
  const [picked, setPicked] = useState<Color | null>(null);
  const { alpha } = painted;
  const [modelId, setModelId] = useState('oklch');
  const model = MODELS.find((m) => m.id === modelId)!;
  const [lately] = useState(() => new LatelySet());
  // Rows and plane are drawn in turns of their own, and the one that is dragged alone with every move.
  const put: Put = useCallback(
    (to, from, final) => {
      if (final && lately.isEmpty && same(to, from)) return;
      const [r, g, b] = toRgb8(model.write(to));
      lately.put({ model: model.id, values: to, rgb: [r, g, b] }, final);
      const command = change(colorOf({ r, g, b, alpha }));
      if (final) edit(command);
      else preview(command);
    },
    [model, change, alpha, lately, edit, preview],
  );
  const giveBack = useCallback(() => {
    lately.giveBack();
    preview(null);
  }, [lately, preview]);
  const [asPlane, setAsPlane] = useState(planeIsOpen);
  const showPlane = asPlane && modelId === 'oklch';
  const ways = { model, lately, put, giveBack };
  const setAlpha = (alpha: number, final: boolean) => {
    const command = change({ ...colorOf(painted), alpha });
    if (final) edit(command);
    else preview(command);
  };
  return (
    <section aria-label="Edit the colour" className="flex flex-col gap-1.5">
      <div className="flex items-start gap-1">
        <TextField
          label="Any CSS colour"
          hideLabel
          mono
          className="flex-1"
          value={painted.css}
          {...colorTyping}
          onCommit={(text) =>
            takeTyped(text, (typed) => {
              edit(change(typed));
              return null;
            })
          }
        />
        <PickFromScreen onPick={setPicked} />
      </div>
      {picked && (
        <PickedColor
          picked={picked}
          onTake={() => {
            edit(change({ ...picked, alpha: translucent ? picked.alpha : 1 }));
            setPicked(null);
          }}
          onDone={() => setPicked(null)}
        />
      )}
      <Models chosen={modelId} onChoose={setModelId} />
      {modelId === 'oklch' && (
        <button
          type="button"
          aria-expanded={asPlane}
          onClick={() => {
            setAsPlane(!asPlane);
            rememberPlane(!asPlane);
          }}
          className="self-start rounded-md text-sm text-quiet underline underline-offset-2"
        >
          {asPlane ? 'Lightness and chroma as tracks' : 'Lightness and chroma as a plane'}
        </button>
      )}
      {showPlane && <PlaneOfLit {...ways} />}
      {model.channels.map((channel, i) =>
        showPlane && i < 2 ? null : <ChannelRow key={channel.name} {...ways} place={i} />,
      )}
      {model.note && <p className="text-sm text-quiet">{model.note}</p>}
      {translucent && <Opacity painted={painted} onSet={setAlpha} onGiveBack={giveBack} />}
    </section>
  );
});

/** Channels are set, from what they were; for good, or shown. */
type Put = (to: readonly number[], from: readonly number[], final: boolean) => void;

interface Ways {
  model: Model;
  lately: LatelySet;
  put: Put;
  giveBack: () => void;
}

/** The lit colour, and its channels in a model; null where nothing is painted. */
function useChannels({ model, lately }: Ways) {
  const painted = useLit()?.painted;
  const set = useSyncExternalStore(lately.subscribe, () =>
    painted ? lately.valuesOf(model.id, [painted.r, painted.g, painted.b]) : null,
  );
  return painted ? { painted, values: set ?? model.read(colorOf(painted)) } : null;
}

const PlaneOfLit = inTurns(function PlaneOfLit(ways: Ways) {
  const lit = useChannels(ways);
  if (!lit) return null;
  const { put, giveBack } = ways;
  const { painted, values } = lit;
  const [lightness, chroma, hue] = values as Triple;
  const moved = (to: PlanePlace, final: boolean) => put([to.lightness, to.chroma, hue], values, final);
  return (
    <Plane
      {...{ lightness, chroma, hue }}
      css={painted.css}
      onShow={(to) => (to ? moved(to, false) : giveBack())}
      onMove={(to) => moved(to, true)}
    />
  );
}, READ_BOX);

interface ChannelRowProps extends Ways {
  /** Which of the model's channels. */
  place: number;
}

const ChannelRow = inTurns(function ChannelRow({ place, ...ways }: ChannelRowProps) {
  const lit = useChannels(ways);
  if (!lit) return null;
  const { model, put, giveBack } = ways;
  const { values } = lit;
  const { name, min, max, decimals, unit } = model.channels[place]!;
  const value = values[place]!;
  const set = (to: number, final: boolean) =>
    put(
      values.map((v, i) => (i === place ? to : v)),
      values,
      final,
    );
  return (
    <div>
      <div className="-mb-0.5 text-sm text-quiet">
        {name}
        {unit && ` (${unit})`}
      </div>
      <div className="flex items-center gap-2">
        <Track
          label={name}
          value={value}
          min={min}
          max={max}
          step={10 ** -decimals}
          background={trackBackground(model, values, place)}
          valueText={`${value.toFixed(decimals)}${unit}`}
          onPreview={(v) => set(v, false)}
          onCommit={(v) => set(v, true)}
          onGiveBack={giveBack}
        />
        <NumberField
          label={name}
          hideLabel
          value={value}
          min={min}
          max={max}
          decimals={decimals}
          onCommit={(v) => set(v, true)}
          className="w-17 shrink-0"
        />
      </div>
    </div>
  );
}, READ_BOX);

const Models = memo(function Models({
  chosen,
  onChoose,
}: {
  chosen: string;
  onChoose: (id: string) => void;
}) {
  return (
    <fieldset aria-label="Colour model" data-help="models" className="flex flex-wrap justify-between">
      {MODELS.map((m) => (
        <button
          key={m.id}
          type="button"
          aria-pressed={m.id === chosen}
          onClick={() => onChoose(m.id)}
          className={clsx(
            'rounded-md px-1 py-0.5 text-sm whitespace-nowrap',
            m.id === chosen ? 'bg-main text-inverse' : 'text-quiet hover:bg-pressed',
          )}
        >
          {m.name}
        </button>
      ))}
    </fieldset>
  );
});

interface OpacityProps {
  painted: Painted;
  onSet: (alpha: number, final: boolean) => void;
  onGiveBack: () => void;
}

function Opacity({ painted, onSet, onGiveBack }: OpacityProps) {
  const { r, g, b, alpha } = painted;
  return (
    <div data-help="opacity">
      <div className="-mb-0.5 text-sm text-quiet">Opacity (%)</div>
      <div className="flex items-center gap-2">
        <div className="checker w-full rounded-[4px]">
          <Track
            label="Opacity"
            value={alpha * 100}
            min={0}
            max={100}
            step={1}
            background={`linear-gradient(to right, rgb(${r} ${g} ${b} / 0), rgb(${r} ${g} ${b}))`}
            valueText={`${Math.round(alpha * 100)} %`}
            onPreview={(v) => onSet(v / 100, false)}
            onCommit={(v) => onSet(v / 100, true)}
            onGiveBack={onGiveBack}
          />
        </div>
        <NumberField
          label="Opacity"
          hideLabel
          value={alpha * 100}
          min={0}
          max={100}
          onCommit={(v) => onSet(v / 100, true)}
          className="w-17 shrink-0"
        />
      </div>
    </div>
  );
}
