import { fromRgb8 } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { ResolvedGradient } from '@mint-lamp/core/system/resolve-gradients';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { newId, useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { sampler } from './sampled.ts';

/** Adds a stop at a place (percent) with the colour that is there now, and selects it. */
export function useAddStop(resolved: ResolvedGradient) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit } = useEditing();
  const gradient = resolved.gradient.id;
  return (position: number) => {
    const now = sampler(resolved)?.(position);
    if (!now) return;
    const color = canonical(fromRgb8(Math.round(now.r), Math.round(now.g), Math.round(now.b), now.alpha));
    const stop = { id: newId(), position, link: { to: 'color', color } as const };
    if (edit({ type: 'addStop', gradient, stop }))
      navigate(addressOf(id, 'fade', gradient, stop.id), { replace: true });
  };
}
