/** What a gradient is tried as. */
export type Purpose = 'hero' | 'button' | 'text' | 'card' | 'page' | 'ring' | 'box';

export const PURPOSES: readonly { readonly value: Purpose; readonly label: string }[] = [
  { value: 'hero', label: 'a hero' },
  { value: 'button', label: 'a button' },
  { value: 'text', label: 'a text' },
  { value: 'card', label: 'a card' },
  { value: 'page', label: 'a whole page' },
  { value: 'ring', label: 'a progress ring' },
  { value: 'box', label: 'a box of any size' },
];

/** Px of a box that is asked for. */
export interface BoxSize {
  readonly width: number;
  readonly height: number;
}

/** Px that each is painted in, where that is not as wide as there is room. */
export const SIZES: Readonly<
  Record<Exclude<Purpose, 'box'>, { readonly width?: number; readonly height: number }>
> = {
  hero: { height: 172 },
  button: { width: 240, height: 60 },
  text: { height: 120 },
  card: { width: 340, height: 180 },
  page: { height: 200 },
  ring: { width: 180, height: 180 },
};
