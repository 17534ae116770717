import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type { Movement, TurnedPair } from '@mint-lamp/core/moving/pair-ratios';
import { NOT_VISIBLY, type SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import type { ScenePaints } from '@mint-lamp/core/system/scenes/scene-paints';
import { useState } from 'react';
import { part } from '../../../ui/part.tsx';
import { SwitchGroup } from '../../../ui/switch-group.tsx';
import { Track } from '../../../ui/track.tsx';

interface HowFarProps {
  farthest: number;
  onFarthest: (farthest: number) => void;
  system: SheetSystem;
  movement: Movement;
  busy: boolean;
  /** A page as it is, and as it would be; null where there is nothing to see. */
  pages: { readonly before: ScenePaints; readonly after: ScenePaints } | null;
}

const SmallPage = part(() => import('../proposals/small-page.tsx'), <div className="h-[130px]" />);

const FAR = { min: 0.005, max: 0.15, usual: 0.05 };
const WAYS = [
  { value: 'exact', label: 'not at all' },
  { value: 'unseen', label: 'not visibly' },
  { value: 'far', label: 'this far' },
];
const wayOf = (farthest: number) => (farthest === 0 ? 'exact' : farthest === NOT_VISIBLY ? 'unseen' : 'far');

/** How far colours may move to be one with another: what it saves, and what it does to pairs, before anything is taken. */
export function HowFar({ farthest, onFarthest, system, movement, busy, pages }: HowFarProps) {
  const way = wayOf(farthest);
  const [dragged, setDragged] = useState<number | null>(null);
  const value = dragged ?? farthest;
  const choose = (next: string) =>
    onFarthest(next === 'exact' ? 0 : next === 'unseen' ? NOT_VISIBLY : FAR.usual);
  return (
    <section aria-label="How far colours may shift" aria-busy={busy} className="mb-5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="font-title text-lg font-semibold">Colours may shift</h2>
        <SwitchGroup label="Colours may shift" value={way} options={WAYS} onChange={choose} />
        {way === 'far' && (
          <div className="flex w-72 items-center gap-2">
            <Track
              label="How far, ΔE OK"
              value={value}
              min={FAR.min}
              max={FAR.max}
              step={0.005}
              background="linear-gradient(to right, var(--color-sunken), var(--color-mint))"
              valueText={`ΔE ${value.toFixed(3)}`}
              onPreview={setDragged}
              onGiveBack={() => setDragged(null)}
              onCommit={(next) => {
                setDragged(null);
                // The place of the other way has the same meaning and another name.
                onFarthest(next === NOT_VISIBLY ? next + 1e-6 : next);
              }}
            />
            <span className="font-mono text-sm whitespace-nowrap">ΔE {value.toFixed(3)}</span>
          </div>
        )}
      </div>
      <p role="status" className="mt-1">
        {busy ? <span className="text-quiet">Reading …</span> : told(system, movement)}
      </p>
      {pages && movement.moved > 0 && (
        <div className="mt-2 grid grid-cols-2 narrow:grid-cols-1 gap-px">
          {(['before', 'after'] as const).map((side) => (
            <figure key={side} className="min-w-0">
              <SmallPage page={pages[side]} />
              <figcaption className="text-sm text-quiet">
                {side === 'before' ? 'As it is' : 'After'}
              </figcaption>
            </figure>
          ))}
        </div>
      )}
      <Turned title="Now pass" pairs={movement.begin} />
      <Turned title="No longer pass" pairs={movement.cease} />
    </section>
  );
}

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

function told({ colors }: SheetSystem, { moved, left, furthest, begin, cease }: Movement): string {
  if (!moved) return `All ${count(colors, 'colour stays', 'colours stay')} as they are.`;
  const pairs =
    begin.length || cease.length
      ? ` ${count(begin.length, 'pair begins', 'pairs begin')} to pass, ${count(cease.length, 'ceases', 'cease')}.`
      : ' No pair changes between pass and fail.';
  return `${moved} of ${colors} colours give way to another, the furthest by ΔE ${furthest.toFixed(3)}: ${left} are left.${pairs}`;
}

const MOST = 8;

/** Pairs that turn, before beside after. */
function Turned({ title, pairs }: { title: string; pairs: readonly TurnedPair[] }) {
  if (!pairs.length) return null;
  return (
    <div className="mt-2">
      <h3 className="text-sm text-quiet">{title}</h3>
      <ul className="flex flex-wrap gap-x-4 gap-y-1.5">
        {pairs.slice(0, MOST).map(({ was, is }) => (
          <li key={`${was.key} ${was.theme}`} className="flex items-center gap-2 text-sm">
            <span aria-hidden data-specimen className="flex overflow-hidden rounded-md border border-hair">
              {[was, is].map(({ colors: [color, background], ratio }, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: before and after
                <span key={i} className="px-2 py-1 text-base" style={{ color, background }}>
                  {formatRatio(ratio)}
                </span>
              ))}
            </span>
            <span>
              {is.text} on {is.ground} <span className="text-quiet">in {is.theme}</span>
            </span>
            <span className="sr-only">
              from {formatRatio(was.ratio)} to {formatRatio(is.ratio)}
            </span>
          </li>
        ))}
        {pairs.length > MOST && <li className="text-sm text-quiet">and {pairs.length - MOST} more</li>}
      </ul>
    </div>
  );
}
