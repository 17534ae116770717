import type { QueryRunner } from 'typeorm';

/** A connection that is told of notices. */
export interface ListeningClient {
  on(event: 'notification', listener: (notice: { channel: string; payload?: string }) => void): void;
  on(event: 'error' | 'end', listener: () => void): void;
}

/** Has a connection told what is said on a channel of the database's own. */
export const listen = (runner: QueryRunner, channel: string): Promise<void> =>
  runner.query(`LISTEN ${channel}`);
export const unlisten = (runner: QueryRunner, channel: string): Promise<void> =>
  runner.query(`UNLISTEN ${channel}`);
