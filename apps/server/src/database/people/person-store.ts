import { randomUUID } from 'node:crypto';
import type { Access } from '@mint-lamp/core/wire/access';
import type { Account, ServerPerson } from '@mint-lamp/core/wire/people';
import type { DataSource, EntityManager } from 'typeorm';
import { lockInTransaction } from '../advisory-lock.ts';
import { tellAccess } from './access-notices.ts';
import { changedBy, rowsOf } from './queries.ts';
import { endAll } from './session-store.ts';
import { lockTeam } from './team-store.ts';

/** What a sign-in is held against. */
export interface Credentials {
  readonly id: string;
  readonly passphrase: string;
  /** The second factor's secret, encrypted; null where there is none in use. */
  readonly factor: Buffer | null;
}

interface NewPerson {
  readonly email: string;
  readonly name: string;
  /** Hashed. */
  readonly passphrase: string;
  readonly administrator: boolean;
}

/** Why an account was not deleted. */
type LeaveFault = 'last administrator' | { readonly lastOwnerOf: string };

export interface PersonStore {
  credentials(email: string): Promise<Credentials | null>;
  credentialsOf(id: string): Promise<Credentials | null>;
  account(id: string): Promise<Account>;
  /** Null when the e-mail address is somebody's. */
  make(manager: EntityManager, person: NewPerson): Promise<string | null>;
  rename(id: string, name: string): Promise<void>;
  setPassphrase(id: string, hash: string): Promise<void>;
  /** A secret that is not in use yet, encrypted. */
  beginFactor(id: string, factor: Buffer): Promise<void>;
  /** The secret that is not in use yet. */
  begunFactor(id: string): Promise<Buffer | null>;
  /** Puts it to use, with the hashes of its recovery codes. */
  useFactor(id: string, step: number, codes: readonly Buffer[]): Promise<void>;
  setRecoveryCodes(id: string, codes: readonly Buffer[]): Promise<void>;
  dropFactor(id: string): Promise<void>;
  /** True once for each step of time, and only for later ones than before: no code counts twice. */
  spendStep(id: string, step: number): Promise<boolean>;
  /** True once for each code. */
  spendRecoveryCode(id: string, code: Buffer): Promise<boolean>;
  listAll(): Promise<ServerPerson[]>;
  /** False where it would leave nobody who looks after the server; null when there is no such person. */
  setAdministrator(id: string, on: boolean): Promise<boolean | null>;
  anybody(): Promise<boolean>;
  /** Deletes an account for good, with the projects that are the person's own. */
  leave(id: string): Promise<LeaveFault | null>;
}

const PERSON_COLUMNS =
  'p.id, p.passphrase, CASE WHEN p.factor_since IS NULL THEN NULL ELSE p.factor END AS factor';

interface AccountRow {
  id: string;
  name: string;
  email: string;
  administrator: boolean;
  factorSince: Date | null;
  recoveryCodes: number;
}

