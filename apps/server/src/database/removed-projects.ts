import { REMOVED_FOR_DAYS, type RemovedProject } from '@mint-lamp/core/wire/projects';
import { type DataSource, IsNull, LessThan, Not } from 'typeorm';
import { Project } from './entities.ts';

const DAY_MS = 24 * 60 * 60 * 1000;

/** A project that is there and somebody's. */
export const there = (id: string, ownerId: string) => ({ id, ownerId, removedAt: IsNull() });
/** One that was removed, and can be had back. */
const removed = (id: string, ownerId: string) => ({ id, ownerId, removedAt: Not(IsNull()) });

/** Takes a project out of sight; false when it is not there. */
export async function removeForNow(source: DataSource, ownerId: string, id: string): Promise<boolean> {
  // When it was last changed is no news of this.
  const { affected } = await source
    .createQueryBuilder()
    .update(Project)
    .set({ removedAt: new Date(), updatedAt: () => 'updated_at' })
    .where(there(id, ownerId))
    .execute();
  return (affected ?? 0) > 0;
}

export interface RemovedProjects {
  /** The latest first. */
  list(ownerId: string): Promise<RemovedProject[]>;
  /** False when it is not among those that were removed. */
  bringBack(ownerId: string, id: string): Promise<boolean>;
  /** For good; false when it is not among those that were removed. */
  letGo(ownerId: string, id: string): Promise<boolean>;
  /** Lets go of those whose time is over; resolves to how many. */
  letGoOfOld(): Promise<number>;
}

/** Projects that were removed: they stay for a while, out of sight, with all that they had. */
export function removedProjects(source: DataSource): RemovedProjects {
  const projects = source.getRepository(Project);
  return {
    async list(ownerId) {
      const rows = await projects.find({
        where: { ownerId, removedAt: Not(IsNull()) },
        order: { removedAt: 'DESC', id: 'ASC' },
      });
      return rows.map(({ id, name, removedAt }) => ({ id, name, removedAt: removedAt!.toISOString() }));
    },

    async bringBack(ownerId, id) {
      const { affected } = await source
        .createQueryBuilder()
        .update(Project)
        .set({ removedAt: null, updatedAt: () => 'updated_at' })
        .where(removed(id, ownerId))
        .execute();
      return (affected ?? 0) > 0;
    },

    async letGo(ownerId, id) {
      const { affected } = await projects.delete(removed(id, ownerId));
      return (affected ?? 0) > 0;
    },

    async letGoOfOld() {
      const before = new Date(Date.now() - REMOVED_FOR_DAYS * DAY_MS);
      const { affected } = await projects.delete({ removedAt: LessThan(before) });
      return affected ?? 0;
    },
  };
}
