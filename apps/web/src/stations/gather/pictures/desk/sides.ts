import { type AreaSide, SIDES } from '@mint-lamp/core/document/pictures/picture';

export const SIDE_OPTIONS = SIDES.map((side) => ({
  value: String(side),
  label: side === 1 ? '1 px' : `${side} × ${side} px`,
}));

export const sideOf = (text: string): AreaSide => SIDES.find((side) => String(side) === text) ?? 1;

/** The next larger or smaller square, by the keys ] and [; null for other keys. */
export function sideByKey(side: AreaSide, key: string): AreaSide | null {
  const step = key === ']' ? 1 : key === '[' ? -1 : 0;
  return step ? (SIDES[SIDES.indexOf(side) + step] ?? side) : null;
}
