import type { KindSchemas } from '../kind.ts';
import { MOST_REASON } from '../limits.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import type { DeclinedCommand } from './declined-commands.ts';
import { type DeclinedPair, MOST_DECLINED } from './declined-pair.ts';

export function declinedSchemas(
  parts: SchemaParts,
): KindSchemas<{ declined: readonly DeclinedPair[] }, DeclinedCommand> {
  const { objectOf, optional, id, index, text } = parts;
  const reasonSchema = text(MOST_REASON);
  const declinedSchema = objectOf<DeclinedPair>({
    id,
    foreground: id,
    background: id,
    reason: reasonSchema,
  });

  const declinedCommandSchemas: CommandSchemas<DeclinedCommand> = {
    declinePair: { declined: declinedSchema, index: optional(index) },
    reconsiderPair: { declined: id },
  };

  return {
    parts: { declined: parts.listOf(declinedSchema, MOST_DECLINED) },
    commands: declinedCommandSchemas,
  };
}
