import type { FindResult } from '@mint-lamp/core/color/find';
import { useEffect, useState } from 'react';
import { findColorsInText } from '../../workers/text-finder.ts';

const EMPTY: FindResult = { found: [], near: [] };

/** The colours in a text, found in a worker; the last result stays while the next is on its way. */
export function useFoundColors(text: string): { result: FindResult; searching: boolean } {
  const [done, setDone] = useState<{ text: string; result: FindResult }>({ text: '', result: EMPTY });
  useEffect(() => {
    if (!text.trim()) {
      setDone({ text, result: EMPTY });
      return;
    }
    let stale = false;
    void findColorsInText(text).then((result) => {
      if (!stale) setDone({ text, result });
    });
    return () => {
      stale = true;
    };
  }, [text]);
  return { result: done.result, searching: done.text !== text && text.trim() !== '' };
}
