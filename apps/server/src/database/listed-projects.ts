import { randomUUID } from 'node:crypto';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { EMPTY_PREVIEW, previewOf } from '@mint-lamp/core/system/preview';
import type { Access } from '@mint-lamp/core/wire/access';
import type { ListedProject, LoadedProject } from '@mint-lamp/core/wire/projects';
import { type DataSource, In, IsNull } from 'typeorm';
import { documentAt } from './documents.ts';
import { Project, type ProjectRow, Snapshot } from './entities.ts';
import type { KnownDocuments } from './known-documents.ts';
import { ACCESS_TO_P, OWNED_BY_THEIRS } from './people/door-store.ts';
import { rowsOf } from './people/queries.ts';

/** Works out the previews that an update has left to be made. */
async function withPreview(source: DataSource, memory: KnownDocuments, row: ProjectRow): Promise<ProjectRow> {
  if (row.preview || row.version > DOCUMENT_VERSION) return row;
  const { document } = await documentAt(source.manager, row, memory);
  const preview = previewOf(document);
  // When it was last changed is no news of this.
  await source
    .createQueryBuilder()
    .update(Project)
    .set({ preview, updatedAt: () => 'updated_at' })
    .where({ id: row.id, revision: row.revision })
    .execute();
  return { ...row, preview };
}

/** The projects that a person may look at, the last changed first. */
export async function listProjects(
  source: DataSource,
  memory: KnownDocuments,
  personId: string,
): Promise<ListedProject[]> {
  const seen = await rowsOf<{ id: string; access: Access | null; team: string | null; teamName: string }>(
    source,
    `SELECT p.id, ${ACCESS_TO_P} AS access, CASE WHEN o.kind = 'team' THEN o.id END AS team, o.name AS "teamName"
     FROM project p JOIN owner o ON o.id = p.owner_id WHERE ${OWNED_BY_THEIRS} AND p.removed_at IS NULL`,
    [personId],
  );
  const may = new Map(seen.filter(({ access }) => access).map((one) => [one.id, one]));
  const rows = await source.getRepository(Project).find({
    where: { id: In([...may.keys()]), removedAt: IsNull() },
    order: { updatedAt: 'DESC', id: 'ASC' },
  });
  const listed: ListedProject[] = [];
  for (const row of rows) {
    const { id, name, revision, updatedAt, preview } = await withPreview(source, memory, row);
    const { access, team, teamName } = may.get(id)!;
    listed.push({
      id,
      name,
      revision,
      updatedAt: updatedAt.toISOString(),
      preview: preview ?? EMPTY_PREVIEW,
      access: access!,
      team: team === null ? null : { id: team, name: teamName },
    });
  }
  return listed;
}

/** A new project with a document at revision 0. */
export const createProject = (
  source: DataSource,
  ownerId: string,
  document: ProjectDocument,
  id: string = randomUUID(),
): Promise<Omit<LoadedProject, 'access'>> =>
  source.transaction(async (manager) => {
    const { version, name } = document;
    await manager.getRepository(Project).insert({
      id,
      ownerId,
      revision: 0,
      head: null,
      logSize: '0',
      version,
      name,
      preview: previewOf(document) as never,
    });
    await manager
      .getRepository(Snapshot)
      .insert({ projectId: id, revision: 0, version, document: document as never });
    return { id, revision: 0, document };
  });
