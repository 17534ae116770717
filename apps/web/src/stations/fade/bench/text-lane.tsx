import { type AlongGradient, alongGradient } from '@mint-lamp/core/contrast/along-gradient';
import { formatRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import { type CssGradient, placeStops } from '@mint-lamp/core/gradient/model';
import { groundOf } from '@mint-lamp/core/system/pairs/measure';
import { useMemo } from 'react';
import { useSystem, useTheme } from '../../../store/selectors.ts';

/** What is asked of a text on the gradient. */
export interface TextOn {
  readonly role: string;
  readonly required: number;
}

/** Where a text reaches what is asked of it along the gradient, worked out for the present theme; null where it has no colour. */
export function useTextAlong(straight: CssGradient | null, text: TextOn | null): AlongGradient | null {
  const system = useSystem();
  const theme = useTheme();
  const color: Rgba | null = (text && theme.roles.get(text.role)?.color) ?? null;
  const beneath = groundOf(system, theme);
  const { r, g, b } = beneath;
  const required = text?.required ?? 0;
  return useMemo(
    () =>
      straight && color ? alongGradient(color, placeStops(straight), { r, g, b, alpha: 1 }, required) : null,
    [straight, color, r, g, b, required],
  );
}

/** The stretches on which the text passes as strong lines on the strip's own axis, and the worst place as a cross. */
export function TextLane({ along }: { along: AlongGradient }) {
  return (
    <div aria-hidden data-lane="text" className="relative mt-1 h-3">
      <span className="absolute inset-x-0 top-1/2 h-px bg-control" />
      {along.passing.map(({ from, to }) => (
        <span
          key={from}
          data-passing
          className="absolute top-1/2 h-[5px] -translate-y-1/2 rounded-full bg-main"
          style={{ left: `${from}%`, width: `${to - from}%` }}
        />
      ))}
      <svg
        aria-hidden
        className="absolute top-1/2 size-3 -translate-1/2 overflow-visible"
        style={{ left: `${along.worst.at}%` }}
        viewBox="-6 -6 12 12"
      >
        <path d="M-5 -5 5 5M5 -5-5 5" className="stroke-fail" strokeWidth="2.5" fill="none" />
      </svg>
    </div>
  );
}

const percent = (v: number) => `${Math.round(v * 10) / 10}`;

/** The same in words: "reaches 3 on 0–61 %; worst 2.10 at 100 %". */
export function alongWords({ passing, worst }: AlongGradient, required: number): string {
  const where = passing.map(({ from, to }) => `${percent(from)}–${percent(to)} %`).join(', ');
  const reached =
    passing.length === 1 && passing[0]!.from === 0 && passing[0]!.to === 100
      ? 'everywhere'
      : where
        ? `on ${where}`
        : 'nowhere';
  return `reaches ${required} ${reached}; worst ${formatRatio(worst.ratio)} at ${percent(worst.at)} %`;
}
