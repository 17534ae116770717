import type { FormId, KeptChoices } from './forms.ts';

/** The kinds of things that can be left out of what is handed over. */
export const LEAVABLE = ['family', 'role', 'theme', 'gradient'] as const;
export type Leavable = (typeof LEAVABLE)[number];

/** Ids, in order, of what is not handed over, so that whatever comes later is; things that are gone may still be named. */
export type LeftOut = Readonly<Record<Leavable, readonly string[]>>;

/** Notations that single values are copied in. */
export const COPIED_AS = [
  'hex',
  'srgb',
  'hsl',
  'oklch',
  'oklab',
  'lch',
  'lab',
  'hwb',
  'property',
  'name',
] as const;
export type CopiedAs = (typeof COPIED_AS)[number];

/** What is chosen at Deliver: what is left out, the choices of each form, what goes into a package, how values are copied. */
export interface Delivery {
  readonly leftOut: LeftOut;
  readonly choices: KeptChoices;
  /** The forms of which a package is made, each once. */
  readonly pack: readonly FormId[];
  readonly copied: CopiedAs;
}

const USUAL_PACK: readonly FormId[] = ['css', 'tokens', 'page'];

export const USUAL_DELIVERY: Delivery = {
  leftOut: { family: [], role: [], theme: [], gradient: [] },
  choices: {},
  pack: USUAL_PACK,
  copied: 'hex',
};

/** Ids that can be left out of each kind: more than a project holds, since some may be gone. */
export const MOST_LEFT_OUT = 4000;
