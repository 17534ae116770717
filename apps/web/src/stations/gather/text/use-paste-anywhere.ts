import { useEffect } from 'react';
import { isBusyWithText } from '../../../shortcuts.ts';

/** Takes a text that is pasted while no field is being written in, below what is there already. */
export function usePasteAnywhere(onText: (change: (text: string) => string) => void): void {
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const pasted = event.clipboardData?.getData('text/plain');
      if (!pasted || event.defaultPrevented || isBusyWithText(event.target)) return;
      event.preventDefault();
      onText((text) => (text.trim() ? `${text.trimEnd()}\n${pasted}` : pasted));
    };
    addEventListener('paste', onPaste);
    return () => removeEventListener('paste', onPaste);
  }, [onText]);
}
