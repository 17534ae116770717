import { percentOf } from '@mint-lamp/core/gradient/model';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import type { RefObject } from 'react';
import { LiveCanvas } from '../../../store/live-canvas.tsx';
import { selectSettledSystem, selectTheme } from '../../../store/selectors.ts';
import { lookOf, POST_BEYOND, paintPosts } from './painted-posts.ts';

interface MovingPostsProps {
  /** Id of the gradient. */
  gradient: string;
  /** Px of its line, of which places in px are parts. */
  length: number;
  openStop: string | null;
  standing: RefObject<HTMLElement | null>;
}

/** Posts that move, painted with every move of what is dragged; the elements follow when it is their turn. */
export function MovingPosts({ gradient, length, openStop, standing }: MovingPostsProps) {
  const postsOf = ({ stops, colors }: ResolvedGradient) =>
    stops.map((stop, i) => ({
      position: percentOf(stop.places[0], length),
      color: colors[i] ?? null,
      on: stop.id === openStop,
    }));
  return (
    <LiveCanvas
      standing={standing}
      beyond={POST_BEYOND}
      find={(state) => {
        const { theme, gradients } = selectTheme(state);
        const settled = selectSettledSystem(state).themes.get(theme.id)?.gradients.get(gradient);
        return { now: gradients.get(gradient), settled };
      }}
      lookOf={lookOf}
      paint={(context, look, now, before) =>
        paintPosts(context, look, postsOf(now), before && postsOf(before))
      }
    />
  );
}
