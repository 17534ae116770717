import { randomUUID } from 'node:crypto';
import type { Access, ExceptionAccess } from '@mint-lamp/core/wire/access';
import type { ListedTeam, Member, OnProject, PeopleOnProject, Person } from '@mint-lamp/core/wire/people';
import type { DataSource, EntityManager } from 'typeorm';
import { lockInTransaction } from '../advisory-lock.ts';
import { tellAccess } from './access-notices.ts';
import { ACCESS_TO_P } from './door-store.ts';
import { changedBy, rowsOf } from './queries.ts';

/** Why a team, or who is in it, stays as it is. */
export type TeamFault = 'not there' | 'last owner' | 'has projects';

export interface TeamStore {
  list(person: string): Promise<ListedTeam[]>;
  make(person: string, name: string): Promise<string>;
  nameOf(team: string): Promise<string>;
  rename(team: string, name: string): Promise<void>;
  members(team: string): Promise<Member[]>;
  setAccess(team: string, person: string, access: Access): Promise<TeamFault | null>;
  /** Removes somebody, or oneself; what they made stays. */
  removeMember(team: string, person: string): Promise<TeamFault | null>;
  /** Only of a team that has no projects any more, those that were removed included. */
  remove(team: string): Promise<TeamFault | null>;
  /** Gives a project to a team or a person, with all that it has; what was otherwise on it for some ends with that. */
  give(project: string, owner: string): Promise<void>;
  /** False when the person is not in the project's team, or owns it. */
  except(project: string, person: string, access: ExceptionAccess | null): Promise<boolean>;
  onProject(project: string): Promise<PeopleOnProject>;
}

/** Who is in a team is changed one at a time, so that its last owner cannot go twice at once. */
export const lockTeam = (manager: EntityManager, team: string): Promise<void> =>
  lockInTransaction(manager, `team ${team}`, 'alone');

/** Puts somebody into a team, in a transaction; one who is in it already keeps the more that they may. */
export async function join(
  manager: EntityManager,
  team: string,
  person: string,
  access: Access,
): Promise<void> {
  await lockTeam(manager, team);
  await manager.query(
    `INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, $3)
     ON CONFLICT (team_id, person_id) DO UPDATE SET access = excluded.access
     WHERE array_position(ARRAY['owner', 'editor', 'noter', 'looker'], excluded.access)
       < array_position(ARRAY['owner', 'editor', 'noter', 'looker'], membership.access)`,
    [team, person, access],
  );
  await tellAccess(manager, { person });
}

