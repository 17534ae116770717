import { plainGradient } from '@mint-lamp/core/exchange/css-values';
import { ENGINE_FAULTS, engineFaults } from '@mint-lamp/core/gradient/engines';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { useMemo } from 'react';
import { CopyButton } from '../../../ui/copy-button.tsx';

/** What browsers paint otherwise than each other in a gradient: why, how it looks here, and in plain stops. */
export function InEngines({ resolved }: { resolved: ResolvedGradient }) {
  const found = useMemo(() => {
    const painted = paintedGradient(resolved);
    const faults = painted ? engineFaults(painted) : [];
    return faults.length ? { faults, mixed: gradientCss(resolved), plain: plainGradient(resolved) } : null;
  }, [resolved]);
  if (!found?.mixed) return null;
  const { faults, mixed, plain } = found;
  return (
    <section aria-label="In other browsers" className="mt-3">
      <h2 className="mb-1 font-title font-semibold">In other browsers</h2>
      <p className="text-look">Browsers render this gradient differently.</p>
      <ul className="mb-1.5 list-disc pl-4 text-sm text-quiet">
        {faults.map((fault) => (
          <li key={fault}>{ENGINE_FAULTS[fault]}</li>
        ))}
      </ul>
      <div className="flex flex-col gap-1 text-sm">
        <Strip css={mixed} says="As this browser renders it" />
        {plain && <Strip css={plain} says="In plain stops, the same in all" />}
      </div>
      {plain ? (
        <>
          <p className="mt-1 text-sm text-quiet">
            Deliver writes the plain stops, unless you choose the mixed form there.
          </p>
          <CopyButton text={plain} label="Copy the plain stops" className="-mx-1.5 mt-0.5">
            Copy the plain stops
          </CopyButton>
        </>
      ) : (
        <p className="mt-1 text-sm text-quiet">
          It mixes positions in px and percent, which plain stops can’t follow. Use one or the other.
        </p>
      )}
    </section>
  );
}

function Strip({ css, says }: { css: string; says: string }) {
  return (
    <div>
      <div aria-hidden className="h-10 rounded-md border border-control" style={{ background: css }} />
      <span className="text-quiet">{says}</span>
    </div>
  );
}
