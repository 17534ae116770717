import type { Color } from '@mint-lamp/core/color/spaces';
import { readTyped } from '@mint-lamp/core/color/typed';

/** What a field for a typed colour needs: what is wrong with a text, and what may have been meant. */
export const colorTyping = {
  whileTyping: (text: string): string | null => {
    const typed = readTyped(text);
    return typed.ok ? null : typed.reason;
  },
  corrections: (text: string): readonly string[] => {
    const typed = readTyped(text);
    return typed.ok ? [] : typed.corrections;
  },
};

/** Takes a typed colour; returns what is wrong with the text, or what `take` says is. */
export function takeTyped(text: string, take: (color: Color) => string | null): string | null {
  const typed = readTyped(text);
  return typed.ok ? take(typed.color) : typed.reason;
}
