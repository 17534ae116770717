/** What samples of a project say, so that its own words are looked at; null for what stands in until there are some. */
export interface SampleWords {
  readonly text: string | null;
  /** On buttons and the like. */
  readonly action: string | null;
}

export const NO_WORDS: SampleWords = { text: null, action: null };

/** The words of samples in a project: its own, or its name with figures. */
export function wordsOf({ name, words }: { readonly name: string; readonly words: SampleWords }) {
  return { text: words.text ?? `${name} 0123456789`, action: words.action ?? 'Go on' };
}

/** The first whole words of a text, up to so many characters; the first word however long it is. */
export function firstWords(text: string, most: number): string {
  const words = text.split(' ');
  let shown = words[0]!;
  for (const word of words.slice(1)) {
    if (shown.length + 1 + word.length > most) break;
    shown = `${shown} ${word}`;
  }
  return shown;
}
