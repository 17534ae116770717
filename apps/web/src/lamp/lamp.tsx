import { describeColor } from '@mint-lamp/core/color/describe';
import type { Color } from '@mint-lamp/core/color/spaces';
import { usageOf } from '@mint-lamp/core/document/coherence/role-use';
import type { Link } from '@mint-lamp/core/document/links/link';
import type { StoodOn } from '@mint-lamp/core/edits/roles/standing-on';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { type ComponentProps, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { type CarriedLink, useLinkDrag } from '../dragging/color-dragging.tsx';
import { litColor } from '../kinds/lit.ts';
import type { LitColor } from '../kinds/lit-color.ts';
import { useEditing } from '../store/editing.ts';
import type { Selection } from '../store/interface-slice.ts';
import { selectSystem, useSystem, useTheme } from '../store/selectors.ts';
import { type AppStore, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { HelpMark } from '../ui/help-mark.tsx';
import { part } from '../ui/part.tsx';
import { usePaced } from '../ui/use-paced.ts';
import { ColorEditor } from './color-editor.tsx';
import { Grounds } from './grounds.tsx';
import { Notations } from './notations.tsx';
import { notedBySelection } from './noted-by-selection.ts';
import { PickFromScreen, usePutIntoTray } from './pick-from-screen.tsx';
import { RelativesLink } from './relatives-link.tsx';
import { ThingActions } from './thing-actions.tsx';
import { Tints } from './tints.tsx';
import { useColorKeys } from './use-color-keys.ts';

const SourceOfLink = part(() => import('./source-of-link.tsx'));
const PaintedHalf = part(() => import('./painted-half.tsx'));
const Moves = part(() => import('./moves.tsx'));
const Standing = part(() => import('./standing.tsx'));
const NotesOn = part(() => import('../notes/notes-on.tsx'));
const UsedBy = part(() => import('./used-by.tsx'));

/** The panel about the one colour that is selected now. */
export function Lamp() {
  const system = useSystem();
  const theme = useTheme();
  const selection = useAppSelector((state) => state.interface.selection);
  const lit = litColor(system, theme, selection);
  return (
    <aside
      id="lamp"
      data-help="lamp"
      aria-label="Lamp"
      tabIndex={-1}
      className="min-h-0 overflow-x-hidden overflow-y-auto border-l border-hair bg-raised outline-none contain-strict narrow:border-0 narrow:contain-none"
    >
      {lit ? <LitLamp key={lit.key} lit={lit} /> : <RestingLamp />}
    </aside>
  );
}

function RestingLamp() {
  const putIntoTray = usePutIntoTray();
  return (
    <div className="p-4 text-quiet">
      <div className="mb-1 flex items-center gap-1 text-main">
        <h2 className="font-title text-lg font-semibold">No colour selected</h2>
        <HelpMark of="lamp" about="Lamp" />
      </div>
      <p>
        Select a colour anywhere and the lamp shows it here: large, in every notation, and where it is used.
      </p>
      <p className="mt-3 mb-1.5">Or pick one from anywhere on your screen:</p>
      <PickFromScreen labelled onPick={putIntoTray} />
    </div>
  );
}

function LitLamp({ lit }: { lit: LitColor }) {
  const { painted } = lit;
  const selection = useAppSelector((state) => state.interface.selection);
  const noted = useMemo(() => selection && notedBySelection(selection), [selection]);
  // The colour as it was when the light fell on it, for comparing and for going back.
  const [before, setBefore] = useState(painted);
  const store = useStore() as AppStore;
  const [system] = useState(() => selectSystem(store.getState()));
  const { edit } = useEditing();
  useColorKeys(lit);
  useEffect(() => {
    setBefore((old) => old ?? painted);
  }, [painted]);
  const changed = before && painted && before.css !== painted.css;
  // The words of a moment ago are kept while they nearly fit, so that they do not flicker under a dragged handle.
  const lastWords = useRef<string | undefined>(undefined);
  const name = useMemo(
    () => (painted ? describeColor(colorOf(painted), lastWords.current) : null),
    [painted],
  );
  useEffect(() => {
    lastWords.current = name ?? undefined;
  }, [name]);
  return (
    <div>
      <Halves
        before={before}
        now={painted}
        gradient={lit.gradient ?? null}
        onBack={lit.change && before ? () => edit(lit.change!(colorOf(before))) : null}
        carries={painted && { color: painted.css, name: lit.title, link: linkTo(selection, painted) }}
      />
      <div className="flex flex-col gap-3 p-3">
        <div>
          <h2 className="font-title text-lg leading-tight font-semibold break-words">{lit.title}</h2>
          <p className="text-sm text-quiet">
            {name && <span className="text-main">{name}</span>}
            {name && ' · '}
            {lit.kind}
          </p>
        </div>
        {lit.problem && <p className="text-sm text-fail">{lit.problem}</p>}
        {lit.relink && <SourceOfLink lit={lit} />}
        {painted && lit.change && (
          <Editor painted={painted} change={lit.change} translucent={lit.translucent} />
        )}
        {painted && <Ways painted={painted} title={lit.title} />}
        {changed && <Moves before={system} own={selection?.kind === 'role' ? selection.role : null} />}
        <UsedBy />
        {painted && <Tints painted={painted} title={lit.title} />}
        {painted && <Readings painted={painted} />}
        <ThingActions />
        {noted && <NotesOn key={lit.key} on={noted} />}
      </div>
    </div>
  );
}

/**
 * The editor, and how to steer with it: at once while it is used itself. While the colour is dragged somewhere else,
 * tracks and plane follow a little behind.
 */
function Editor({ painted, change, translucent }: ComponentProps<typeof ColorEditor>) {
  const here = useRef<HTMLDivElement>(null);
  const isSteering = here.current?.contains(document.activeElement) ?? false;
  const latest = useRef(change);
  latest.current = change;
  const changed = useCallback((color: Color) => latest.current(color), []);
  return (
    <div ref={here}>
      <ColorEditor painted={usePaced(painted, isSteering)} change={changed} translucent={translucent} />
    </div>
  );
}

/** The colour as text on what it meets, and as what texts stand on: what it is for decides which comes first. */
function Ways({ painted, title }: { painted: Painted; title: string }) {
  const { document } = useSystem();
  const selection = useAppSelector((state) => state.interface.selection);
  const shown = usePaced(painted);
  const role =
    selection?.kind === 'role' ? document.roles.find(({ id }) => id === selection.role) : undefined;
  const use = role && usageOf(role, document.pairs);
  const on = useMemo((): StoodOn | null => {
    if (!selection) return null;
    return selection.kind === 'role'
      ? { role: selection.role }
      : { link: linkTo(selection, shown), name: title };
  }, [selection, shown, title]);
  // What stands on something itself has nothing standing on it.
  const standing = on && (!use || use === 'ground' || use === 'fill' || use === 'other') && (
    <Standing painted={shown} on={on} />
  );
  const isFirst = use === 'ground' || use === 'fill';
  return (
    <>
      {isFirst && standing}
      <Grounds painted={painted} />
      {!isFirst && standing}
    </>
  );
}

/** What is read of the colour, and leads on from it. */
function Readings({ painted }: { painted: Painted }) {
  const shown = usePaced(painted);
  return (
    <>
      <Notations painted={shown} />
      <RelativesLink painted={shown} />
    </>
  );
}

interface HalvesProps {
  before: Painted | null;
  now: Painted | null;
  /** What it is painted with instead. */
  gradient: ResolvedGradient | null;
  /** Makes it again what it was before; null where it cannot be changed here. */
  onBack: (() => void) | null;
  /** What is carried away when it is dragged. */
  carries: CarriedLink['carries'] | null;
}

/** What a place that takes links is given by the lit colour: the thing itself where it can be linked to. */
function linkTo(selection: Selection | null, painted: Painted): Link {
  switch (selection?.kind) {
    case 'base':
      return { to: 'base', family: selection.family };
    case 'shade':
      return { to: 'shade', family: selection.family, shade: selection.shade };
    case 'role':
      return { to: 'role', role: selection.role };
    default:
      return { to: 'color', color: painted.css };
  }
}

/** Before on the left, now on the right, both large on the same neutral ground. */
function Halves({ before, now, gradient, onBack, carries }: HalvesProps) {
  const { isDragging, ...drag } = useLinkDrag('lamp', carries);
  if (!now)
    return (
      <div className={clsx('h-22 border-b border-hair', gradient ? 'checker' : 'bg-sunken')}>
        {gradient && <PaintedHalf gradient={gradient} />}
      </div>
    );
  const changed = before && before.css !== now.css;
  return (
    <div className="checker relative h-22 border-b border-hair">
      <div className="flex h-full">
        {changed && <div className="w-1/2" style={{ background: before.css }} />}
        <div
          {...drag}
          title={`Drag ${carries?.name ?? 'it'} onto what takes a colour`}
          className={clsx('flex-1 cursor-grab touch-none', isDragging && 'opacity-60')}
          style={{ background: now.css }}
          data-testid="lamp-color"
        />
      </div>
      {changed && (
        <>
          <span className="absolute top-1 left-1 rounded-[4px] bg-raised px-1 text-sm">before</span>
          <span className="absolute top-1 right-1 rounded-[4px] bg-raised px-1 text-sm">now</span>
          {onBack && (
            <Button small className="absolute bottom-1 left-1" onClick={onBack}>
              Back to {before.css}
            </Button>
          )}
        </>
      )}
    </div>
  );
}
