import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { Copy, Trash2 } from 'lucide-react';
import { type ComponentProps, type ReactNode, useCallback, useMemo, useState } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useThemeSwitch } from '../../kinds/themes/use-theme-switch.ts';
import NotesOn from '../../notes/notes-on.tsx';
import { useEditing } from '../../store/editing.ts';
import { inTurns, READ_BOX } from '../../store/in-turns.tsx';
import { selectDocument, useProjectId, useSystem, useTheme } from '../../store/selectors.ts';
import type { AppStore } from '../../store/store.ts';
import { mayPaint } from '../../store/use-live.ts';
import { useSettled } from '../../store/use-settled.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { part } from '../../ui/part.tsx';
import { BenchAxis } from './bench/bench-axis.tsx';
import { useLine } from './bench/use-line.ts';
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
import { useGradient, useRestingGradient } from './use-gradient.ts';

const WholeGradient = part(() => import('./settings/whole-gradient.tsx'));
const CutColors = part(() => import('./settings/cut-colors.tsx'));
const HandOver = part(() => import('./settings/hand-over.tsx'));

interface FadeBenchProps {
  /** Its id. */
  gradient: string;
  openStop: string | null;
}

/** Ms between two turns of the axis whose posts are painted meanwhile. */
const AXIS_EVERY = 200;
/** Themes that are seen small beside the one that is switched on. */
const MOST_BESIDE = 4;
const BESIDE_SCALE = 0.34;

interface BenchProps extends FadeBenchProps {
  resolved: ResolvedGradient;
  trial: TextTrial | null;
  onTrial: (trial: TextTrial | null) => void;
}

/** One gradient at work: as what it is for with its geometry, straight with its profile and posts, its stops and settings. */
export function FadeBench({ gradient, openStop }: FadeBenchProps) {
  const [trial, setTrial] = useState<TextTrial | null>(null);
  // What is read of a text that is tried on it goes along with a drag; all else that stands here waits for the end.
  const resolved = useRestingGradient(gradient, trial !== null);
  return resolved && <Bench {...{ gradient, openStop, resolved, trial }} onTrial={setTrial} />;
}

