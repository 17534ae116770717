import type { News } from '@mint-lamp/core/wire/projects';
import type { EntityManager } from 'typeorm';
import type { KnownDocument } from './known-documents.ts';
import { entriesBetween, logSizeTo } from './log.ts';

/** News up to so many characters are not held against the size of the document. */
const SHORT_NEWS = 20_000;
/** What an entry takes on the wire besides its command. */
const ENTRY_FRAME = 80;

/** The entries since a revision, or the document where that is shorter. */
export async function newsOf(
  manager: EntityManager,
  id: string,
  logSize: number,
  now: KnownDocument,
  since: number,
): Promise<News> {
  const { revision, recent, document } = now;
  if (since >= revision) return { kind: 'entries', entries: [] };
  const first = recent[0]?.entry.revision ?? Number.POSITIVE_INFINITY;
  const before = since === 0 ? 0 : recent[since - first]?.sizeTo;
  const size = logSize - (before ?? (await logSizeTo(manager, id, since))) + (revision - since) * ENTRY_FRAME;
  if (size > SHORT_NEWS && size > JSON.stringify(document).length) return { kind: 'document', document };
  const sized =
    first <= since + 1
      ? recent.slice(since + 1 - first)
      : await entriesBetween(manager, id, since + 1, revision);
  return { kind: 'entries', entries: sized.map(({ entry }) => entry) };
}
