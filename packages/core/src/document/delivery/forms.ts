/**
 * The forms that a system is handed over in, each with what can be chosen of it; what is kept in a project, asked for at an
 * address and given on a command line is all read from here.
 */

/** One of some, by id, with what each is called. */
interface OneOf {
  readonly as: 'one';
  readonly name: string;
  readonly options: Readonly<Record<string, string>>;
  readonly usual: string;
}

interface YesOrNo {
  readonly as: 'yes';
  readonly name: string;
  readonly usual: boolean;
}

/** The beginning of names: letters and digits, hyphens between. */
interface Prefix {
  readonly as: 'prefix';
  readonly name: string;
  readonly usual: '';
}

/** A theme by its id; null for the one that is found. */
interface OfTheme {
  readonly as: 'theme';
  readonly name: string;
  readonly usual: null;
  /** What null means, in words. */
  readonly none: string;
}

export type Choice = OneOf | YesOrNo | Prefix | OfTheme;

const one = <const O extends Readonly<Record<string, string>>>(
  name: string,
  options: O,
  usual: keyof O & string,
) => ({ as: 'one', name, options, usual }) as const;
const yes = (name: string, usual = false) => ({ as: 'yes', name, usual }) as const;
const prefix = { as: 'prefix', name: 'Names begin with', usual: '' } as const;
const theme = (name: string, none: string) => ({ as: 'theme', name, usual: null, none }) as const;

/** The notations that code is written in. */
const CODES = { hex: 'hex', rgb: 'rgb()', hsl: 'hsl()', oklch: 'oklch()' } as const;
/** All that can stand beside a swatch. */
const LABEL_CODES = {
  hex: 'hex',
  srgb: 'rgb',
  hsl: 'hsl',
  oklch: 'oklch',
  lab: 'lab',
  cmyk: 'CMYK, uncalibrated',
} as const;

const gradients = one(
  'Gradients',
  {
    alike: 'the same in every browser',
    mixed: 'as this browser renders them',
    fallback: 'as rendered here, with plain stops as a fallback',
  },
  'alike',
);
const schemeTheme = theme(
  'Theme for the other scheme',
  'the first that is as dark as the usual one is light',
);
const contrastTheme = theme('Theme for more contrast', 'none');

const swatchChoices = {
  of: one('Shows', { all: 'families and roles', families: 'families', roles: 'roles' }, 'all'),
  labels: one('Labels', { both: 'names and codes', names: 'names', codes: 'codes' }, 'both'),
  code: one('Codes', LABEL_CODES, 'hex'),
} as const;

const FORMS = {
  css: {
    roles: one('Roles', { linked: 'linked by var()', resolved: 'as colours' }, 'linked'),
    themes: one(
      'Themes',
      {
        attribute: 'by an attribute',
        class: 'by a class',
        scheme: 'by the system’s light or dark',
        both: 'by the system, an attribute wins',
        function: 'by light-dark()',
      },
      'attribute',
    ),
    other: schemeTheme,
    contrast: contrastTheme,
    code: one('Colours', CODES, 'hex'),
    gradients,
    prefix,
    typed: yes('Typed properties (@property)'),
    classes: yes('Classes for text, ground and line'),
    text: one(
      'Text',
      { comments: 'with comments', plain: 'without comments', small: 'minified' },
      'comments',
    ),
  },
  tokens: {
    file: one('File', { resolver: 'all themes, by the resolver format', theme: 'one theme' }, 'resolver'),
    theme: theme('Theme of a file with one', 'the first'),
  },
  scss: {
    shape: one('Shape', { both: 'maps and variables', maps: 'maps', variables: 'variables' }, 'both'),
    code: one('Colours', CODES, 'hex'),
    gradients,
    prefix,
  },
  tailwind: {
    themes: one(
      'Themes',
      {
        attribute: 'by an attribute',
        class: 'by a class',
        scheme: 'by the system’s light or dark',
        both: 'by the system, an attribute wins',
      },
      'attribute',
    ),
    other: schemeTheme,
    contrast: contrastTheme,
    code: one('Colours', CODES, 'hex'),
    gradients,
    only: yes('Only these colours (the framework’s own are taken out)'),
  },
  typescript: {
    code: one('Colours', CODES, 'hex'),
    gradients,
  },
  json: {},
  csv: {
    between: one('Between fields', { comma: 'comma', semicolon: 'semicolon', tab: 'tab' }, 'comma'),
  },
  hex: {
    code: one('Codes', LABEL_CODES, 'hex'),
  },
  page: {
    codes: one('Codes', { asked: 'on request', shown: 'shown', none: 'none' }, 'asked'),
    scenes: yes('Scenes', true),
    notes: yes('Notes for the client', true),
  },
  pdf: {
    paper: one('Paper', { a4: 'A4', letter: 'letter' }, 'a4'),
    codes: yes('Codes', true),
    notes: yes('Notes for the client', true),
  },
  svg: swatchChoices,
  png: swatchChoices,
  jpeg: swatchChoices,
  check: {},
  project: {},
} as const satisfies Readonly<Record<string, Readonly<Record<string, Choice>>>>;

export type FormId = keyof typeof FORMS;
export const FORM_IDS = Object.keys(FORMS) as FormId[];

type ValueOf<C> = C extends { readonly as: 'one'; readonly options: infer O }
  ? keyof O & string
  : C extends { readonly as: 'yes' }
    ? boolean
    : C extends { readonly as: 'theme' }
      ? string | null
      : string;

/** Everything that is chosen of a form. */
export type ChoicesOf<F extends FormId> = {
  readonly [K in keyof (typeof FORMS)[F]]: ValueOf<(typeof FORMS)[F][K]>;
};

/** What a choice comes to. */
export type ChosenValue = string | boolean | null;
/** Choices of forms that are not the usual ones. */
export type KeptChoices = Readonly<Partial<Record<FormId, Readonly<Record<string, ChosenValue>>>>>;

/** The choices of a form as whoever goes through them sees them. */
export const choicesIn = (form: FormId): Readonly<Record<string, Choice>> => FORMS[form];

/** Characters of the beginning of names. */
export const MOST_PREFIX = 24;
export const PREFIX_PATTERN = /^(?:[a-z](?:[a-z0-9]|-(?=[a-z0-9]))*)?$/;

/** Everything that is chosen of a form, the usual where nothing was. */
export function choicesOf<F extends FormId>(kept: KeptChoices, form: F): ChoicesOf<F> {
  const own: Readonly<Record<string, ChosenValue>> = kept[form] ?? {};
  return Object.fromEntries(
    Object.entries(choicesIn(form)).map(([key, { usual }]) => [key, own[key] ?? usual]),
  ) as unknown as ChoicesOf<F>;
}
