import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { faultsInParts, type GradientFault } from '@mint-lamp/core/judged/gradients/gradient-faults';
import { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import type { Walking } from '@mint-lamp/core/system/gradients/walked-stop';
import { TriangleAlert } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { newId, useEditing } from '../../store/editing.ts';
import { selectProject, useSystem, useTheme } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { useSettled } from '../../store/use-settled.ts';
import { Button } from '../../ui/button.tsx';
import { inTurns } from '../../ui/turns.ts';
import { straightCss, straightened } from './bench/straight.ts';

/** Faults that are listed at first. */
const MOST = 5;

const whole = (n: number) => Math.round(n);

/** What is wrong, in words. */
function faultWords(fault: GradientFault, length: number): string {
  switch (fault.kind) {
    case 'grey':
      return `Greyer at ${whole(fault.place)} %: chroma sinks to ${fault.chroma.toFixed(3)}, the stops beside it have ${fault.expected.toFixed(3)} and more.`;
    case 'bright':
      return `Lighter at ${whole(fault.place)} % than both its ends: ${whole(fault.lightness * 100)} of 100, the lighter stop beside it has ${whole(fault.expected * 100)}.`;
    case 'seam':
      return `Its ends meet in two colours (ΔE OK ${fault.difference.toFixed(3)}): a seam is seen.`;
    case 'hidden':
      return `Stop ${fault.stop + 1} is never seen: its neighbours are at the same position.`;
    case 'twins':
      return `Stop ${fault.a + 1} and Stop ${fault.b + 1} can hardly be told apart (ΔE OK ${fault.difference.toFixed(3)}).`;
    case 'bands':
      return `So slow a change that one colour is up to ${fault.px} px wide on the ${length} px that it goes here, at ${whole(fault.from)}–${whole(fault.to)} %: bands may show.`;
  }
}

/** What the mend does, as the words of its button. */
function mendWords(fault: GradientFault, nameOf: (command: GradientFault['mend']) => string): string {
  switch (fault.kind) {
    case 'grey':
      return fault.mend?.type === 'addStop' ? 'Add a stop there that keeps the colour' : 'Mix it in OKLCH';
    case 'bright':
      return `Mix it in ${fault.space === 'oklch' ? 'OKLCH' : 'OKLab'}`;
    case 'seam':
      return 'End it as it begins';
    case 'hidden':
    case 'twins':
      return fault.kind === 'hidden' ? 'Remove it' : 'Remove one of them';
    case 'bands':
      // A plain colour is set; only a shade is something to link to.
      return `${nameOf(fault.mend).startsWith('#') ? 'Set' : 'Link'} Stop ${(fault.stop ?? 0) + 1} to ${nameOf(fault.mend)}`;
  }
}

/** What of looking for faults is done in one turn of the page, ms. */
const TURN_MS = 8;

/** Looking costs more than drawing: a little of it at a time, and what is found comes a moment later. */
function useFaults(resolved: ResolvedGradient, walking: Walking, length: number): readonly GradientFault[] {
  const { id } = resolved.gradient;
  const [found, setFound] = useState<{ of: string; faults: readonly GradientFault[] } | null>(null);
  useEffect(() => {
    const parts = faultsInParts(resolved, walking, length, newId);
    let over = false;
    void inTurns(parts, TURN_MS).then((faults) => {
      if (!over) setFound({ of: id, faults });
    });
    return () => {
      over = true;
      parts.return([]);
    };
  }, [id, resolved, walking, length]);
  return found?.of === id ? found.faults : [];
}

/** What may trouble the eye in a gradient, in words, the worst first; each mend is seen before it is taken. Nothing when all is well. */
export function Faults({ resolved, length }: { resolved: ResolvedGradient; length: number }) {
  const theme = useTheme();
  const { document, families } = useSystem();
  const { edit, preview } = useEditing();
  // While something is dragged nobody reads.
  const still = useSettled(resolved);
  const walking = useMemo(() => ({ families, roles: theme.roles }), [families, theme.roles]);
  const [all, setAll] = useState(false);
  const faults = useFaults(still, useSettled(walking), length);
  if (!faults.length) return null;
  const nameOf = (mend: GradientFault['mend']) =>
    mend?.type === 'linkStop' ? linkName(document, mend.link) : '';
  return (
    <ul aria-label="Worth a look" className="flex flex-col gap-1">
      {faults.slice(0, all ? faults.length : MOST).map((fault) => (
        <li key={faultWords(fault, length)} className="flex items-center gap-1.5 text-sm narrow:flex-wrap">
          <TriangleAlert aria-hidden className="size-3.5 shrink-0 text-quiet" />
          <span className="min-w-0">{faultWords(fault, length)}</span>
          {fault.mend && (
            <Button
              small
              className="shrink-0 narrow:h-auto narrow:shrink narrow:text-left narrow:whitespace-normal"
              onPointerEnter={() => preview(fault.mend)}
              onPointerLeave={() => preview(null)}
              onFocus={() => preview(fault.mend)}
              onBlur={() => preview(null)}
              onClick={() => edit(fault.mend!)}
            >
              <Mended fault={fault} resolved={still} length={length} />
              {mendWords(fault, nameOf)}
            </Button>
          )}
        </li>
      ))}
      {faults.length > MOST && !all && (
        <li>
          <Button small look="quiet" onClick={() => setAll(true)}>
            Show {faults.length - MOST} more
          </Button>
        </li>
      )}
    </ul>
  );
}

/** The gradient as it would be, laid straight. For sighted eyes. */
function Mended({
  fault,
  resolved,
  length,
}: {
  fault: GradientFault;
  resolved: ResolvedGradient;
  length: number;
}) {
  const { families } = useSystem();
  const { roles } = useTheme();
  // As it is without what is shown for a look.
  const document = useAppSelector((state) => selectProject(state).document);
  const css = useMemo(() => {
    const result = fault.mend && applyCommand(document, fault.mend);
    const gradient = result?.ok && result.document.gradients.find(({ id }) => id === resolved.gradient.id);
    if (!gradient) return undefined;
    return straightCss(straightened(new ResolvedGradient(gradient, families, roles), length));
  }, [fault, document, families, roles, resolved, length]);
  if (!css) return null;
  return (
    <span aria-hidden data-specimen className="checker h-3 w-20 overflow-hidden rounded-[3px]">
      <span className="block size-full" style={{ background: css }} />
    </span>
  );
}
