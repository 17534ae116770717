import type { SceneUse } from '../../document/scenes/scene-uses.ts';

/** Words of roles' names that say the same. */
const SAME_WORDS: Readonly<Record<string, string>> = {
  ...all('ground', 'bg background backdrop'),
  ...all('text', 'fg foreground color ink copy type'),
  ...all('line', 'lines border borders divider dividers rule hairline stroke separator'),
  ...all('action', 'button buttons btn cta'),
  ...all('main', 'default base normal'),
  ...all('quiet', 'muted subtle dim faint tertiary weak hint'),
  ...all('link', 'links anchor'),
  ...all('hover', 'hovered'),
  ...all('pressed', 'active press down'),
  ...all('chosen', 'selected selection current checked'),
  ...all('off', 'disabled inactive'),
  ...all('raised', 'card cards elevated panel paper overlay popover'),
  ...all('sunken', 'inset well recessed alt'),
  ...all('good', 'success positive ok valid pass passed'),
  ...all('warning', 'warn caution attention delay delayed'),
  ...all('danger', 'error errors destructive critical negative invalid fail failed cancelled'),
  ...all('info', 'information informative'),
  ...all('surface', 'surfaces'),
  ...all('hero', 'banner masthead jumbotron'),
  ...all('accent', 'highlight'),
  ...all('ring', 'outline'),
};

function all(word: string, others: string): Record<string, string> {
  return Object.fromEntries(others.split(' ').map((other) => [other, word]));
}

/**
 * The names by which a role is found for a use: all words of one of these have to be in its name with its groups, the
 * better ones first; with `=` there may be no other word.
 */
const USE_NAMES: Readonly<Record<SceneUse, readonly string[]>> = {
  page: [
    'page ground',
    'body ground',
    'page main',
    'page',
    'body',
    'surface ground',
    'surface main',
    '=ground',
    '=surface',
    'canvas',
  ],
  raised: ['page raised', 'surface raised', 'raised ground', 'raised', '=surface'],
  sunken: ['page sunken', 'surface sunken', 'sunken ground', 'sunken'],
  text: ['text main', 'text primary', 'body text', 'page text', 'surface text', '=text', 'heading text'],
  quiet: ['text quiet', 'text secondary', 'quiet'],
  link: ['text link', 'link'],
  line: ['line soft', 'line main', '=line', 'line quiet', 'line'],
  edge: ['line strong', 'line edge', 'line control', 'control line', 'input line', 'field line'],
  focus: ['focus ring', 'focus line', 'focus', 'ring'],
  action: [
    'action fill',
    'action ground',
    'action primary',
    '=action',
    'primary fill',
    'primary ground',
    '=primary',
    'brand fill',
    'brand ground',
    '=brand',
    'fill',
  ],
  'action-hover': ['action hover', 'action primary hover', 'primary hover', 'brand hover', '=hover', 'hover'],
  'action-pressed': [
    'action pressed',
    'action primary pressed',
    'primary pressed',
    'brand pressed',
    '=pressed',
  ],
  'action-text': [
    'action text',
    'action primary text',
    'primary text',
    'text on action',
    'on primary',
    'brand text',
  ],
  accent: [
    'accent fill',
    'accent ground',
    '=accent',
    'secondary fill',
    'secondary ground',
    'action secondary',
    '=secondary',
  ],
  'accent-text': ['accent text', 'text on accent', 'on accent', 'secondary text', 'on secondary'],
  chosen: ['chosen ground', 'chosen fill', 'row chosen', '=chosen', 'surface chosen'],
  'chosen-text': ['chosen text', 'text chosen'],
  off: ['off ground', 'off fill', 'action off', '=off', 'surface off'],
  'off-text': ['off text', 'text off', 'action off text'],
  hero: ['hero ground', 'hero fill', '=hero', 'header ground'],
  'hero-veil': ['hero veil', '=veil'],
  'hero-text': ['hero text', 'header text'],
  good: ['notice good ground', 'good ground', 'good fill', 'good surface', '=good', 'notice good'],
  'good-text': ['notice good text', 'good text', 'text good', '=good'],
  warning: [
    'notice warning ground',
    'warning ground',
    'warning fill',
    'warning surface',
    '=warning',
    'notice warning',
  ],
  'warning-text': ['notice warning text', 'warning text', 'text warning', '=warning'],
  danger: [
    'notice danger ground',
    'danger ground',
    'danger fill',
    'danger surface',
    '=danger',
    'notice danger',
  ],
  'danger-text': ['notice danger text', 'danger text', 'text danger', '=danger'],
  note: [
    'notice info ground',
    'info ground',
    'info fill',
    'info surface',
    '=info',
    'notice info',
    '=notice ground',
  ],
  'note-text': ['notice info text', 'info text', 'text info', '=info', '=notice text'],
  board: ['board ground', '=board', 'inverse ground', 'surface inverse'],
  'board-text': ['board text', 'inverse text', 'text inverse'],
  'board-quiet': ['board quiet', 'inverse quiet'],
};

/** Words that may stand in a name besides those looked for without saying something else. */
const INNOCENT = new Set(['main', 'ground', 'fill', 'text', 'soft', 'on', 'primary', 'brand']);

interface Rule {
  readonly words: readonly string[];
  readonly exactly: boolean;
}

const RULES = Object.entries(USE_NAMES).map(
  ([use, names]) =>
    [
      use as SceneUse,
      names.map((name): Rule => ({ words: name.replace('=', '').split(' '), exactly: name.startsWith('=') })),
    ] as const,
);

/** Every other word that a rule goes by: a name with one of them is another thing's. */
const TELLING = new Set(
  RULES.flatMap(([, rules]) => rules.flatMap(({ words }) => words)).filter((word) => !INNOCENT.has(word)),
);

/** The words of a name and its groups, each once, as the rules have them. */
function wordsOf(names: readonly string[]): Set<string> {
  const parts = names
    .flatMap((name) =>
      name
        .replace(/([\p{Ll}\d])(\p{Lu})/gu, '$1 $2')
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u),
    )
    .filter(Boolean);
  // `body-color` is a text's; before other words it says nothing, as in `color-bg`.
  const telling = parts.filter((word, i) => !/^colou?rs?$/.test(word) || (i > 0 && i === parts.length - 1));
  return new Set(telling.map((word) => SAME_WORDS[word] ?? word));
}

/**
 * How well a name does for each use that it could have: the smaller the better. Words that the use does not ask for
 * count against it.
 */
export function usesByName(names: readonly string[]): ReadonlyMap<SceneUse, number> {
  const words = wordsOf(names);
  const out = new Map<SceneUse, number>();
  for (const [use, rules] of RULES) {
    const at = rules.findIndex(({ words: wanted, exactly }) => {
      if (!wanted.every((word) => words.has(word))) return false;
      if (exactly) return words.size === wanted.length;
      for (const word of words) if (TELLING.has(word) && !wanted.includes(word)) return false;
      return true;
    });
    if (at !== -1) out.set(use, at * 100 + words.size - rules[at]!.words.length);
  }
  return out;
}
