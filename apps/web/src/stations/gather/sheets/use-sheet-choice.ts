import { type SheetChoice, wholeOf } from '@mint-lamp/core/sheet/adopt';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { useCallback, useMemo, useState } from 'react';

/** What of each kind was left out, or of what is not taken to begin with, was taken in. */
type Turned = Readonly<Partial<Record<keyof SheetChoice, ReadonlySet<string>>>>;

const without = (all: ReadonlySet<string>, turned: ReadonlySet<string> | undefined): ReadonlySet<string> =>
  turned?.size ? new Set([...all].filter((key) => !turned.has(key))) : all;

/** What of a proposal is taken: all of it to begin with. What is left out stays so when colours move otherwise. */
export function useSheetChoice(system: SheetSystem) {
  const [turned, setTurned] = useState<Turned>({});
  const choice = useMemo((): SheetChoice => {
    const whole = wholeOf(system);
    return {
      themes: without(whole.themes, turned.themes),
      families: without(whole.families, turned.families),
      roles: without(whole.roles, turned.roles),
      gradients: without(whole.gradients, turned.gradients),
      pairs: without(whole.pairs, turned.pairs),
      unsnapped: turned.unsnapped ?? whole.unsnapped,
    };
  }, [system, turned]);
  /** Takes some things of a kind in, or leaves them out. */
  const set = useCallback(
    (kind: keyof SheetChoice, keys: readonly string[], taken: boolean) =>
      setTurned((old) => {
        const next = new Set(old[kind]);
        for (const key of keys) taken === (kind === 'unsnapped') ? next.add(key) : next.delete(key);
        return { ...old, [kind]: next };
      }),
    [],
  );
  return { choice, set };
}

export type SetChoice = ReturnType<typeof useSheetChoice>['set'];
