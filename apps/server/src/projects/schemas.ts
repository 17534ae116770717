import { commandSchema } from '@mint-lamp/core/system/commands/command-schema';
import { projectNameSchema } from '@mint-lamp/core/system/project/project-schema';
import Joi from 'joi';

const revision = Joi.number().integer().min(0).max(2_147_483_647).required();
const uuid = Joi.string().guid().required();

/** Commands in one request, at most. */
const MOST_COMMANDS = 500;

export const params = Joi.object({ id: uuid });
export const newsQuery = Joi.object({ after: revision });
export const createBody = Joi.object({ name: projectNameSchema.required() }).required();
export const commitBody = Joi.object({
  /** The last revision that the sender has seen. */
  revision,
  commands: Joi.array()
    .items(Joi.object({ id: uuid, command: commandSchema }))
    .max(MOST_COMMANDS)
    .required(),
}).required();
