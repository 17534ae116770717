import { fromRgb8 } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { stopAt } from '@mint-lamp/core/system/gradients/gradient';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { newId, useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { sampler } from './sampled.ts';

/** Adds a stop at a place (percent), with the colour that is there now unless another is given, and selects it. */
export function useAddStop(resolved: ResolvedGradient) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit } = useEditing();
  const gradient = resolved.gradient.id;
  return (position: number, other?: Rgba) => {
    const now = other ?? sampler(resolved)?.(position);
    if (!now) return;
    const color = canonical(fromRgb8(Math.round(now.r), Math.round(now.g), Math.round(now.b), now.alpha));
    const stop = stopAt(newId(), position, { to: 'color', color });
    if (edit({ type: 'addStop', gradient, stop }))
      navigate(addressOf(id, 'fade', gradient, stop.id), { replace: true });
  };
}
