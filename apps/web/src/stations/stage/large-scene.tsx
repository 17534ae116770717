import clsx from 'clsx';
import { AppWindow, ArrowLeft, Maximize2, Minimize2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import type { Scene } from '../../scene/scenes.ts';
import { useProjectId } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { OwnWindow } from '../../ui/own-window.tsx';
import { SwitchGroup } from '../../ui/switch-group.tsx';
import { useSize } from '../../ui/use-size.ts';
import { BalancePanel, SharesButton } from './balance/shares-button.tsx';
import { CastLine } from './casting/cast-line.tsx';
import { WholeNotes } from './pinned/whole-notes.tsx';
import { SceneStrip } from './scene-strip.tsx';
import { StageFrame } from './stage-frame.tsx';
import { StageTools, useSeenThrough } from './stage-tools.tsx';
import { useSeenThemes, useStageView } from './use-stage-view.ts';
import { WidthHandle } from './width-handle.tsx';
import { WordsButton } from './words/words-button.tsx';

const WIDTHS = [
  { value: 'own', label: 'Its own' },
  { value: '390', label: 'Phone' },
  { value: '820', label: 'Tablet' },
  { value: '1280', label: 'Desktop' },
] as const;

const ZOOMS = [
  { value: 'fit', label: 'Fit' },
  { value: '0.5', label: '50 %' },
  { value: '0.75', label: '75 %' },
  { value: '1', label: '100 %' },
  { value: '1.5', label: '150 %' },
  { value: '2', label: '200 %' },
] as const;

/** px that a frame has at least, and between two. */
const LEAST_FRAME = 300;
const GAP = 16;
/** Of the edge that is dragged. */
const HANDLE = 12;

/** A scene in the themes that are seen, as wide and as large as one wants it. */
function Frames({ scene }: { scene: Scene }) {
  const themes = useSeenThemes();
  const filter = useSeenThrough();
  const [view, change] = useStageView();
  const [dragged, setDragged] = useState<number | null>(null);
  const { element, width: space } = useSize<HTMLDivElement>();
  const width = dragged ?? view.width ?? scene.width;
  const each = Math.max(LEAST_FRAME, (space - GAP * (themes.length - 1)) / themes.length - HANDLE - 2);
  const scale = view.zoom ?? Math.min(1, each / (view.width ?? scene.width));
  return (
    <div ref={element} className="min-h-0 flex-1 overflow-auto">
      <div className="flex w-max items-start" style={{ gap: GAP }}>
        {space > 0 &&
          themes.map((theme) => (
            <div key={theme.theme.id} className="flex">
              <StageFrame
                scene={scene}
                theme={theme}
                width={width}
                scale={scale}
                states={view.states}
                marks={view.marks}
                notes={view.notes}
                filter={filter}
              />
              <WidthHandle
                width={width}
                scale={scale}
                onShow={setDragged}
                onMake={(px) => {
                  setDragged(null);
                  change({ width: px });
                }}
              />
            </div>
          ))}
      </div>
    </div>
  );
}

/** One scene, large: to be looked at in every theme, and changed by pressing what is wrong. */
export function LargeScene({ scene }: { scene: Scene }) {
  const id = useProjectId();
  const [view, change] = useStageView();
  const [whole, setWhole] = useState(false);
  const [apart, setApart] = useState(false);
  useEffect(() => {
    if (!whole) return;
    const leave = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) setWhole(false);
    };
    addEventListener('keydown', leave);
    return () => removeEventListener('keydown', leave);
  }, [whole]);
  const ownWidth = view.width === null ? 'own' : String(view.width);
  const shown = (
    <section
      aria-label={scene.name}
      data-help="stage"
      className={clsx('flex min-h-0 flex-1 flex-col', whole && 'fixed inset-0 z-30 bg-ground')}
    >
      <header className="flex flex-wrap items-center gap-x-3 gap-y-2 px-5 pt-3 pb-2">
        <Link
          to={addressOf(id, 'stage')}
          aria-label="All scenes"
          title="All scenes"
          className="flex size-7 items-center justify-center rounded-md hover:bg-pressed"
        >
          <ArrowLeft size={16} />
        </Link>
        <h1 className="min-w-0 flex-1 font-title text-xl leading-tight font-semibold">
          <span className="sr-only">Stage: </span>
          {scene.name}
          <span className="ml-2 font-sans text-base font-normal text-quiet">{scene.says}</span>
        </h1>
        {view.notes && <WholeNotes on={{ kind: 'scene', scene: scene.id }} name={scene.name} />}
        <Link
          to={`${addressOf(id, 'deliver', 'shares')}?of=scene.${scene.id}`}
          className="underline underline-offset-2"
        >
          Share it …
        </Link>
        <WordsButton />
        <IconButton label="Open in its own window, which follows live" onClick={() => setApart(true)}>
          <AppWindow size={16} />
        </IconButton>
        <IconButton label={whole ? 'Back to the station' : 'Full window'} onClick={() => setWhole(!whole)}>
          {whole ? <Minimize2 size={16} /> : <Maximize2 size={16} />}
        </IconButton>
      </header>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-2 px-5 pb-2">
        <StageTools />
        <SwitchGroup
          label="Width"
          value={ownWidth}
          options={WIDTHS}
          onChange={(value) => change({ width: value === 'own' ? null : Number(value) })}
        />
        <Choice
          label="Zoom"
          hideLabel
          className="w-22"
          value={view.zoom === null ? 'fit' : String(view.zoom)}
          options={ZOOMS}
          onChange={(value) => change({ zoom: value === 'fit' ? null : Number(value) })}
        />
        <Button
          small
          aria-pressed={view.states}
          title="Default, hover, focus, pressed and disabled, all at once"
          className={clsx('h-7', view.states && 'bg-main! text-inverse!')}
          onClick={() => change({ states: !view.states })}
        >
          All states
        </Button>
        <Button
          small
          aria-pressed={view.marks}
          title="Marks every text with too little contrast where it stands"
          className={clsx('h-7', view.marks && 'bg-main! text-inverse!')}
          onClick={() => change({ marks: !view.marks })}
        >
          Low contrast
        </Button>
        <Button
          small
          aria-pressed={view.notes}
          title="Pins open notes where they apply"
          className={clsx('h-7', view.notes && 'bg-main! text-inverse!')}
          onClick={() => change({ notes: !view.notes })}
        >
          Notes
        </Button>
        <SharesButton />
      </div>
      <CastLine />
      <div className="flex min-h-0 flex-1 px-5 pb-4">
        <Frames scene={scene} />
      </div>
      {view.shares && <BalancePanel scenes={[scene.id]} width={view.width} />}
      <SceneStrip open={scene.id} />
      {apart && (
        <OwnWindow title={`${scene.name} – Mint Lamp`} onClose={() => setApart(false)}>
          <div className="flex h-full p-4">
            <Frames scene={scene} />
          </div>
        </OwnWindow>
      )}
    </section>
  );
  // Over everything, beside the frame of the project: the station itself is cut off at its edges.
  return whole ? createPortal(shown, document.body) : shown;
}
