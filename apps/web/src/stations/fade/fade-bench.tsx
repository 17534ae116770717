import { lineLength } from '@mint-lamp/core/gradient/geometry';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { Copy, Trash2 } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useThemeSwitch } from '../../kinds/themes/use-theme-switch.ts';
import NotesOn from '../../notes/notes-on.tsx';
import { useEditing } from '../../store/editing.ts';
import { useDocumentPart, useProjectId, useSystem, useTheme } from '../../store/selectors.ts';
import { useSettled } from '../../store/use-settled.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { part } from '../../ui/part.tsx';
import { BenchAxis } from './bench/bench-axis.tsx';
import { straightened } from './bench/straight.ts';
import { Faults } from './faults.tsx';
import { copyOf } from './new-gradient.ts';
import { GeometryHandles } from './preview/geometry-handles.tsx';
import { LARGEST_BOX, Preview, SMALLEST_BOX } from './preview/preview.tsx';
import { type BoxSize, PURPOSES, type Purpose } from './preview/purposes.ts';
import { ArrangeStops } from './settings/arrange-stops.tsx';
import { CarryColor } from './settings/carry-color.tsx';
import { Listing } from './settings/listing.tsx';
import { ShapeSettings } from './settings/shape-settings.tsx';
import { SpaceSamples } from './settings/space-samples.tsx';
import { StopList } from './stop-list.tsx';
import { TextOnGradient, TRIED_ID } from './text/text-on-gradient.tsx';
import { TextOverPreview } from './text/text-over-preview.tsx';
import type { TextTrial } from './text/text-trial.ts';
import { useTextTrial } from './text/use-text-trial.ts';

const WholeGradient = part(() => import('./settings/whole-gradient.tsx'));
const CutColors = part(() => import('./settings/cut-colors.tsx'));
const HandOver = part(() => import('./settings/hand-over.tsx'));

interface FadeBenchProps {
  resolved: ResolvedGradient;
  openStop: string | null;
}

/** Themes that are seen small beside the one that is switched on. */
const MOST_BESIDE = 4;
const BESIDE_SCALE = 0.34;

