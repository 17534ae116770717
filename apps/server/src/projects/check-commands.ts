import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import { batchFrameSchema, simpleCommandSchema } from '@mint-lamp/core/document/commands/command-schema';
import { MOST_IN_REQUEST, type SentCommand } from '@mint-lamp/core/wire/projects';
import type { FastifyRequest } from 'fastify';
import type Joi from 'joi';
import { ApiError } from '../errors.ts';
import { Turns } from '../turns.ts';
import { faultIn } from '../validation.ts';

/** Refuses more commands in one request than can be worked off without holding up others; before they are looked at. */
export async function boundWork({ body }: FastifyRequest): Promise<void> {
  const { commands } = (body ?? {}) as { commands?: unknown };
  if (!Array.isArray(commands)) return;
  const sizeOf = (sent: unknown) => {
    const inner = (sent as { command?: { commands?: unknown } } | null)?.command?.commands;
    return Array.isArray(inner) ? inner.length : 1;
  };
  if (commands.reduce((sum: number, sent) => sum + sizeOf(sent), 0) > MOST_IN_REQUEST)
    throw new ApiError(
      'TOO_LARGE',
      `A request holds at most ${MOST_IN_REQUEST} commands, those in batches counted; send them in parts.`,
      'body.commands',
    );
}

function checked<T>(schema: Joi.Schema, value: unknown, path: readonly (string | number)[]): T {
  const { value: right, error } = schema.validate(value, { convert: false });
  if (error) throw faultIn(error, path);
  return right as T;
}

/** Checks commands one by one, those in batches too, and brings their colours into their one spelling. */
export async function checkCommands(request: FastifyRequest): Promise<void> {
  const body = request.body as { commands: SentCommand[] };
  const turns = new Turns();
  const commands: SentCommand[] = [];
  for (const [i, { id, command }] of body.commands.entries()) {
    const at = ['body', 'commands', i, 'command'];
    await turns.yieldTurn();
    if (command.type !== 'batch') {
      commands.push({ id, command: checked(simpleCommandSchema, command, at) });
      continue;
    }
    const frame = checked<typeof command>(batchFrameSchema, command, at);
    const inner: SimpleCommand[] = [];
    for (const [j, one] of frame.commands.entries()) {
      await turns.yieldTurn();
      inner.push(checked(simpleCommandSchema, one, [...at, 'commands', j]));
    }
    commands.push({ id, command: { ...frame, commands: inner } });
  }
  body.commands = commands;
}
