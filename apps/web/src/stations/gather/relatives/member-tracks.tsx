import { maxChroma, oklchToRgb8 } from '@mint-lamp/core/color/gamut';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import type { Shift } from '@mint-lamp/core/document/relatives/relatives';
import { signedTurn } from '@mint-lamp/core/numbers/signed-turn';
import type { Member } from '@mint-lamp/core/system/relatives';
import { Track } from '../../../ui/track.tsx';

interface MemberTracksProps {
  member: Member;
  number: number;
  shift: Shift;
  onPreview: (shift: Shift) => void;
  onCommit: (shift: Shift) => void;
  onGiveBack: () => void;
}

/** Lightness, chroma and hue of one member, moved by themselves. */
export function MemberTracks({ member, number, shift, onPreview, onCommit, onGiveBack }: MemberTracksProps) {
  // The exact member, which the shift goes from.
  const [l, c, h] = member.oklch;
  const from = { l: l - shift.lightness, c: c - shift.chroma, h: h - shift.turn };
  const strip = (at: (t: number) => [number, number, number]) =>
    `linear-gradient(90deg, ${[0, 0.25, 0.5, 0.75, 1].map((t) => hexOfRgb8(...oklchToRgb8(...at(t)))).join(', ')})`;
  const most = Math.max(0.02, maxChroma(l, h));
  const lightness = (value: number) => ({ ...shift, lightness: value / 100 - from.l });
  const chroma = (value: number) => ({ ...shift, chroma: value - from.c });
  const hue = (value: number) => ({ ...shift, turn: signedTurn(value - from.h) });
  return (
    <div className="mt-1 flex items-center gap-3 text-sm">
      <span className="w-16 text-quiet">Only {number}</span>
      <div className="flex-1">
        <Track
          label={`Lightness of ${number}`}
          value={l * 100}
          min={0}
          max={100}
          step={0.5}
          background={strip((t) => [t, c, h])}
          valueText={`${(l * 100).toFixed(1)} %`}
          onPreview={(value) => onPreview(lightness(value))}
          onCommit={(value) => onCommit(lightness(value))}
          onGiveBack={onGiveBack}
        />
      </div>
      <div className="flex-1">
        <Track
          label={`Chroma of ${number}`}
          value={c}
          min={0}
          max={most}
          step={0.002}
          background={strip((t) => [l, t * most, h])}
          valueText={c.toFixed(3)}
          onPreview={(value) => onPreview(chroma(value))}
          onCommit={(value) => onCommit(chroma(value))}
          onGiveBack={onGiveBack}
        />
      </div>
      <div className="flex-1">
        <Track
          label={`Hue of ${number}`}
          value={h}
          min={0}
          max={360}
          step={1}
          background={strip((t) => [l, c, t * 360])}
          valueText={`${Math.round(h)}°`}
          onPreview={(value) => onPreview(hue(value))}
          onCommit={(value) => onCommit(hue(value))}
          onGiveBack={onGiveBack}
        />
      </div>
    </div>
  );
}
