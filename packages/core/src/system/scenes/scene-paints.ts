import { SCENE_USE_IDS, type SceneUse, sceneUse } from '../../document/scenes/scene-uses.ts';
import { gradientCss } from '../gradients/gradient-css.ts';
import type { ResolvedTheme } from '../resolve.ts';
import type { CastUses } from './cast.ts';
import { isImage } from './is-image.ts';

/** What uses of scenes are painted with in a theme, as CSS of a background; without those that nothing paints. */
export type ScenePaints = Readonly<Partial<Record<SceneUse, string>>>;

/** What is looked up to paint scenes. */
export interface PaintSource {
  /** CSS of what a role is painted with; null where it comes to nothing. */
  readonly role: (id: string) => string | null;
  readonly gradient: (id: string) => string | null;
  /** A picture, as CSS of a background. */
  readonly picture: (id: string) => string | null;
}

/** What the uses of scenes are painted with. A line takes one colour, and has none of a gradient. */
export function paintsFrom(
  uses: CastUses,
  { role, gradient, picture }: PaintSource,
  wanted: readonly SceneUse[] = SCENE_USE_IDS,
): ScenePaints {
  const out: Partial<Record<SceneUse, string>> = {};
  for (const use of wanted) {
    const link = uses.get(use)?.link;
    if (!link) continue;
    const css =
      link.to === 'role'
        ? role(link.role)
        : link.to === 'gradient'
          ? gradient(link.gradient)
          : picture(link.picture);
    if (css !== null && !(isImage(css) && sceneUse(use).paints === 'line')) out[use] = css;
  }
  return out;
}

/** What the uses of scenes are painted with in a theme of a system; `picture` as CSS of a background. */
export const scenePaints = (
  uses: CastUses,
  theme: ResolvedTheme,
  picture: PaintSource['picture'],
): ScenePaints => {
  const ofGradient = (id: string) => {
    const resolved = theme.gradients.get(id);
    return resolved ? gradientCss(resolved) : null;
  };
  return paintsFrom(uses, {
    role: (id) => {
      const resolved = theme.roles.get(id);
      return resolved?.gradient ? ofGradient(resolved.gradient) : (resolved?.color?.css ?? null);
    },
    gradient: ofGradient,
    picture,
  });
};
