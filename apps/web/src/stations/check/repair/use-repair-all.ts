import type { Command } from '@mint-lamp/core/document/commands/command';
import { repairCommands } from '@mint-lamp/core/edits/repairs/repair-all';
import type { LinkRepair } from '@mint-lamp/core/edits/repairs/repair-theme';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSettledDocument, selectSettledReadout, useRegions } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';

/** Repairs of all failing pairs, seen on the board until they are taken or left. */
export interface ProposedRepairs {
  readonly busy: boolean;
  readonly progress: number;
  readonly fault: string | null;
  readonly again: () => void;
  readonly repairs: readonly LinkRepair[];
  /** Measurements that fail now, over all themes. */
  readonly failing: number;
  /** How it was without them. */
  readonly before: Readout;
  /** Those that are left out, by {@link repairKey}. */
  readonly left: ReadonlySet<string>;
  readonly toggle: (key: string) => void;
  readonly takeAll: (all: boolean) => void;
  /** Returns why it is refused, or null. */
  readonly take: () => string | null;
  readonly leave: () => void;
}

export const repairKey = ({ role, theme }: LinkRepair): string => `${role} ${theme}`;

const NONE: readonly LinkRepair[] = [];

/** Works the repairs out in a worker, and shows them as if they were made. */
export function useRepairAll() {
  const document = useAppSelector(selectSettledDocument);
  const before = useAppSelector(selectSettledReadout);
  const { tryEdit, preview } = useEditing();
  const [asked, setAsked] = useState(false);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const regions = useRegions();
  const input = useMemo(() => (asked ? { document, regions } : null), [asked, document, regions]);
  const { result, busy, progress, fault, again } = useJob('repairAll', input);
  const repairs = asked && !busy && result ? result.repairs : NONE;
  const command = useMemo((): Command | null => {
    const taken = repairs.filter((one) => !left.has(repairKey(one)));
    if (!taken.length) return null;
    const label = taken.length === 1 ? 'repair a pair' : `repair pairs by ${taken.length} links`;
    return { type: 'batch', label, commands: repairCommands(taken) };
  }, [repairs, left]);
  useEffect(() => {
    if (!asked) return;
    preview(command);
    return () => preview(null);
  }, [asked, command, preview]);
  const ask = useCallback(() => {
    setLeft(new Set());
    setAsked(true);
  }, []);
  if (!asked) return { proposed: null, ask };
  const proposed: ProposedRepairs = {
    busy,
    progress,
    fault,
    again,
    repairs,
    failing: result?.failing ?? 0,
    before,
    left,
    toggle: (key) =>
      setLeft((old) => {
        const next = new Set(old);
        if (!next.delete(key)) next.add(key);
        return next;
      }),
    takeAll: (all) => setLeft(new Set(all ? [] : repairs.map(repairKey))),
    take() {
      const refused = command && tryEdit(command);
      if (!refused) setAsked(false);
      return refused;
    },
    leave: () => setAsked(false),
  };
  return { proposed, ask };
}
