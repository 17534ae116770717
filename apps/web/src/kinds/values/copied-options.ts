import { COPIED_AS, type CopiedAs } from '@mint-lamp/core/document/delivery/delivery';

const NAMES: Readonly<Record<CopiedAs, string>> = {
  hex: 'hex',
  srgb: 'rgb()',
  hsl: 'hsl()',
  oklch: 'oklch()',
  oklab: 'oklab()',
  lch: 'lch()',
  lab: 'lab()',
  hwb: 'hwb()',
  property: 'custom property',
  name: 'name',
};

/** What single values can be copied as, to choose from. */
export const COPIED_OPTIONS = COPIED_AS.map((value) => ({ value, label: NAMES[value] }));
