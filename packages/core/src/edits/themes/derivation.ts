/** How a theme is derived: a dark one, a light one, or one for glaring light, with as much contrast as there is. */
export const DERIVATIONS = ['down', 'up', 'glare'] as const;
export type Derivation = (typeof DERIVATIONS)[number];
