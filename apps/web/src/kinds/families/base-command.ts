import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { Family } from '@mint-lamp/core/document/families/family';
import { baseChange } from '@mint-lamp/core/system/families/following-base';
import type { Families } from '@mint-lamp/core/system/families/resolved-family';

/**
 * The command that makes a colour the base of a family, as far as what it follows allows, or of its lightness only; null for one that lies
 * between two others and has no base of its own.
 */
export function baseCommand(
  family: Family,
  color: string,
  families: Families,
  only?: 'lightness',
): Command | null {
  const opaque = canonical({ ...readColor(color), alpha: 1 });
  const change = baseChange(family, opaque, (id) => families.get(id)?.base.color ?? null, only);
  if (!change.ok) return null;
  const commands: SimpleCommand[] = [];
  if (change.base !== undefined) commands.push({ type: 'setBase', family: family.id, color: change.base });
  if (change.follows) commands.push({ type: 'setFollows', family: family.id, follows: change.follows });
  return commands.length === 1
    ? commands[0]!
    : { type: 'batch', label: `change the base of ${family.name}`, commands };
}

/** Why a base cannot be given a colour. */
export const lyingBetween = ({ name }: Family): string =>
  `${name} lies between two families and has no base of its own: cut it first, or change its share.`;
