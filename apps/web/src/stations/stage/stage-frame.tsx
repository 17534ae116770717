import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { type KeyboardEvent, memo, useCallback, useEffect, useRef, useState } from 'react';
import { type Pressable, partAt, partsOf, rolesOfPart, saidOf } from '../../scene/scene-parts.ts';
import { SceneView } from '../../scene/scene-view.tsx';
import type { Scene } from '../../scene/scenes.ts';
import { useCast } from '../../scene/use-scene.ts';
import { selected } from '../../store/interface-slice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { announce } from '../../ui/announce.ts';
import { part } from '../../ui/part.tsx';
import { useSize } from '../../ui/use-size.ts';
import { WholeNotes } from './pinned/whole-notes.tsx';

const PressedPanel = part(() => import('./press/pressed-panel.tsx'), <div className="h-80 w-[340px]" />);
const Marks = part(() => import('./marks/marks.tsx'));
const PinnedNotes = part(() => import('./pinned/pinned-notes.tsx'));

interface StageFrameProps {
  scene: Scene;
  theme: ResolvedTheme;
  /** CSS px for which it is laid out. */
  width: number;
  /** How large it is shown, 1 for its real size. */
  scale: number;
  states: boolean;
  marks: boolean;
  /** Open notes are pinned to what they are on. */
  notes: boolean;
  filter: string | undefined;
}

const WALK: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * A scene in a theme, large. Every part of it can be pressed, to learn what paints it and to change it; by keyboard the
 * arrow keys walk through its parts and Enter presses.
 */
export const StageFrame = memo(function StageFrame(props: StageFrameProps) {
  const { scene, theme, width, scale, states, marks, notes, filter } = props;
  const dispatch = useAppDispatch();
  const uses = useCast();
  const { element: page, height } = useSize<HTMLDivElement>();
  const frame = useRef<HTMLDivElement>(null);
  const [lit, setLit] = useState<Pressable | null>(null);
  const [pressed, setPressed] = useState<Pressable | null>(null);
  const [failing, setFailing] = useState<number | null>(null);

  // Laid out otherwise, what was lit is elsewhere, or not there.
  // biome-ignore lint/correctness/useExhaustiveDependencies: these lay it out
  useEffect(() => {
    setLit(null);
    setPressed(null);
  }, [scene, width, scale, states]);

  const press = (found: Pressable | null) => {
    setPressed(found);
    setLit(found);
    const [role] = found ? rolesOfPart(found, uses) : [];
    if (role) dispatch(selected({ kind: 'role', role }));
  };
  const walk = (event: KeyboardEvent) => {
    const { current } = page;
    // Marks in it are buttons with keys of their own.
    if (!current || event.target !== event.currentTarget) return;
    if (event.key === 'Escape') {
      setLit(null);
      return;
    }
    if (event.key === 'Enter' || event.key === ' ') {
      if (lit) press(lit);
      event.preventDefault();
      return;
    }
    const by = WALK[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const parts = partsOf(current);
    const at = parts.findIndex(({ element }) => element === lit?.element);
    const next = parts[at === -1 ? (by > 0 ? 0 : parts.length - 1) : (at + by + parts.length) % parts.length];
    if (!next) return;
    setLit(next);
    announce(saidOf(next, uses, theme));
    next.element.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  };
  const close = useCallback(() => {
    setPressed(null);
    frame.current?.focus({ preventScroll: true });
  }, []);
  return (
    <figure className="m-0 shrink-0" data-stage-theme={theme.theme.id}>
      <figcaption className="flex items-center gap-x-2 pb-1 text-sm text-quiet">
        {theme.theme.name}
        {notes && <WholeNotes on={{ kind: 'theme', theme: theme.theme.id }} name={theme.theme.name} />}
        {marks && failing !== null && (
          <span className={failing ? 'text-fail' : ''}>
            {failing === 0
              ? 'every text passes here'
              : `${failing} ${failing === 1 ? 'text fails' : 'texts fail'}`}
          </span>
        )}
      </figcaption>
      {/* biome-ignore lint/a11y/useSemanticElements: a page in it is pressed, part by part */}
      <div
        ref={frame}
        role="group"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: arrow keys walk through it
        tabIndex={0}
        aria-label={`${scene.name} in ${theme.theme.name}`}
        aria-description="Arrow keys go from part to part, Enter says what paints it and changes it."
        data-testid="scene"
        data-specimen
        onKeyDown={walk}
        onBlur={() => setLit(pressed)}
        className="relative overflow-hidden rounded-md border border-hair"
        style={{ width: Math.round(width * scale) + 2, height: Math.round(height * scale) + 2 }}
      >
        <div
          ref={page}
          aria-hidden
          className="origin-top-left cursor-pointer"
          style={{ width, transform: scale === 1 ? undefined : `scale(${scale})`, filter }}
          onClick={(event) => press(partAt(event.target as Element))}
        >
          <SceneView Draw={scene.Draw} theme={theme} states={states} />
        </div>
        {marks && page.current && (
          <Marks
            page={page.current}
            scale={scale}
            theme={theme}
            layout={`${scene.id} ${width} ${height} ${states}`}
            onPress={press}
            onCount={setFailing}
          />
        )}
        {notes && page.current && (
          <PinnedNotes
            page={page.current}
            theme={theme}
            layout={`${scene.id} ${width} ${height} ${scale} ${states}`}
          />
        )}
        {lit && frame.current && <Lit of={lit.element} within={frame.current} />}
      </div>
      {pressed && page.current && (
        <PressedPanel page={page.current} pressed={pressed} scale={scale} theme={theme} onClose={close} />
      )}
    </figure>
  );
});

/** A ring around the part that is lit: white and black, so that it is seen on anything. */
function Lit({ of, within }: { of: Element; within: HTMLElement }) {
  const [box, frame] = [of.getBoundingClientRect(), within.getBoundingClientRect()];
  return (
    <span
      aria-hidden
      data-lit
      className="pointer-events-none absolute rounded-[3px] outline-2 outline-offset-1 outline-white"
      style={{
        left: box.left - frame.left - 1,
        top: box.top - frame.top - 1,
        width: box.width,
        height: box.height,
        boxShadow: '0 0 0 1px #000, 0 0 0 4px #000',
      }}
    />
  );
}