function Bench({ gradient: gradientId, openStop, resolved, trial, onTrial }: BenchProps) {
  const { edit } = useEditing();
  const id = useProjectId();
  const navigate = useNavigate();
  const store = useStore() as AppStore;
  const noted = useMemo(() => ({ kind: 'gradient', gradient: gradientId }) as const, [gradientId]);
  const [purpose, setPurpose] = useState<Purpose>('hero');
  const [box, setBox] = useState<BoxSize>({ width: 480, height: 200 });
  const [size, setSize] = useState<BoxSize>({ width: 0, height: 0 });
  const measured = useCallback((next: BoxSize) => setSize(next), []);
  const { painted, length, straight } = useLine(resolved, size);
  const [veil, setVeil] = useState<string | null>(null);
  const shownSize = purpose === 'box' ? box : size;
  const tried = useTextTrial(gradientId, painted, straight, trial, size);
  const rests = useSettled(resolved);
  const still = { gradient: rests.gradient, straight: useSettled(straight) };
  const over = useMemo(
    () =>
      trial &&
      purpose !== 'text' &&
      size.width > 0 && (
        <TextOverPreview
          {...{ trial, tried, veil }}
          size={size}
          describedBy={TRIED_ID}
          onArea={(area) => onTrial({ ...trial, area })}
        />
      ),
    [trial, purpose, size, tried, veil, onTrial],
  );
  const duplicate = () => {
    const { gradients } = selectDocument(store.getState());
    const copy = copyOf(rests.gradient, gradients);
    const index = gradients.findIndex((one) => one.id === gradientId) + 1;
    if (edit({ type: 'addGradient', gradient: copy, index })) navigate(addressOf(id, 'fade', copy.id));
  };
  return (
    <section aria-label={rests.gradient.name} className="flex flex-col gap-3 px-5 pb-5 *:isolate">
      {/* Handles may reach beyond the preview, and lie above what is below it. */}
      <div className="relative z-1 grid grid-cols-[minmax(0,1fr)_148px] narrow:grid-cols-1 gap-4">
        <div className="grid min-h-43 place-items-center">
          <Large
            {...{ gradient: gradientId, purpose, box, size, over }}
            isBare={trial !== null}
            onBox={setBox}
            onSize={measured}
          />
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
          <Beside gradient={gradientId} purpose={purpose} box={box} />
        </div>
      </div>
      <Axis {...{ gradient: gradientId, openStop, size }} along={tried.along} under={tried.inBox} />
      <TextOnGradient
        gradient={gradientId}
        {...{ trial, tried }}
        size={size}
        onChange={onTrial}
        onVeil={setVeil}
      />
      <Faults resolved={rests} length={Math.round(length)} />
      <div className="grid grid-cols-[minmax(0,1fr)_236px] gap-6 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_248px] narrow:grid-cols-1">
        <div className="flex min-w-0 flex-col gap-3">
          <Stops gradient={gradientId} openStop={openStop} />
          <ArrangeStops gradient={still.gradient} />
          <CarryColor resolved={rests} />
          <NotesOn on={noted} />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <SpaceSamples {...still} />
          <WholeGradient gradient={gradientId} />
          <CutColors resolved={rests} />
        </div>
        <div className="col-start-2 row-span-2 row-start-1 narrow:col-auto narrow:row-auto flex flex-col gap-3 xl:col-start-3 xl:row-span-1">
          <Listing gradient={still.gradient} />
          <Shape gradient={gradientId} />
          <HandOver resolved={rests} size={shownSize} />
          <div className="flex flex-wrap gap-2">
            <Button onClick={duplicate}>
              <Copy aria-hidden className="size-4" /> Duplicate
            </Button>
            <Button
              look="danger"
              onClick={() => {
                if (edit({ type: 'removeGradient', gradient: gradientId })) navigate(addressOf(id, 'fade'));
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

interface LargeProps extends Omit<ComponentProps<typeof Preview>, 'resolved' | 'children'> {
  gradient: string;
  /** As it was measured. */
  size: BoxSize;
  /** What lies over it. */
  over: ReactNode;
}

/** It as the thing that it is for, with the handles of its geometry. */
const Large = inTurns(
  function Large({ gradient, size, over, ...preview }: LargeProps) {
    const resolved = useGradient(gradient);
    if (!resolved) return null;
    return (
      <Preview {...preview} resolved={resolved}>
        {over}
        {preview.purpose !== 'text' && <GeometryHandles gradient={resolved.gradient} size={size} />}
      </Preview>
    );
  },
  { box: 'grid w-full place-items-center' },
);

const Axis = inTurns(
  function Axis({ gradient, ...bench }: Omit<ComponentProps<typeof BenchAxis>, 'resolved'>) {
    const resolved = useGradient(gradient);
    return resolved && <BenchAxis {...bench} {...{ gradient, resolved }} />;
  },
  // What moves on it is painted; where it may not be, it is drawn as often as it can be.
  { box: '', every: () => (mayPaint() ? AXIS_EVERY : 0) },
);

const Stops = inTurns(function Stops({ gradient, openStop }: FadeBenchProps) {
  const resolved = useGradient(gradient);
  return resolved && <StopList resolved={resolved} openStop={openStop} />;
}, READ_BOX);

const Shape = inTurns(function Shape({ gradient }: { gradient: string }) {
  const resolved = useGradient(gradient);
  return resolved && <ShapeSettings gradient={resolved.gradient} />;
}, READ_BOX);

interface BesideProps {
  gradient: string;
  purpose: Purpose;
  box: BoxSize;
}

/** The same gradient in the other themes, small; a press switches the theme on. */
const Beside = inTurns(function Beside({ gradient, purpose, box }: BesideProps) {
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
}, READ_BOX);
