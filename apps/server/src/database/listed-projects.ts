import { randomUUID } from 'node:crypto';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { EMPTY_PREVIEW, previewOf } from '@mint-lamp/core/system/preview';
import type { ListedProject, LoadedProject } from '@mint-lamp/core/wire/projects';
import { type DataSource, IsNull } from 'typeorm';
import { documentAt } from './documents.ts';
import { Project, type ProjectRow, Snapshot } from './entities.ts';
import type { KnownDocuments } from './known-documents.ts';

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

/** The owner's projects, the last changed first. */
export async function listProjects(
  source: DataSource,
  memory: KnownDocuments,
  ownerId: string,
): Promise<ListedProject[]> {
  const rows = await source
    .getRepository(Project)
    .find({ where: { ownerId, removedAt: IsNull() }, order: { updatedAt: 'DESC', id: 'ASC' } });
  const listed: ListedProject[] = [];
  for (const row of rows) {
    const { id, name, revision, updatedAt, preview } = await withPreview(source, memory, row);
    const shown = preview ?? EMPTY_PREVIEW;
    listed.push({ id, name, revision, updatedAt: updatedAt.toISOString(), preview: shown });
  }
  return listed;
}

/** A new project with a document at revision 0. */
export const createProject = (
  source: DataSource,
  ownerId: string,
  document: ProjectDocument,
  id: string = randomUUID(),
): Promise<LoadedProject> =>
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
