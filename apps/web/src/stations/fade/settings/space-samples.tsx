import type { HueWay } from '@mint-lamp/core/color/mix';
import type { Gradient } from '@mint-lamp/core/document/gradients/gradient';
import type { MixingSpace } from '@mint-lamp/core/gradient/interpolate';
import type { CssGradient } from '@mint-lamp/core/gradient/model';
import clsx from 'clsx';
import { memo } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { Choice } from '../../../ui/choice.tsx';
import { HelpMark } from '../../../ui/help-mark.tsx';
import { straightCss } from '../bench/straight.ts';

const SPACES: readonly { readonly value: MixingSpace; readonly label: string; readonly says: string }[] = [
  { value: 'oklab', label: 'OKLab', says: 'even to the eye' },
  { value: 'lab', label: 'Lab', says: 'nearly even' },
  { value: 'srgb', label: 'sRGB', says: 'as old browsers do' },
  { value: 'srgb-linear', label: 'Linear light', says: 'as lamps mix' },
  { value: 'oklch', label: 'OKLCH', says: 'round the hues, even' },
  { value: 'lch', label: 'LCH', says: 'round the hues' },
  { value: 'hsl', label: 'HSL', says: 'round the hues, full' },
  { value: 'hwb', label: 'HWB', says: 'round the hues, as HSL' },
];
const WAYS: readonly { readonly value: HueWay; readonly label: string }[] = [
  { value: 'shorter', label: 'the shorter arc' },
  { value: 'longer', label: 'the longer arc' },
  { value: 'increasing', label: 'hues going up' },
  { value: 'decreasing', label: 'hues going down' },
];
const isPolar = (space: MixingSpace) => /lch|hsl|hwb/.test(space);

/** This very gradient mixed in each space, beside each other: which one it is mixed in is chosen by its look. */
export const SpaceSamples = memo(function SpaceSamples({
  gradient,
  straight,
}: {
  gradient: Gradient;
  straight: CssGradient | null;
}) {
  const { edit } = useEditing();
  return (
    <section aria-label="Mixing space" data-help="spaces">
      <div className="mb-1 flex items-center gap-1">
        <h2 className="font-title font-semibold">Mixing space</h2>
        <HelpMark of="spaces" about="Mixing space" />
      </div>
      <ul className="grid grid-cols-2 gap-x-3 gap-y-1.5">
        {SPACES.map(({ value, label, says }) => (
          <li key={value}>
            <button
              type="button"
              aria-pressed={gradient.space === value}
              onClick={() => edit({ type: 'setGradient', gradient: gradient.id, change: { space: value } })}
              className={clsx(
                'block w-full rounded-md p-1 text-left hover:bg-pressed',
                gradient.space === value && 'bg-pressed outline-2 outline-main',
              )}
            >
              <span aria-hidden data-specimen className="checker block h-4 overflow-hidden rounded-[3px]">
                <span className="block size-full" style={{ background: straightCss(straight, value) }} />
              </span>
              <span className={clsx('block truncate text-sm', gradient.space === value && 'font-semibold')}>
                {label} <span className="font-normal text-quiet">{says}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {isPolar(gradient.space) && (
        <Choice
          label="Around the hues by"
          className="mt-2"
          value={gradient.hueWay}
          options={WAYS}
          onChange={(hueWay) => edit({ type: 'setGradient', gradient: gradient.id, change: { hueWay } })}
        />
      )}
    </section>
  );
});
