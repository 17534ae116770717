import { fromRgb8 } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { stopAt } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { newId, useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { sampler } from './sampled.ts';

/** Percent within which a place is that of a stop. */
const AT_STOP = 0.3;

/** What a stop of the colour at a place points to: where another stop stands, what that one does, else the plain colour. */
function linkAlong(resolved: ResolvedGradient, place: number): Link | null {
  const there = resolved.stops.find(
    ({ places: [{ value, unit }] }) => unit === '%' && Math.abs(value - place) < AT_STOP,
  );
  if (there) return there.color;
  const now = sampler(resolved)?.(place);
  if (!now) return null;
  const color = canonical(fromRgb8(Math.round(now.r), Math.round(now.g), Math.round(now.b), now.alpha));
  return { to: 'color', color };
}

/** Adds a stop at a place (percent), with the colour that is there now unless that of another place is wanted, and selects it. */
export function useAddStop(resolved: ResolvedGradient) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit } = useEditing();
  const gradient = resolved.gradient.id;
  const commandOf = (position: number, from = position) => {
    const link = linkAlong(resolved, from);
    return link && ({ type: 'addStop', gradient, stop: stopAt(newId(), position, link) } as const);
  };
  return {
    /** The command that does it; null where the gradient has no colour. */
    commandOf,
    add: (position: number, from?: number) => {
      const command = commandOf(position, from);
      if (command && edit(command))
        navigate(addressOf(id, 'fade', gradient, command.stop.id), { replace: true });
    },
  };
}
