import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { ASKED, type PairRatio, pairRatios } from '@mint-lamp/core/moving/pair-ratios';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import clsx from 'clsx';
import { memo, useMemo, useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import type { SetChoice } from './use-sheet-choice.ts';

const SHOWN = 24;

interface ProposedPairsProps {
  system: SheetSystem;
  taken: ReadonlySet<string>;
  set: SetChoice;
}

/** The pairs that rules set, as they look in the themes of the sheet, those that fail first. */
export const ProposedPairs = memo(function ProposedPairs({ system, taken, set }: ProposedPairsProps) {
  const [most, setMost] = useState(SHOWN);
  const rows = useMemo(() => {
    const byPair = new Map<string, PairRatio[]>();
    for (const one of pairRatios(system)) {
      const own = byPair.get(one.key);
      if (own) own.push(one);
      else byPair.set(one.key, [one]);
    }
    return system.pairs
      .map((pair) => ({ pair, ratios: byPair.get(pair.key) ?? [] }))
      .sort((a, b) => failing(b.ratios) - failing(a.ratios));
  }, [system]);
  if (!rows.length) return null;
  const failed = rows.filter(({ ratios }) => failing(ratios)).length;
  return (
    <section
      aria-label="Proposed pairs"
      className="mb-5 [contain-intrinsic-size:auto_600px] [content-visibility:auto]"
    >
      <h2 className="font-title text-lg font-semibold">Pairs</h2>
      <p className="mb-1 text-sm text-quiet">
        Rules set these texts on these grounds;{' '}
        {failed ? `${failed} of ${rows.length} ${failed === 1 ? 'fails' : 'fail'}` : 'none fails'} {ASKED} in
        some theme.
      </p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(300px,100%),1fr))] gap-x-5 gap-y-1">
        {rows.slice(0, most).map(({ pair, ratios }) => (
          <li key={pair.key} className={clsx(!taken.has(pair.key) && 'opacity-50')}>
            <label className="flex items-center gap-2" title={pair.selectors.join('\n')}>
              <input
                type="checkbox"
                checked={taken.has(pair.key)}
                onChange={(event) => set('pairs', [pair.key], event.target.checked)}
              />
              <span
                aria-hidden
                data-specimen
                className="flex shrink-0 overflow-hidden rounded-md border border-hair"
              >
                {ratios.slice(0, 3).map(({ theme, colors: [color, background], ratio, passes }) => (
                  <span
                    key={theme}
                    className="px-1.5 py-1 font-semibold"
                    style={{ color, background }}
                    title={`${theme}: ${formatRatio(ratio)}${passes ? '' : ', fails'}`}
                  >
                    Aa
                  </span>
                ))}
              </span>
              <span className="min-w-0 text-sm">
                <span className="block truncate">{nameOf(pair.key, ratios)}</span>
                <span className={failing(ratios) ? 'text-fail' : 'text-quiet'}>
                  {ratios
                    .slice(0, 3)
                    .map(({ ratio, passes }) => `${formatRatio(ratio)}${passes ? '' : ' fails'}`)
                    .join(' · ') || 'translucent ground'}
                </span>{' '}
                <span className="text-quiet">×{pair.count}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {rows.length > most && (
        <Button small className="mt-2" onClick={() => setMost(rows.length)}>
          Show {rows.length - most} more
        </Button>
      )}
    </section>
  );
});

const failing = (ratios: readonly PairRatio[]) => ratios.filter(({ passes }) => !passes).length;
const nameOf = (key: string, [first]: readonly PairRatio[]) =>
  first ? `${first.text} on ${first.ground}` : key;
