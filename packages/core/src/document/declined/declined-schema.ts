import { reasonSchema } from '../pairs/pair-schema.ts';
import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { id, index } from '../schema/parts.ts';
import type { DeclinedCommand } from './declined-commands.ts';
import type { DeclinedPair } from './declined-pair.ts';

export const declinedSchema = objectOf<DeclinedPair>({
  id,
  foreground: id,
  background: id,
  reason: reasonSchema,
});

export const declinedCommandSchemas: CommandSchemas<DeclinedCommand> = {
  declinePair: { declined: declinedSchema, index: optional(index) },
  reconsiderPair: { declined: id },
};
