import { strFromU8, unzipSync } from 'fflate';
import type { ProjectDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import { DOCUMENT_VERSION } from '../document/version.ts';
import { migrateDocument } from '../document/versions/versions.ts';
import { zipped } from './zipped.ts';

/** A state of a project that was given a name. */
interface FiledCheckpoint {
  readonly name: string;
  /** When it was saved, ISO 8601. */
  readonly at: string;
  readonly document: ProjectDocument;
}

interface FiledPicture {
  /** SHA-256 of the bytes, hex; pictures of documents name it. */
  readonly content: string;
  readonly bytes: Uint8Array;
}

/** A project as a whole: what it is, its named states, oldest first, and the pictures of all of them. */
export interface FiledProject {
  readonly document: ProjectDocument;
  readonly checkpoints: readonly FiledCheckpoint[];
  readonly pictures: readonly FiledPicture[];
}

export type ReadProject =
  | { readonly ok: true; readonly project: FiledProject }
  | { readonly ok: false; readonly reason: string };

/** The ending of the file. */
export const PROJECT_ENDING = 'mintlamp';

const [FRONT, CHECKPOINTS, PICTURES] = ['project.json', 'checkpoints', 'pictures'];
/** What the file says it is. */
const SIGN = 'a project of Mint Lamp';
/** The same project is the same bytes, whenever it is written. */
const NO_TIME = '1980-01-01T00:00:00Z';

/** Bytes that the parts of a file may come to in all, and one part. */
const MOST_BYTES = 600_000_000;
const MOST_PART = 60_000_000;
const MOST_PARTS = 3000;

/** SHA-256 of the contents that the pictures of some documents have. */
export const contentsOf = (documents: readonly ProjectDocument[]): string[] => [
  ...new Set(documents.flatMap(({ pictures }) => pictures.map(({ content }) => content))),
];

/** A project as one file: a zip with the document and each checkpoint as JSON, and the pictures as they are. */
export function writeProjectFile({ document, checkpoints, pictures }: FiledProject): Uint8Array {
  const front = {
    is: SIGN,
    version: DOCUMENT_VERSION,
    checkpoints: checkpoints.map(({ name, at }) => ({ name, at })),
  };
  const json = (value: unknown) => `${JSON.stringify(value, null, 1)}\n`;
  return zipped(
    [
      { name: FRONT!, content: json({ ...front, document }) },
      ...checkpoints.map((one, i) => ({ name: `${CHECKPOINTS}-${i + 1}.json`, content: json(one.document) })),
      ...[...pictures]
        .sort((a, b) => (a.content < b.content ? -1 : 1))
        .map(({ content, bytes }) => ({ name: `${PICTURES}-${content}`, content: bytes })),
    ],
    NO_TIME,
  );
}

function documentFrom(value: unknown): ProjectDocument | string {
  const migrated = migrateDocument(value);
  if (!migrated.ok)
    return migrated.why === 'later'
      ? 'It was written by a newer version of Mint Lamp than this one.'
      : 'What is in it is no project.';
  const { error } = documentSchema.validate(migrated.value);
  return error ? `What is in it is no project: ${error.message}.` : (migrated.value as ProjectDocument);
}

/** A part of a file that cannot be read, as the reason that is told. */
class Unreadable extends Error {}

/**
 * Reads a project file, of this version or an earlier one; everything in it is checked before it is given out, but the
 * bytes of pictures, which whoever keeps them looks at. Never throws: what is no such file gives the reason.
 */
export function readProjectFile(bytes: Uint8Array): ReadProject {
  try {
    return { ok: true, project: read(bytes) };
  } catch (error) {
    const reason =
      error instanceof Unreadable
        ? error.message
        : 'This is no project file: it is no zip, or a broken one. Choose a file that was downloaded at Deliver.';
    return { ok: false, reason };
  }
}

function read(bytes: Uint8Array): FiledProject {
  let [all, count] = [0, 0];
  const parts = unzipSync(bytes, {
    filter: ({ originalSize }) => {
      count += 1;
      all += originalSize;
      if (count > MOST_PARTS || all > MOST_BYTES || originalSize > MOST_PART)
        throw new Unreadable('This file is larger than a project can be.');
      return true;
    },
  });
  const json = (name: string): unknown => {
    const part = parts[name];
    if (!part) throw new Unreadable(`This is no project file: ${name} is missing in it.`);
    try {
      return JSON.parse(strFromU8(part));
    } catch {
      throw new Unreadable(`This project file is broken: ${name} is no JSON.`);
    }
  };
  const front = json(FRONT!) as { is?: unknown; document?: unknown; checkpoints?: unknown };
  if (front?.is !== SIGN) throw new Unreadable('This is no project file of Mint Lamp.');
  const documentOf = (value: unknown): ProjectDocument => {
    const document = documentFrom(value);
    if (typeof document === 'string') throw new Unreadable(document);
    return document;
  };
  const named = Array.isArray(front.checkpoints) ? front.checkpoints : [];
  const checkpoints = named.map((one: { name?: unknown; at?: unknown }, i): FiledCheckpoint => {
    const at = new Date(String(one?.at));
    return {
      name: String(one?.name ?? '').slice(0, 80) || `Checkpoint ${i + 1}`,
      at: Number.isNaN(at.getTime()) ? new Date(0).toISOString() : at.toISOString(),
      document: documentOf(json(`${CHECKPOINTS}-${i + 1}.json`)),
    };
  });
  const document = documentOf(front.document);
  const pictures = contentsOf([document, ...checkpoints.map((one) => one.document)]).flatMap((content) => {
    const own = parts[`${PICTURES}-${content}`];
    return own ? [{ content, bytes: own }] : [];
  });
  return { document, checkpoints, pictures };
}

/** A document alone as JSON, as a command line may be given it; see {@link readProjectFile}. */
export function readDocumentText(text: string): ReadProject {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, reason: 'This is no project: it is no JSON.' };
  }
  const inner = (value as { document?: unknown } | null)?.document ?? value;
  const document = documentFrom(inner);
  return typeof document === 'string'
    ? { ok: false, reason: document }
    : { ok: true, project: { document, checkpoints: [], pictures: [] } };
}
