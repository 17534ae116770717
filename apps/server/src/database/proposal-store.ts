import { randomUUID } from 'node:crypto';
import { MOST_PROPOSALS, type Proposal, type ProposalState } from '@mint-lamp/core/wire/shares';
import type { DataSource } from 'typeorm';
import { changedBy, rowsOf } from './people/queries.ts';

type Arrived = Omit<Proposal, 'id' | 'at' | 'state'>;

export interface ProposalStore {
  /** The newest first. */
  list(projectId: string): Promise<Proposal[]>;
  /** False where the project has as many as it may. */
  keep(projectId: string, proposal: Arrived): Promise<boolean>;
  setState(projectId: string, id: string, state: ProposalState): Promise<boolean>;
  remove(projectId: string, id: string): Promise<boolean>;
}

type Row = Omit<Proposal, 'at'> & { readonly at: Date };

/** What came back by shares, in PostgreSQL. It stays when its share goes. */
export function proposalStore(source: DataSource): ProposalStore {
  return {
    async list(projectId) {
      const rows = await rowsOf<Row>(
        source,
        `SELECT id, share, by, words, revision, parts, state, at FROM proposal
         WHERE project_id = $1 ORDER BY at DESC, id`,
        [projectId],
      );
      return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
    },

    async keep(projectId, { share, by, words, revision, parts }) {
      const rows = await rowsOf(
        source,
        `INSERT INTO proposal (id, project_id, share, by, words, revision, parts)
         SELECT $1, $2, $3, $4, $5, $6, $7
         WHERE (SELECT count(*) FROM proposal WHERE project_id = $2) < ${MOST_PROPOSALS} RETURNING id`,
        [randomUUID(), projectId, share, by, words, revision, JSON.stringify(parts)],
      );
      return rows.length > 0;
    },

    async setState(projectId, id, state) {
      const count = await changedBy(
        source,
        'UPDATE proposal SET state = $3 WHERE id = $1 AND project_id = $2',
        [id, projectId, state],
      );
      return count > 0;
    },

    async remove(projectId, id) {
      const count = await changedBy(source, 'DELETE FROM proposal WHERE id = $1 AND project_id = $2', [
        id,
        projectId,
      ]);
      return count > 0;
    },
  };
}