/** Teams in PostgreSQL. */
export function teamStore(source: DataSource): TeamStore {
  /** Does something to somebody in a team, unless it would leave the team without an owner. */
  const unlessLastOwner = (
    team: string,
    person: string,
    stays: boolean,
    change: (manager: EntityManager) => Promise<unknown>,
  ) =>
    source.transaction(async (manager): Promise<TeamFault | null> => {
      await lockTeam(manager, team);
      const rows = await rowsOf<{ person: string; access: Access }>(
        manager,
        'SELECT person_id AS person, access FROM membership WHERE team_id = $1',
        [team],
      );
      if (!rows.some((row) => row.person === person)) return 'not there';
      const owners = rows.filter(({ access }) => access === 'owner');
      if (!stays && owners.length === 1 && owners[0]!.person === person) return 'last owner';
      await change(manager);
      await tellAccess(manager, { person });
      return null;
    });

  return {
    list: (person) =>
      rowsOf<ListedTeam>(
        source,
        `SELECT o.id, o.name, m.access,
           (SELECT count(*)::int FROM membership n WHERE n.team_id = o.id) AS people,
           (SELECT count(*)::int FROM project p WHERE p.owner_id = o.id AND p.removed_at IS NULL
             AND ${ACCESS_TO_P} IS NOT NULL) AS projects
         FROM membership m JOIN owner o ON o.id = m.team_id
         WHERE m.person_id = $1 ORDER BY lower(o.name), o.id`,
        [person],
      ),

    make: (person, name) =>
      source.transaction(async (manager) => {
        const id = randomUUID();
        await manager.query(`INSERT INTO owner (id, name, kind) VALUES ($1, $2, 'team')`, [id, name]);
        await join(manager, id, person, 'owner');
        return id;
      }),

    async nameOf(team) {
      const [row] = await rowsOf<{ name: string }>(source, 'SELECT name FROM owner WHERE id = $1', [team]);
      return row?.name ?? '';
    },

    async rename(team, name) {
      await changedBy(source, 'UPDATE owner SET name = $2 WHERE id = $1', [team, name]);
    },

    members: (team) =>
      rowsOf<Member>(
        source,
        `SELECT o.id, o.name, coalesce(p.email, '') AS email, m.access
         FROM membership m JOIN owner o ON o.id = m.person_id LEFT JOIN person p ON p.id = o.id
         WHERE m.team_id = $1
         ORDER BY array_position(ARRAY['owner', 'editor', 'noter', 'looker'], m.access), lower(o.name), o.id`,
        [team],
      ),

    setAccess: (team, person, access) =>
      unlessLastOwner(team, person, access === 'owner', (manager) =>
        changedBy(manager, 'UPDATE membership SET access = $3 WHERE team_id = $1 AND person_id = $2', [
          team,
          person,
          access,
        ]),
      ),

    removeMember: (team, person) =>
      unlessLastOwner(team, person, false, async (manager) => {
        await changedBy(manager, 'DELETE FROM membership WHERE team_id = $1 AND person_id = $2', [
          team,
          person,
        ]);
        // Coming back, one is what one is invited as.
        await changedBy(
          manager,
          `DELETE FROM project_exception e USING project p
           WHERE p.id = e.project_id AND p.owner_id = $1 AND e.person_id = $2`,
          [team, person],
        );
      }),

    remove: (team) =>
      source.transaction(async (manager): Promise<TeamFault | null> => {
        await lockTeam(manager, team);
        // A project that is being given to it holds this row.
        await manager.query('SELECT 1 FROM owner WHERE id = $1 FOR UPDATE', [team]);
        if ((await rowsOf(manager, 'SELECT 1 FROM project WHERE owner_id = $1 LIMIT 1', [team])).length)
          return 'has projects';
        await tellAccess(manager, { team });
        await changedBy(manager, 'DELETE FROM owner WHERE id = $1', [team]);
        return null;
      }),

    give: (project, owner) =>
      source.transaction(async (manager) => {
        await changedBy(manager, 'UPDATE project SET owner_id = $2 WHERE id = $1', [project, owner]);
        await changedBy(manager, 'DELETE FROM project_exception WHERE project_id = $1', [project]);
        await tellAccess(manager, { project });
      }),

    async except(project, person, access) {
      const inTeam = `
        SELECT 1 FROM project p JOIN membership m ON m.team_id = p.owner_id
        WHERE p.id = $1 AND m.person_id = $2 AND m.access <> 'owner'`;
      const given =
        access === null
          ? await changedBy(
              source,
              `DELETE FROM project_exception WHERE project_id = $1 AND person_id = $2 AND EXISTS (${inTeam})`,
              [project, person],
            ).then(async (count) => count > 0 || (await rowsOf(source, inTeam, [project, person])).length > 0)
          : (
              await rowsOf(
                source,
                `INSERT INTO project_exception (project_id, person_id, access)
                 SELECT $1, $2, $3 WHERE EXISTS (${inTeam})
                 ON CONFLICT (project_id, person_id) DO UPDATE SET access = excluded.access RETURNING 1`,
                [project, person, access],
              )
            ).length > 0;
      if (given) await tellAccess(source, { project });
      return given;
    },

    async onProject(project) {
      const [owner] = await rowsOf<Person & { kind: string }>(
        source,
        'SELECT o.id, o.name, o.kind FROM project p JOIN owner o ON o.id = p.owner_id WHERE p.id = $1',
        [project],
      );
      const people = await rowsOf<OnProject>(
        source,
        `WITH may AS (
           SELECT m.person_id AS id, m.access AS in_team,
             CASE WHEN m.access = 'owner' THEN NULL ELSE e.access END AS exception
           FROM project p JOIN membership m ON m.team_id = p.owner_id
           LEFT JOIN project_exception e ON e.project_id = p.id AND e.person_id = m.person_id
           WHERE p.id = $1
           UNION ALL
           SELECT p.owner_id, 'owner', NULL FROM project p JOIN owner o ON o.id = p.owner_id
           WHERE p.id = $1 AND o.kind = 'person'
         ), wrote AS (
           SELECT DISTINCT author_id AS id FROM log_entry WHERE project_id = $1
           UNION SELECT author_id FROM checkpoint WHERE project_id = $1
           UNION SELECT author_id FROM hand_over WHERE project_id = $1
         )
         SELECT o.id, o.name, may.exception, may.in_team AS "inTeam",
           nullif(CASE WHEN may.exception IS NOT NULL THEN may.exception ELSE may.in_team END, 'none') AS access
         FROM (SELECT id FROM may UNION SELECT id FROM wrote WHERE id IS NOT NULL) AS one
         JOIN owner o ON o.id = one.id LEFT JOIN may ON may.id = one.id
         ORDER BY array_position(ARRAY['owner', 'editor', 'noter', 'looker'], may.in_team) NULLS LAST,
           lower(o.name), o.id`,
        [project],
      );
      return { team: owner?.kind === 'team' ? { id: owner.id, name: owner.name } : null, people };
    },
  };
}
