import { slug } from '../naming/names.ts';
import {
  type Choice,
  type ChosenValue,
  choicesIn,
  type FormId,
  MOST_PREFIX,
  PREFIX_PATTERN,
} from './forms.ts';

export type ReadChoices =
  | { readonly ok: true; readonly choices: Readonly<Record<string, ChosenValue>> }
  /** What is wrong with which, and what would be right. */
  | { readonly ok: false; readonly key: string; readonly reason: string };

type Themes = readonly { readonly id: string; readonly name: string }[];

/** What a text says of a choice; null where it says nothing that can be. */
function readValue(choice: Choice, text: string, themes: Themes): { value: ChosenValue } | { right: string } {
  switch (choice.as) {
    case 'one':
      return Object.hasOwn(choice.options, text)
        ? { value: text }
        : { right: `one of ${Object.keys(choice.options).join(', ')}` };
    case 'yes': {
      if (['', 'yes', 'true', '1'].includes(text)) return { value: true };
      return ['no', 'false', '0'].includes(text) ? { value: false } : { right: 'yes or no' };
    }
    case 'prefix':
      return text.length <= MOST_PREFIX && PREFIX_PATTERN.test(text)
        ? { value: text }
        : { right: `up to ${MOST_PREFIX} small letters, digits, and hyphens between them` };
    case 'theme': {
      if (text === '') return { value: null };
      const found = themes.find(({ id, name }) => id === text || name === text || slug(name) === slug(text));
      return found
        ? { value: found.id }
        : { right: `the name of a theme: ${themes.map(({ name }) => name).join(', ')}` };
    }
  }
}

/**
 * Reads the choices of a form from texts, as an address or a command line has them; themes by id or name. What is no choice
 * of the form, and what no choice can be, is said with what would be right. Never throws.
 */
export function readChoices(
  form: FormId,
  texts: Readonly<Record<string, string>>,
  themes: Themes,
): ReadChoices {
  const choices = choicesIn(form);
  const out: Record<string, ChosenValue> = {};
  for (const [key, text] of Object.entries(texts)) {
    if (!Object.hasOwn(choices, key)) {
      const known = Object.keys(choices);
      const right = known.length ? `Known are: ${known.join(', ')}.` : 'It has no options.';
      return { ok: false, key, reason: `"${key}" is no choice of ${form}. ${right}` };
    }
    const read = readValue(choices[key]!, String(text), themes);
    if ('right' in read)
      return { ok: false, key, reason: `"${text}" cannot be ${key}: write ${read.right}.` };
    out[key] = read.value;
  }
  return { ok: true, choices: out };
}
