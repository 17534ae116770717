import { type Access, mayDo } from '@mint-lamp/core/wire/access';
import { REMOVED_FOR_DAYS, type RemovedProject } from '@mint-lamp/core/wire/projects';
import { type DataSource, IsNull, LessThan, Not } from 'typeorm';
import { Project } from './entities.ts';
import { ACCESS_TO_P, OWNED_BY_THEIRS } from './people/door-store.ts';
import { rowsOf } from './people/queries.ts';

const DAY_MS = 24 * 60 * 60 * 1000;

/** A project that is there. */
export const there = (id: string) => ({ id, removedAt: IsNull() });
/** One that was removed, and can be had back. */
const removed = (id: string) => ({ id, removedAt: Not(IsNull()) });

/** Takes a project out of sight; false when it is not there. */
export async function removeForNow(source: DataSource, id: string): Promise<boolean> {
  // When it was last changed is no news of this.
  const { affected } = await source
    .createQueryBuilder()
    .update(Project)
    .set({ removedAt: new Date(), updatedAt: () => 'updated_at' })
    .where(there(id))
    .execute();
  return (affected ?? 0) > 0;
}

export interface RemovedProjects {
  /** Those that a person may have back, the latest first. */
  list(personId: string): Promise<RemovedProject[]>;
  /** False when it is not among those that were removed. */
  bringBack(id: string): Promise<boolean>;
  /** For good; false when it is not among those that were removed. */
  letGo(id: string): Promise<boolean>;
  /** Lets go of those whose time is over; resolves to how many. */
  letGoOfOld(): Promise<number>;
}

/** Projects that were removed: they stay for a while, out of sight, with all that they had. */
export function removedProjects(source: DataSource): RemovedProjects {
  const projects = source.getRepository(Project);
  return {
    async list(personId) {
      const rows = await rowsOf<{ id: string; name: string; removedAt: Date; access: Access | null }>(
        source,
        `SELECT p.id, p.name, p.removed_at AS "removedAt", ${ACCESS_TO_P} AS access
         FROM project p WHERE ${OWNED_BY_THEIRS} AND p.removed_at IS NOT NULL ORDER BY p.removed_at DESC, p.id`,
        [personId],
      );
      return rows
        .filter(({ access }) => mayDo(access, 'edit'))
        .map(({ id, name, removedAt, access }) => ({
          id,
          name,
          removedAt: removedAt.toISOString(),
          own: mayDo(access, 'own'),
        }));
    },

    async bringBack(id) {
      const { affected } = await source
        .createQueryBuilder()
        .update(Project)
        .set({ removedAt: null, updatedAt: () => 'updated_at' })
        .where(removed(id))
        .execute();
      return (affected ?? 0) > 0;
    },

    async letGo(id) {
      const { affected } = await projects.delete(removed(id));
      return (affected ?? 0) > 0;
    },

    async letGoOfOld() {
      const before = new Date(Date.now() - REMOVED_FOR_DAYS * DAY_MS);
      const { affected } = await projects.delete({ removedAt: LessThan(before) });
      return affected ?? 0;
    },
  };
}
