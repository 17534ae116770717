import { name as projectName } from '@mint-lamp/core/document/schema/parts';
import Joi from 'joi';

export const revision = Joi.number().integer().min(0).max(2_147_483_647).required();
/** An id in its one spelling, with dashes; letters of either case are the same, and are made small. */
export const uuid = Joi.string()
  .pattern(/^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i, 'id with dashes')
  .custom((value: string) => value.toLowerCase())
  .required();

/** Commands in one request, at most, batches counted as one. */
const MOST_COMMANDS = 500;

export const params = Joi.object({ id: uuid });
export const ofRevision = Joi.object({ id: uuid, revision });
export const newsQuery = Joi.object({ after: revision });
export const createBody = Joi.object({ name: projectName.required() }).required();
/** The frame of what is sent; the commands themselves are checked one by one (`check-commands.ts`). */
export const commitBody = Joi.object({
  /** The last revision that the sender has seen. */
  revision,
  commands: Joi.array()
    .items(Joi.object({ id: uuid, command: Joi.object().required() }))
    .max(MOST_COMMANDS)
    .required(),
}).required();
