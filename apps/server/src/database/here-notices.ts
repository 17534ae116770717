import type { Here } from '@mint-lamp/core/wire/presence';
import type { DataSource } from 'typeorm';

/** The channel on which every server process hears who is where in a project. */
export const HERE_CHANNEL = 'project_here';

/** Somebody in a project. It is kept nowhere: whoever is here says so again. */
export interface HereInProject {
  readonly project: string;
  readonly here: Here;
}

/** Tells every server process. */
export const tellHere = (source: DataSource, here: HereInProject): Promise<unknown> =>
  source.query('SELECT pg_notify($1, $2)', [HERE_CHANNEL, JSON.stringify(here)]);
