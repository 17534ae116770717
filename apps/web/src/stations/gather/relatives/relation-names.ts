import type { Relation } from '@mint-lamp/core/harmony/relations';

/** What each relation is called, with a capital. */
export const RELATION_NAMES: Readonly<Record<Relation, string>> = {
  complementary: 'Complementary',
  'split-complementary': 'Split-complementary',
  analogous: 'Analogous',
  triadic: 'Triadic',
  tetradic: 'Tetradic',
  square: 'Square',
  facing: 'Two opposite groups',
  monochromatic: 'Monochromatic',
};
