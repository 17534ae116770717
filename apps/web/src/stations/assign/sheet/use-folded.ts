import { useCallback, useState } from 'react';
import { ofTab } from '../../../storing/storage.ts';

const FOLDED = 'mint-lamp/folded-groups';

/** Groups that are folded, by their written names; remembered in this tab. */
export function useFolded() {
  const [folded, setFolded] = useState<ReadonlySet<string>>(
    () => new Set((ofTab.read(FOLDED) ?? '').split(' ').filter(Boolean)),
  );
  const fold = useCallback((group: string) => {
    setFolded((old) => {
      const next = new Set(old);
      if (!next.delete(group)) next.add(group);
      ofTab.write(FOLDED, [...next].join(' '));
      return next;
    });
  }, []);
  return [folded, fold] as const;
}
