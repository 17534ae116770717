import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import clsx from 'clsx';
import { Progress } from '../../../../ui/progress.tsx';
import { hexOf, shareText } from './palette-panel.tsx';
import type { Desk } from './use-desk.ts';

/** How what is said at the foot of a picture lies on it. */
export const DESK_FOOT =
  'pointer-events-none absolute bottom-2 left-2 flex items-center gap-2 rounded-md bg-raised px-2 py-1 text-sm';

/** How far the reading of a picture is, 0–1. */
export const OpeningProgress = ({ value }: { value: number }) => (
  <Progress label="How much of the picture is open" value={value} className="w-24" />
);

interface DeskFootProps {
  desk: Desk;
  /** How far the reading of all pixels is, 0–1. */
  progress: number;
}

/** What is said at the foot of the picture: the colour that is lit, that it is a copy, or how well translucent ones are read. */
export function DeskFoot({ desk: { pixels, isWhole, palettes, light }, progress }: DeskFootProps) {
  const lit = light && palettes?.rows.find(({ leaning }) => leaning === light.leaning)?.colors[light.index];
  if (lit)
    return (
      <p className={DESK_FOOT}>
        <span className="size-4 rounded-[4px] border border-hair" style={{ background: hexOf(lit) }} />
        <b className="font-semibold">{describeColor(readColor(hexOf(lit)))}</b>
        <span className="font-mono">{hexOf(lit)}</span> {shareText(lit.share)} of the picture
      </p>
    );
  if (!isWhole)
    return (
      <p className={DESK_FOOT}>
        Shown from a small copy while every pixel is read …
        <OpeningProgress value={progress} />
      </p>
    );
  if (pixels.faintest === 255) return null;
  return (
    <p className={clsx(DESK_FOOT, 'max-w-[90%]')}>
      Translucent in places. Browsers blur such colours when they hand them out: the faintest here (
      {Math.max(1, Math.round(pixels.faintest / 2.55))} % opaque) are read to within ±
      {Math.ceil(128 / pixels.faintest)} of 255.
    </p>
  );
}
