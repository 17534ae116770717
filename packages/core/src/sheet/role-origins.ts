import { MOST_ORIGIN } from '../document/roles/role.ts';
import type { SheetProperty } from './properties.ts';
import type { UsedColor } from './rule-uses.ts';
import type { SheetRole } from './sheet-roles.ts';

/** The file, and the line there, of a line of the sheet, both from 1. */
export type PlaceOf = (line: number) => { readonly name: string; readonly line: number };

const shortened = (text: string) => text.slice(0, MOST_ORIGIN);

/** A role with what it was in the sheet. */
export function withOrigin(
  role: SheetRole,
  properties: ReadonlyMap<string, SheetProperty>,
  uses: readonly UsedColor[],
  placeOf: PlaceOf,
): SheetRole {
  const property = properties.get(role.property)?.declaration;
  const used = property ? undefined : uses.find(({ key }) => key === role.property);
  const place = property ? placeOf(property.line) : used && { name: used.file, line: used.line };
  if (!place) return role;
  const origin = {
    property: shortened(role.property),
    value: shortened(property?.value ?? used!.color),
    file: shortened(place.name),
    line: Math.max(1, place.line),
  };
  return { ...role, origin };
}
