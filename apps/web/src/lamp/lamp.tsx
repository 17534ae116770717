import { describeColor } from '@mint-lamp/core/color/describe';
import type { Color } from '@mint-lamp/core/color/spaces';
import { usageOf } from '@mint-lamp/core/document/coherence/role-use';
import type { Link } from '@mint-lamp/core/document/links/link';
import type { StoodOn } from '@mint-lamp/core/edits/roles/standing-on';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { useLinkDrag } from '../dragging/color-dragging.tsx';
import type { LitColor } from '../kinds/lit-color.ts';
import { useLit } from '../kinds/use-lit.ts';
import { useEditing } from '../store/editing.ts';
import { inTurns, READ, READ_BOX } from '../store/in-turns.tsx';
import type { Selection } from '../store/interface-slice.ts';
import { selectSystem, useProjectDocument } from '../store/selectors.ts';
import { type AppStore, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { HelpMark } from '../ui/help-mark.tsx';
import { part } from '../ui/part.tsx';
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
  return (
    <aside
      id="lamp"
      data-help="lamp"
      aria-label="Lamp"
      tabIndex={-1}
      className="min-h-0 overflow-x-hidden overflow-y-auto border-l border-hair bg-raised outline-none contain-strict narrow:border-0 narrow:contain-none"
    >
      <Lit />
    </aside>
  );
}

const Lit = inTurns(function Lit() {
  const lit = useLit();
  return lit ? <LitLamp key={lit.key} lit={lit} /> : <RestingLamp />;
}, READ);

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
      <Halves before={before} />
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
        {lit.relink && <Source />}
        {painted && lit.change && <Editor />}
        {painted && <Ways title={lit.title} />}
        {changed && <Moves before={system} own={selection?.kind === 'role' ? selection.role : null} />}
        <UsedBy />
        {painted && <TintsOfLit />}
        {painted && <Readings />}
        <ThingActions />
        {noted && <NotesOn key={lit.key} on={noted} />}
      </div>
    </div>
  );
}

const Source = inTurns(function Source() {
  const lit = useLit();
  return lit?.relink ? <SourceOfLink lit={lit} /> : null;
}, READ_BOX);

/** The editor: with every move while it is used itself, and in its turn while the colour is dragged somewhere else. */
const Editor = inTurns(function Editor() {
  const lit = useLit();
  const change = lit?.change;
  const latest = useRef(change);
  latest.current = change;
  const changed = useCallback((color: Color) => latest.current!(color), []);
  if (!lit?.painted || !change) return null;
  return <ColorEditor painted={lit.painted} change={changed} translucent={lit.translucent} />;
}, READ_BOX);

/** The colour as text on what it meets, and as what texts stand on: what it is for decides which comes first. */
function Ways({ title }: { title: string }) {
  const { roles, pairs } = useProjectDocument();
  const selection = useAppSelector((state) => state.interface.selection);
  const role = selection?.kind === 'role' ? roles.find(({ id }) => id === selection.role) : undefined;
  const use = role && usageOf(role, pairs);
  // What stands on something itself has nothing standing on it.
  const standing = (!use || use === 'ground' || use === 'fill' || use === 'other') && <OnIt title={title} />;
  const isFirst = use === 'ground' || use === 'fill';
  return (
    <>
      {isFirst && standing}
      <AsText />
      {!isFirst && standing}
    </>
  );
}

const AsText = inTurns(function AsText() {
  const painted = useLit()?.painted;
  return painted ? <Grounds painted={painted} /> : null;
}, READ_BOX);

const OnIt = inTurns(function OnIt({ title }: { title: string }) {
  const painted = useLit()?.painted;
  const selection = useAppSelector((state) => state.interface.selection);
  const on = useMemo((): StoodOn | null => {
    if (!selection || !painted) return null;
    return selection.kind === 'role'
      ? { role: selection.role }
      : { link: linkTo(selection, painted), name: title };
  }, [selection, painted, title]);
  return painted && on ? <Standing painted={painted} on={on} /> : null;
}, READ_BOX);

const TintsOfLit = inTurns(function TintsOfLit() {
  const lit = useLit();
  return lit?.painted ? <Tints painted={lit.painted} title={lit.title} /> : null;
}, READ_BOX);

const READINGS = { ...READ_BOX, box: 'flex flex-col gap-3' };

/** What is read of the colour, and leads on from it. */
const Readings = inTurns(function Readings() {
  const painted = useLit()?.painted;
  if (!painted) return null;
  return (
    <>
      <Notations painted={painted} />
      <RelativesLink painted={painted} />
    </>
  );
}, READINGS);

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
const Halves = inTurns(
  function Halves({ before }: { before: Painted | null }) {
    const lit = useLit();
    const selection = useAppSelector((state) => state.interface.selection);
    const { edit } = useEditing();
    const now = lit?.painted ?? null;
    const gradient = lit?.gradient;
    const carries = lit && now && { color: now.css, name: lit.title, link: linkTo(selection, now) };
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
            {lit?.change && (
              <Button
                small
                className="absolute bottom-1 left-1"
                onClick={() => edit(lit.change!(colorOf(before)))}
              >
                Back to {before.css}
              </Button>
            )}
          </>
        )}
      </div>
    );
  },
  { box: '' },
);
