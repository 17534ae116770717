import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { sharedDocument, sharedNotes } from '@mint-lamp/core/share/shared-document';
import { trayPalette } from '@mint-lamp/core/share/tray-palette';
import type { Shown } from '@mint-lamp/core/wire/shares';
import type { FastifyInstance } from 'fastify';
import { LRUCache } from 'lru-cache';
import { SchemaVersionAhead } from '../database/schema-version-ahead.ts';
import type { OpenShare } from '../database/share-store.ts';
import { namesOn } from '../projects/names-on.ts';

/** A project at the revision that a share shows, whole: not to be given away. */
interface Whole {
  readonly document: ProjectDocument;
  readonly revision: number;
}

/** The project that a share is of: as it is, or as it was where the share or `revision` says so. Null where it is gone. */
export async function wholeOf(
  { reads }: FastifyInstance,
  share: OpenShare,
  revision: number | null = share.revision,
): Promise<Whole | null> {
  if (revision !== null) {
    const document = await reads.projects.at(share.projectId, revision);
    return document && { document, revision };
  }
  const found = await reads.projects.find(share.projectId);
  if (!found) return null;
  if (found.document.version !== DOCUMENT_VERSION) throw new SchemaVersionAhead();
  return found;
}

const MOST_REMEMBERED_BYTES = 32 * 1024 * 1024;

/** What shares show, worked out once for all who look. Null where what was shared is gone. */
export function shownBy(app: FastifyInstance): (share: OpenShare, whole: Whole) => Promise<Shown | null> {
  const remembered = new LRUCache<string, Shown & object>({
    maxSize: MOST_REMEMBERED_BYTES,
    sizeCalculation: (shown) => JSON.stringify(shown).length,
  });
  const work = async (
    { subject, tries, projectId }: OpenShare,
    { document }: Whole,
  ): Promise<Shown | null> => {
    switch (subject.kind) {
      case 'css':
        return null;
      case 'set': {
        const set = await app.shelf.find(subject.set);
        return set && { kind: 'set', set };
      }
      case 'tray': {
        const colors = trayPalette(document, subject.group);
        return colors && { kind: 'palette', name: subject.group || document.name, colors };
      }
      default: {
        const part = sharedDocument(document, subject, tries, await namesOn(app, projectId));
        return part && { kind: subject.kind, document: part };
      }
    }
  };
  /** What is frozen is talked about all the same: its notes are those of now. */
  const withPresentNotes = async (share: OpenShare, shown: Shown): Promise<Shown> => {
    if (share.revision === null || !share.notes || !('document' in shown)) return shown;
    const present = await wholeOf(app, share, null);
    if (!present) return shown;
    const names = await namesOn(app, share.projectId);
    const notes = sharedNotes(shown.document, share.subject, present.document.notes, names);
    return { ...shown, document: { ...shown.document, notes } };
  };
  return async (share, whole) => {
    // A set has revisions of its own.
    if (share.subject.kind === 'set') return work(share, whole);
    const key = `${share.id} ${whole.revision}`;
    const known = remembered.get(key) ?? (await work(share, whole));
    if (!known) return null;
    remembered.set(key, known);
    return withPresentNotes(share, known);
  };
}
