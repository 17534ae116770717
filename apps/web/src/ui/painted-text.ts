import type { CSSProperties } from 'react';

const isGradientCss = (css: string): boolean => css.includes('-gradient(');

/** Letters in a paint: a colour, or a gradient that is cut out by them; `ground` is painted behind them on the same box. */
export function paintedText(css: string, ground?: string | null): CSSProperties {
  if (!isGradientCss(css)) return ground ? { color: css, background: ground } : { color: css };
  const beneath = ground && (isGradientCss(ground) ? ground : `linear-gradient(${ground}, ${ground})`);
  return {
    color: 'transparent',
    backgroundImage: beneath ? `${css}, ${beneath}` : css,
    backgroundClip: beneath ? 'text, border-box' : 'text',
  };
}
