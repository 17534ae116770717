import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type { AlongGradient, Stretch } from '@mint-lamp/core/gradient/along-gradient';

/** The stretches on which the text passes as strong lines on the strip's own axis, the worst place as a cross, and the stretch under its box. */
export function TextLane({ along, under }: { along: AlongGradient; under: Stretch | null }) {
  return (
    <div aria-hidden data-lane="text" className="relative mt-1 h-3">
      {under && (
        <span
          data-under
          className="absolute inset-y-0 rounded-[3px] border border-control bg-pressed"
          style={{ left: `${under.from}%`, width: `${under.to - under.from}%` }}
        />
      )}
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
