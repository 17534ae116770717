import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { type RefObject, useRef } from 'react';
import type { Selection } from '../../store/interface-slice.ts';
import { selectSettledSystem, selectSystem } from '../../store/selectors.ts';
import { useLive } from '../../store/use-live.ts';
import type { LitStretch } from './lit-stretch.ts';
import { BEYOND, lookOf, paintShades } from './painted-shades.ts';

interface MovingShadesProps {
  family: string;
  stretch: LitStretch;
  selection: Selection | null;
  /** What stands on the rail while nothing moves, and is not seen while it is painted. */
  standing: RefObject<HTMLElement | null>;
}

/** What moves on a rail, painted with every move of what is dragged; the elements follow when it is their turn. */
export function MovingShades({ family, stretch, selection, standing }: MovingShadesProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const painting = useRef<{ readonly look: ReturnType<typeof lookOf>; last: ResolvedFamily | null } | null>(
    null,
  );
  const begin = () => {
    const { current: element } = canvas;
    const rail = element!.parentElement!;
    const look = lookOf(rail, standing.current!);
    const density = devicePixelRatio;
    element!.width = Math.round((look.width + 2 * BEYOND.x) * density);
    element!.height = Math.round((rail.clientHeight + 2 * BEYOND.y) * density);
    const context = element!.getContext('2d')!;
    context.scale(density, density);
    context.translate(BEYOND.x, BEYOND.y);
    element!.hidden = false;
    standing.current!.style.opacity = '0';
    return { look, last: null };
  };
  const end = () => {
    if (!painting.current) return;
    painting.current = null;
    // Both may have gone while it was dragged.
    if (canvas.current) canvas.current.hidden = true;
    if (standing.current) standing.current.style.opacity = '';
  };
  useLive((state) => {
    const now = state && selectSystem(state).families.get(family);
    const isMoved = now && now !== selectSettledSystem(state).families.get(family);
    if (!state || !now || !(isMoved || painting.current)) {
      end();
      return;
    }
    painting.current ??= begin();
    if (painting.current.last === now) return;
    painting.current.last = now;
    paintShades(canvas.current!.getContext('2d')!, painting.current.look, {
      shades: now.shades,
      stretch,
      selection,
    });
  });
  return (
    <canvas
      ref={canvas}
      hidden
      aria-hidden
      className="pointer-events-none absolute"
      style={{
        left: -BEYOND.x,
        top: -BEYOND.y,
        width: `calc(100% + ${2 * BEYOND.x}px)`,
        height: `calc(100% + ${2 * BEYOND.y}px)`,
      }}
    />
  );
}