/** People in PostgreSQL. */
export function personStore(source: DataSource): PersonStore {
  const setCodes = async (manager: EntityManager, id: string, codes: readonly Buffer[]) => {
    await changedBy(manager, 'DELETE FROM recovery_code WHERE person_id = $1', [id]);
    for (const code of codes)
      await manager.query('INSERT INTO recovery_code (person_id, code) VALUES ($1, $2)', [id, code]);
  };
  /** Those who look after the server are changed one at a time. */
  const lastAdministrator = async (manager: EntityManager, id: string) => {
    await lockInTransaction(manager, 'administrators', 'alone');
    const rows = await rowsOf<{ id: string }>(manager, 'SELECT id FROM person WHERE administrator');
    return rows.length === 1 && rows[0]!.id === id;
  };

  return {
    async credentials(email) {
      const [row] = await rowsOf<Credentials>(
        source,
        `SELECT ${PERSON_COLUMNS} FROM person p WHERE p.email = $1`,
        [email],
      );
      return row ?? null;
    },

    async credentialsOf(id) {
      const [row] = await rowsOf<Credentials>(
        source,
        `SELECT ${PERSON_COLUMNS} FROM person p WHERE p.id = $1`,
        [id],
      );
      return row ?? null;
    },

    async account(id) {
      const [row] = await rowsOf<AccountRow>(
        source,
        `SELECT o.id, o.name, p.email, p.administrator, p.factor_since AS "factorSince",
           (SELECT count(*)::int FROM recovery_code c WHERE c.person_id = p.id) AS "recoveryCodes"
         FROM person p JOIN owner o ON o.id = p.id WHERE p.id = $1`,
        [id],
      );
      return { ...row!, factorSince: row!.factorSince?.toISOString() ?? null };
    },

    async make(manager, { email, name, passphrase, administrator }) {
      const id = randomUUID();
      await manager.query(`INSERT INTO owner (id, name) VALUES ($1, $2)`, [id, name]);
      const made = await rowsOf(
        manager,
        `INSERT INTO person (id, email, passphrase, administrator) VALUES ($1, $2, $3, $4)
         ON CONFLICT (email) DO NOTHING RETURNING id`,
        [id, email, passphrase, administrator],
      );
      if (made.length) return id;
      await changedBy(manager, 'DELETE FROM owner WHERE id = $1', [id]);
      return null;
    },

    async rename(id, name) {
      await changedBy(source, 'UPDATE owner SET name = $2 WHERE id = $1', [id, name]);
    },

    async setPassphrase(id, hash) {
      await changedBy(source, 'UPDATE person SET passphrase = $2 WHERE id = $1', [id, hash]);
      // Addresses that were sent for setting another lead nowhere from now on.
      await changedBy(source, 'DELETE FROM reset_link WHERE person_id = $1', [id]);
    },

    async beginFactor(id, factor) {
      await changedBy(source, 'UPDATE person SET factor = $2 WHERE id = $1 AND factor_since IS NULL', [
        id,
        factor,
      ]);
    },

    async begunFactor(id) {
      const [row] = await rowsOf<{ factor: Buffer | null }>(
        source,
        'SELECT factor FROM person WHERE id = $1 AND factor_since IS NULL',
        [id],
      );
      return row?.factor ?? null;
    },

    useFactor: (id, step, codes) =>
      source.transaction(async (manager) => {
        await changedBy(
          manager,
          'UPDATE person SET factor_since = now(), factor_step = $2 WHERE id = $1 AND factor_since IS NULL',
          [id, step],
        );
        await setCodes(manager, id, codes);
      }),

    setRecoveryCodes: (id, codes) => source.transaction((manager) => setCodes(manager, id, codes)),

    dropFactor: (id) =>
      source.transaction(async (manager) => {
        await changedBy(manager, 'UPDATE person SET factor = NULL, factor_since = NULL WHERE id = $1', [id]);
        await setCodes(manager, id, []);
      }),

    spendStep: async (id, step) =>
      (await changedBy(source, 'UPDATE person SET factor_step = $2 WHERE id = $1 AND factor_step < $2', [
        id,
        step,
      ])) > 0,

    spendRecoveryCode: async (id, code) =>
      (await changedBy(source, 'DELETE FROM recovery_code WHERE person_id = $1 AND code = $2', [id, code])) >
      0,

    async listAll() {
      const rows = await rowsOf<
        Omit<ServerPerson, 'since' | 'seenAt'> & { since: Date; seenAt: Date | null }
      >(
        source,
        `SELECT o.id, o.name, p.email, p.administrator, p.created_at AS since,
           (SELECT max(s.seen_at) FROM session s WHERE s.person_id = p.id) AS "seenAt",
           (SELECT count(*)::int FROM membership m WHERE m.person_id = p.id) AS teams,
           (SELECT count(*)::int FROM project j WHERE j.owner_id = p.id AND j.removed_at IS NULL) AS projects
         FROM person p JOIN owner o ON o.id = p.id ORDER BY lower(o.name), o.id`,
      );
      return rows.map((row) => ({
        ...row,
        since: row.since.toISOString(),
        seenAt: row.seenAt?.toISOString() ?? null,
      }));
    },

    setAdministrator: (id, on) =>
      source.transaction(async (manager) => {
        if (!on && (await lastAdministrator(manager, id))) return false;
        const changed = await changedBy(manager, 'UPDATE person SET administrator = $2 WHERE id = $1', [
          id,
          on,
        ]);
        if (!changed) return null;
        await tellAccess(manager, { person: id });
        return true;
      }),

    async anybody() {
      return (await rowsOf(source, 'SELECT 1 FROM person LIMIT 1')).length > 0;
    },

    leave: (id) =>
      source.transaction(async (manager): Promise<LeaveFault | null> => {
        if (await lastAdministrator(manager, id)) {
          const [others] = await rowsOf<{ count: number }>(
            manager,
            'SELECT count(*)::int AS count FROM person WHERE id <> $1',
            [id],
          );
          if (others!.count) return 'last administrator';
        }
        const teams = await rowsOf<{ id: string; name: string; access: Access }>(
          manager,
          `SELECT o.id, o.name, m.access FROM membership m JOIN owner o ON o.id = m.team_id
           WHERE m.person_id = $1 ORDER BY o.id`,
          [id],
        );
        const alone: string[] = [];
        for (const team of teams) {
          await lockTeam(manager, team.id);
          const others = await rowsOf<{ access: Access }>(
            manager,
            'SELECT access FROM membership WHERE team_id = $1 AND person_id <> $2',
            [team.id, id],
          );
          if (!others.length) alone.push(team.id);
          else if (team.access === 'owner' && !others.some(({ access }) => access === 'owner'))
            return { lastOwnerOf: team.name };
        }
        // A team of nobody else goes with whom it was.
        await changedBy(manager, 'DELETE FROM project WHERE owner_id = ANY ($1)', [[...alone, id]]);
        await changedBy(manager, 'DELETE FROM owner WHERE id = ANY ($1)', [alone]);
        await changedBy(
          manager,
          `UPDATE shelf_set SET favoured = favoured - 1
           WHERE id IN (SELECT set_id FROM shelf_favour WHERE owner_id = $1)`,
          [id],
        );
        await changedBy(manager, 'DELETE FROM shelf_set WHERE owner_id = $1 AND team_id IS NULL', [id]);
        await endAll(manager, id);
        await changedBy(
          manager,
          'DELETE FROM letter WHERE recipient = (SELECT email FROM person WHERE id = $1)',
          [id],
        );
        await changedBy(manager, 'DELETE FROM owner WHERE id = $1', [id]);
        return null;
      }),
  };
}
