import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { selectSettledSystem, selectTheme } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';

/** A gradient in the theme that is switched on, as it is shown. */
export const useGradient = (id: string): ResolvedGradient | undefined =>
  useAppSelector((state) => selectTheme(state).gradients.get(id));

/** The same without the gesture that is under way, for what nobody can use meanwhile; with it while `live`. */
export const useRestingGradient = (id: string, live = false): ResolvedGradient | undefined =>
  useAppSelector((state) => {
    const { theme, gradients } = selectTheme(state);
    const shown = gradients.get(id);
    return live ? shown : (selectSettledSystem(state).themes.get(theme.id)?.gradients.get(id) ?? shown);
  });
