import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import { useMemo } from 'react';
import { useDocumentPart, useProjectId } from '../../../store/selectors.ts';
import { WorstCross } from '../../../ui/area-box.tsx';
import { paintedText } from '../../../ui/painted-text.ts';

/** What a text lies on, in px of its own: a gradient's box, or what of a picture is shown. */
interface Shown {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface PaintedAreaProps {
  pair: Pair;
  theme: ResolvedTheme;
  words: string;
  measurement: Measurement;
  /** What is shown of it, and px of the screen to one of its own. */
  shown: Shown;
  scale: number;
}

/** The address of a picture's file. */
function usePictureAddress(picture: Picture | undefined): string | null {
  const project = useProjectId();
  return picture ? `/api/projects/${project}/pictures/${picture.content}` : null;
}

/** What a text lies on as it is painted in a theme, with its veil, the text itself and the worst place. For sighted eyes. */
export function PaintedArea({ pair, theme, words, measurement, shown, scale }: PaintedAreaProps) {
  const pictures = useDocumentPart('pictures');
  const { backdrop } = pair;
  const picture =
    backdrop?.kind === 'picture' ? pictures.find(({ id }) => id === backdrop.picture) : undefined;
  const address = usePictureAddress(picture);
  const resolved = backdrop?.kind === 'gradient' ? theme.gradients.get(backdrop.gradient) : undefined;
  const gradient = useMemo(() => (resolved ? gradientCss(resolved) : null), [resolved]);
  if (!backdrop) return null;
  const css = (role: string | undefined) => (role && rolePaint(theme, role)) || undefined;
  const { text } = backdrop;
  const worst = measurement.over?.worst;
  const whole =
    backdrop.kind === 'gradient'
      ? { width: backdrop.width, height: backdrop.height }
      : { width: picture?.width ?? 1, height: picture?.height ?? 1 };
  return (
    <div
      aria-hidden
      data-specimen
      className="relative overflow-hidden"
      style={{ width: shown.width * scale, height: shown.height * scale, background: css(pair.background) }}
    >
      <div
        className="absolute top-0 left-0 origin-top-left"
        style={{
          ...whole,
          transform: `scale(${scale}) translate(${-shown.x}px, ${-shown.y}px)`,
          background: gradient ?? undefined,
        }}
      >
        {address && <img src={address} alt="" className="block size-full max-w-none" draggable={false} />}
        {pair.veil && <span className="absolute inset-0" style={{ background: css(pair.veil) }} />}
        <span
          className="absolute overflow-hidden"
          style={{
            left: text.x,
            top: text.y,
            width: text.width,
            height: text.height,
            ...paintedText(css(pair.foreground) ?? 'transparent'),
            fontSize: pair.size,
            fontWeight: pair.weight,
            lineHeight: 1.2,
          }}
        >
          {words}
        </span>
      </div>
      {worst && <WorstCross x={(worst.x - shown.x) * scale} y={(worst.y - shown.y) * scale} />}
    </div>
  );
}
