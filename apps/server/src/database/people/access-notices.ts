import type { DataSource, EntityManager } from 'typeorm';

/** The channel on which every server process hears that somebody may do otherwise than before. */
export const ACCESS_CHANNEL = 'access_changed';

/** Whose, or of which project or team: whoever holds something open looks again whether they may. */
export interface AccessChanged {
  readonly person?: string;
  readonly project?: string;
  readonly team?: string;
}

/** Tells every server process; in a transaction, when it commits. */
export const tellAccess = (on: DataSource | EntityManager, changed: AccessChanged): Promise<void> =>
  on.query('SELECT pg_notify($1, $2)', [ACCESS_CHANNEL, JSON.stringify(changed)]);
