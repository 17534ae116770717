import type { MergedColor } from '@mint-lamp/core/color/find';
import { useCallback, useMemo, useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import type { FoundInText } from '../../../jobs/work/find-colors.ts';
import { useGradually } from '../../../ui/use-gradually.ts';

const NOTHING: FoundInText = { found: [], near: [], beyond: 0, gradients: [], isSheet: false };

/** Colours that are drawn in one frame. */
const AT_ONCE = 12;

/** What is in a text, each found in a worker: its colours, merged where that is wanted, and the system that it is. */
export function useFoundInText(text: string) {
  const [merge, setMerge] = useState(false);
  /** Colours that are taken in though they are not to begin with, or the other way round. */
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const job = useJob('findColors', text.trim() ? text : null);
  const result = (text.trim() && job.result) || NOTHING;
  const merging = useJob('mergeTwins', merge && result.found.length ? result.found : null);
  const merged = merge ? merging.result : null;
  const shown = useMemo(
    () => merged ?? result.found.map((item) => ({ ...item, twins: [] as string[] })),
    [merged, result],
  );
  const reading = useJob('sumUpSheet', result.isSheet ? text : null);
  const toggle = useCallback(
    (color: string) =>
      setTurned((old) => {
        const next = new Set(old);
        if (!next.delete(color)) next.add(color);
        return next;
      }),
    [],
  );
  return {
    merge,
    setMerge,
    result,
    searching: job.busy,
    fault: job.fault,
    faults: [job, merging].flatMap(({ fault, again }) => (fault ? [{ fault, again }] : [])),
    shown,
    /** As many of them as were drawn by now. */
    drawn: useGradually(shown, AT_ONCE),
    // A name in prose may be no colour at all: it is listed, and taken when it is pressed.
    isChosen: (item: MergedColor) => item.inProse === turned.has(item.color),
    toggle,
    reading,
    summary: result.isSheet ? (reading.result?.summary ?? null) : null,
  };
}