/** One gradient at work: as what it is for with its geometry, straight with its profile and posts, its stops and settings. */
export function FadeBench({ resolved, openStop }: FadeBenchProps) {
  const { gradient } = resolved;
  const { edit } = useEditing();
  const doc = useDocumentPart('gradients');
  const id = useProjectId();
  const navigate = useNavigate();
  const noted = useMemo(() => ({ kind: 'gradient', gradient: gradient.id }) as const, [gradient.id]);
  const [purpose, setPurpose] = useState<Purpose>('hero');
  const [box, setBox] = useState<BoxSize>({ width: 480, height: 200 });
  const [size, setSize] = useState<BoxSize>({ width: 0, height: 0 });
  const measured = useCallback((next: BoxSize) => setSize(next), []);
  const painted = useMemo(() => paintedGradient(resolved), [resolved]);
  const length = painted && size.width > 0 ? lineLength(painted, size) : 600;
  const straight = useMemo(() => straightened(resolved, length), [resolved, length]);
  const [trial, setTrial] = useState<TextTrial | null>(null);
  const [veil, setVeil] = useState<string | null>(null);
  const shownSize = purpose === 'box' ? box : size;
  const tried = useTextTrial(gradient.id, painted, straight, trial, size);
  // Nobody chooses a space while a post is dragged: the frame is left to what moves.
  const still = { gradient: useSettled(gradient), straight: useSettled(straight) };
  const rests = useSettled(resolved);
  const duplicate = () => {
    const copy = copyOf(gradient, doc);
    const index = doc.findIndex((one) => one.id === gradient.id) + 1;
    if (edit({ type: 'addGradient', gradient: copy, index })) navigate(addressOf(id, 'fade', copy.id));
  };
  return (
    <section aria-label={gradient.name} className="flex flex-col gap-3 px-5 pb-5">
      <div className="grid grid-cols-[minmax(0,1fr)_148px] narrow:grid-cols-1 gap-4">
        <div className="grid min-h-43 place-items-center">
          <Preview
            resolved={resolved}
            purpose={purpose}
            box={box}
            isBare={trial !== null}
            onBox={setBox}
            onSize={measured}
          >
            {trial && purpose !== 'text' && size.width > 0 && (
              <TextOverPreview
                {...{ trial, tried, veil }}
                size={size}
                describedBy={TRIED_ID}
                onArea={(area) => setTrial({ ...trial, area })}
              />
            )}
            {purpose !== 'text' && <GeometryHandles gradient={gradient} size={size} />}
          </Preview>
        </div>
        <div className="flex flex-col gap-2">
          <Choice label="Preview as" value={purpose} options={PURPOSES} onChange={setPurpose} />
          {purpose === 'box' && (
            <div className="grid grid-cols-2 gap-2">
              {(['width', 'height'] as const).map((side) => (
                <NumberField
                  key={side}
                  label={side === 'width' ? 'Width' : 'Height'}
                  value={box[side]}
                  min={SMALLEST_BOX}
                  max={LARGEST_BOX}
                  onCommit={(value) => setBox({ ...box, [side]: value })}
                />
              ))}
            </div>
          )}
          <Beside gradient={gradient.id} purpose={purpose} box={box} />
        </div>
      </div>
      <BenchAxis {...{ resolved, openStop, straight, length }} along={tried.along} under={tried.inBox} />
      <TextOnGradient
        gradient={gradient.id}
        {...{ trial, tried }}
        size={size}
        onChange={setTrial}
        onVeil={setVeil}
      />
      <Faults resolved={resolved} length={Math.round(length)} />
      <div className="grid grid-cols-[minmax(0,1fr)_236px] gap-6 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_248px] narrow:grid-cols-1">
        <div className="flex min-w-0 flex-col gap-3">
          <StopList resolved={resolved} openStop={openStop} />
          <ArrangeStops gradient={still.gradient} />
          <CarryColor resolved={rests} />
          <NotesOn on={noted} />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <SpaceSamples {...still} />
          <WholeGradient gradient={gradient.id} />
          <CutColors resolved={rests} />
        </div>
        <div className="col-start-2 row-span-2 row-start-1 narrow:col-auto narrow:row-auto flex flex-col gap-3 xl:col-start-3 xl:row-span-1">
          <Listing gradient={still.gradient} />
          <ShapeSettings gradient={gradient} />
          <HandOver resolved={rests} size={shownSize} />
          <div className="flex flex-wrap gap-2">
            <Button onClick={duplicate}>
              <Copy aria-hidden className="size-4" /> Duplicate
            </Button>
            <Button
              look="danger"
              onClick={() => {
                if (edit({ type: 'removeGradient', gradient: gradient.id })) navigate(addressOf(id, 'fade'));
              }}
            >
              <Trash2 aria-hidden className="size-4" /> Remove
            </Button>
          </div>
        </div>
      </div>
    </section>
  );
}

/** The same gradient in the other themes, small; a press switches the theme on. */
function Beside({ gradient, purpose, box }: { gradient: string; purpose: Purpose; box: BoxSize }) {
  const { themes } = useSystem();
  const { theme: current } = useTheme();
  const switchTheme = useThemeSwitch();
  const others = [...themes.values()].filter(({ theme }) => theme.id !== current.id);
  return (
    <ul aria-label="In the other themes" className="flex flex-col gap-1.5">
      {others.slice(0, MOST_BESIDE).map((theme) => {
        const resolved = theme.gradients.get(gradient);
        return resolved ? (
          <li key={theme.theme.id}>
            <button
              type="button"
              title={`Switch ${theme.theme.name} on`}
              onClick={() => switchTheme(theme.theme.id)}
              className="block w-full rounded-md p-0.5 text-left hover:bg-pressed"
            >
              <Preview resolved={resolved} purpose={purpose} box={box} scale={BESIDE_SCALE} />
              <span className="block truncate text-sm text-quiet">{theme.theme.name}</span>
            </button>
          </li>
        ) : null;
      })}
      {others.length > MOST_BESIDE && (
        <li className="text-sm text-quiet">and in {others.length - MOST_BESIDE} more</li>
      )}
    </ul>
  );
}
