import { useEffect, useRef } from 'react';
import { type Brought, broughtBy } from '../projects/brought.ts';
import { isBusyWithText } from '../shortcuts.ts';

/** Takes what is pasted while no field is being written in. */
export function usePasted(take: (thing: Brought) => void): void {
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const thing = broughtBy(event.clipboardData);
      if (!thing || event.defaultPrevented || isBusyWithText(event.target)) return;
      event.preventDefault();
      latest.current(thing);
    };
    addEventListener('paste', onPaste);
    return () => removeEventListener('paste', onPaste);
  }, []);
}
