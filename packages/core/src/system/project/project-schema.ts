import type { CommandSchemas } from '../schema/keys.ts';
import { id, name } from '../schema/parts.ts';
import type { ProjectCommand } from './project-commands.ts';

export const projectNameSchema = name;

/** The role beneath everything, or white. */
export const groundSchema = id.allow(null);

export const projectCommandSchemas: CommandSchemas<ProjectCommand> = {
  renameProject: { name: projectNameSchema },
  setGround: { role: groundSchema },
};
