import { paintedByGradients } from '@mint-lamp/core/document/coherence/painted-by-gradients';
import { useEffect } from 'react';
import { Provider } from 'react-redux';
import { Outlet, useParams } from 'react-router';
import { ColorDragging } from '../dragging/color-dragging.tsx';
import { Lamp } from '../lamp/lamp.tsx';
import { ReadoutLine } from '../readout/readout-line.tsx';
import { guardArrivals } from '../store/guard-arrivals.ts';
import { inTurns, READ } from '../store/in-turns.tsx';
import { selectDocument, selectProject } from '../store/selectors.ts';
import { createStore, useAppSelector } from '../store/store.ts';
import { Tray } from '../tray/tray.tsx';
import { useTrayHeight } from '../tray/tray-height.tsx';
import { HintProvider } from '../ui/hint.tsx';
import { part } from '../ui/part.tsx';
import { useNarrow } from '../ui/use-narrow.ts';
import { OpeningPage, useOpenProject } from './open-project.tsx';
import { TopBar } from './top-bar.tsx';
import { useShortcuts } from './use-shortcuts.ts';
import { useWalk } from './walking.ts';
import { Where } from './where.tsx';

const loadDialogs = () => import('./open-dialog.tsx');
const loadFinder = () => import('../finder/finder-list.tsx');
const OpenDialog = part(loadDialogs);
const SeenLine = part(() => import('../seeing/seen-line.tsx'));
const ReadOnlyLine = part(() => import('./read-only-line.tsx'));
const Walk = part(() => import('./walk.tsx'));
const NarrowFoot = part(() => import('./narrow-foot.tsx'));
const UnderTexts = part(() => import('./under-texts.tsx'));

// Whoever drags in one of these has it drawn with every move, and the others in turn.
const Readout = inTurns(ReadoutLine, READ);
const Station = inTurns(Outlet);

interface FrameProps {
  /** Called when a project is open, with what else may be fetched ahead; returns the way to call that off. */
  onOpen: (others: readonly (() => Promise<unknown>)[]) => () => void;
}

/** @public Fetched with the frame. */
export { default as FrontDoor } from './front-door.tsx';

// One for as long as the page is open: what is on its way goes on while another project is looked at.
const store = createStore();
guardArrivals(store);

/** The frame with its store, which the list of projects does without. */
export default function ProjectFrame(props: FrameProps) {
  return (
    <Provider store={store}>
      <HintProvider>
        <Frame {...props} />
      </HintProvider>
    </Provider>
  );
}

/** The one window: top bar, readout, station, lamp and tray around the project at the address. */
function Frame({ onOpen }: FrameProps) {
  const { projectId } = useParams();
  const problem = useOpenProject(projectId!);
  const open = useAppSelector((state) => state.project?.id === projectId);
  if (!open) return <OpeningPage projectId={projectId!} problem={problem} />;
  return <OpenFrame onOpen={onOpen} />;
}

function OpenFrame({ onOpen }: FrameProps) {
  useShortcuts();
  useEffect(() => onOpen([loadDialogs, loadFinder]), [onOpen]);
  const dialog = useAppSelector((state) => state.interface.dialog);
  const name = useAppSelector((state) => selectDocument(state).name);
  const trayHeight = useTrayHeight();
  const isNarrow = useNarrow();
  const walk = useWalk();
  const anyUnder = useAppSelector((state) => {
    const { pairs, roles } = selectDocument(state);
    return pairs.some(({ backdrop, veil }) => backdrop ?? veil) || paintedByGradients(roles).size > 0;
  });
  const isOnlySeen = useAppSelector((state) => {
    const { readOnly, access } = selectProject(state);
    return readOnly !== null || access === 'looker' || access === 'noter';
  });
  const reader = useAppSelector((state) => state.interface.reader);
  const surround = useAppSelector((state) => state.interface.surround);
  useEffect(() => {
    document.title = `${name} · Mint Lamp`;
    return () => {
      document.title = 'Mint Lamp';
    };
  }, [name]);
  return (
    <ColorDragging>
      <div
        className="grid h-full grid-cols-[minmax(0,1fr)_300px] narrow:grid-cols-[minmax(0,1fr)]"
        style={{
          gridTemplateRows: isNarrow
            ? 'auto auto minmax(0, 1fr) 48px'
            : `48px auto minmax(0, 1fr) ${trayHeight.px}px`,
        }}
      >
        <Where />
        <TopBar />
        <div className="isolate col-span-2 min-w-0 narrow:col-span-1">
          <Readout />
          {isOnlySeen && <ReadOnlyLine />}
          {reader && <SeenLine />}
        </div>
        <main
          id="station"
          data-scroller
          aria-label="Station"
          tabIndex={-1}
          className="min-h-0 overflow-auto outline-none contain-strict"
          style={surround ? { background: '#777777', padding: 24 } : undefined}
        >
          <div className={surround ? 'min-h-full rounded-md bg-ground' : 'min-h-full'}>
            <Station />
          </div>
        </main>
        {isNarrow ? (
          <NarrowFoot lamp={<Lamp />} tray={<Tray height={trayHeight} />} />
        ) : (
          <>
            <Lamp />
            <Tray height={trayHeight} />
          </>
        )}
      </div>
      {dialog && <OpenDialog />}
      {anyUnder && <UnderTexts />}
      {walk !== null && <Walk />}
    </ColorDragging>
  );
}
