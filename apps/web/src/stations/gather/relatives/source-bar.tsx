import { describeColor } from '@mint-lamp/core/color/describe';
import { maxChroma, oklchToRgb8 } from '@mint-lamp/core/color/gamut';
import type { Triple } from '@mint-lamp/core/color/kernel';
import { readColor } from '@mint-lamp/core/color/parse';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { sourceOklch } from '@mint-lamp/core/system/relatives';
import { useMemo, useRef } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { Track } from '../../../ui/track.tsx';

/** The source, with its lightness and chroma to be moved; its hue is moved on any ribbon. */
export function SourceBar({ source }: { source: string }) {
  const { edit, preview } = useEditing();
  /** What the gesture began with, so that what is lost to the gamut on the way comes back. */
  const start = useRef<Triple | null>(null);
  const oklch = sourceOklch(source);
  const [l, chroma, hue] = oklch;
  const command = (lightness: number | null, c: number | null) => {
    start.current ??= oklch;
    const [l0, c0, h0] = start.current;
    const next = oklchToRgb8(lightness ?? l0, c ?? c0, h0);
    return { type: 'setRelativesSource', color: hexOfRgb8(...next) } as const;
  };
  const end = (made: ReturnType<typeof command>) => {
    start.current = null;
    edit(made);
  };
  const giveBack = () => {
    start.current = null;
    preview(null);
  };
  const tracks = useMemo(() => {
    const stops = (at: (t: number) => Triple) =>
      `linear-gradient(90deg, ${[0, 0.25, 0.5, 0.75, 1].map((t) => hexOfRgb8(...oklchToRgb8(...at(t)))).join(', ')})`;
    const most = maxChroma(l, hue);
    return {
      lightness: stops((t) => [t, chroma, hue]),
      chroma: stops((t) => [l, t * most, hue]),
      most: Math.max(0.02, most),
    };
  }, [l, chroma, hue]);
  return (
    <div className="mt-2 flex items-center gap-4 text-main">
      <ColorChip css={source} className="h-9 w-16" />
      <div className="w-44">
        <CopyButton text={source} />
        <p className="px-1.5 text-sm text-quiet">{describeColor(readColor(source))}</p>
      </div>
      <div className="w-40">
        <Track
          label="Lightness of the source"
          value={l * 100}
          min={0}
          max={100}
          step={0.5}
          background={tracks.lightness}
          valueText={`${(l * 100).toFixed(1)} %`}
          onPreview={(value) => preview(command(value / 100, null))}
          onCommit={(value) => end(command(value / 100, null))}
          onGiveBack={giveBack}
        />
      </div>
      <div className="w-40">
        <Track
          label="Chroma of the source"
          value={chroma}
          min={0}
          max={tracks.most}
          step={0.002}
          background={tracks.chroma}
          valueText={chroma.toFixed(3)}
          onPreview={(value) => preview(command(null, value))}
          onCommit={(value) => end(command(null, value))}
          onGiveBack={giveBack}
        />
      </div>
    </div>
  );
}
