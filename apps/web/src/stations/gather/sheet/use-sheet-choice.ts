import { type SheetChoice, wholeOf } from '@mint-lamp/core/sheet/adopt';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { useCallback, useState } from 'react';

/** What of a proposal is taken: all of it to begin with; kept for as long as the proposal is the same. */
export function useSheetChoice(system: SheetSystem) {
  const [kept, setKept] = useState({ system, choice: wholeOf(system) });
  const choice = kept.system === system ? kept.choice : wholeOf(system);
  /** Takes some things of a kind in, or leaves them out. */
  const set = useCallback(
    (kind: keyof SheetChoice, keys: readonly string[], taken: boolean) =>
      setKept((old) => {
        const before = old.system === system ? old.choice : wholeOf(system);
        const next = new Set(before[kind]);
        for (const key of keys) taken ? next.add(key) : next.delete(key);
        return { system, choice: { ...before, [kind]: next } };
      }),
    [system],
  );
  return { choice, set };
}

export type SetChoice = ReturnType<typeof useSheetChoice>['set'];
