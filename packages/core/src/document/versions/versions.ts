import { DOCUMENT_VERSION } from '../version.ts';
import { command as commandTo2 } from './2/command.ts';
import { document as documentTo2 } from './2/document.ts';
import { command as commandTo3 } from './3/command.ts';
import { document as documentTo3 } from './3/document.ts';
import { command as commandTo4 } from './4/command.ts';
import { document as documentTo4 } from './4/document.ts';
import { command as commandTo5 } from './5/command.ts';
import { document as documentTo5 } from './5/document.ts';
import { command as commandTo6 } from './6/command.ts';
import { document as documentTo6 } from './6/document.ts';
import { command as commandTo7 } from './7/command.ts';
import { document as documentTo7 } from './7/document.ts';
import { command as commandTo8 } from './8/command.ts';
import { document as documentTo8 } from './8/document.ts';
import { command as commandTo9 } from './9/command.ts';
import { document as documentTo9 } from './9/document.ts';
import { command as commandTo10 } from './10/command.ts';
import { document as documentTo10 } from './10/document.ts';
import { command as commandTo11 } from './11/command.ts';
import { document as documentTo11 } from './11/document.ts';
import type { Stored } from './stored.ts';

/** From one version to the next: documents and commands of the one in the schema of the other. */
interface VersionStep {
  readonly document: (old: Stored) => Stored;
  readonly command: (old: Stored) => Stored;
}

/** The steps by the version that they lead to. */
const STEPS: Readonly<Record<number, VersionStep>> = {
  2: { document: documentTo2, command: commandTo2 },
  3: { document: documentTo3, command: commandTo3 },
  4: { document: documentTo4, command: commandTo4 },
  5: { document: documentTo5, command: commandTo5 },
  6: { document: documentTo6, command: commandTo6 },
  7: { document: documentTo7, command: commandTo7 },
  8: { document: documentTo8, command: commandTo8 },
  9: { document: documentTo9, command: commandTo9 },
  10: { document: documentTo10, command: commandTo10 },
  11: { document: documentTo11, command: commandTo11 },
};

/** The result of migrating something: in today's schema, though not checked yet; or why that cannot be. */
export type Migrated =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly why: 'later' | 'unreadable' };

function migrate(value: unknown, version: unknown, kind: keyof VersionStep): Migrated {
  if (typeof value !== 'object' || value === null) return { ok: false, why: 'unreadable' };
  if (!Number.isInteger(version) || (version as number) < 1) return { ok: false, why: 'unreadable' };
  if ((version as number) > DOCUMENT_VERSION) return { ok: false, why: 'later' };
  let migrated = value as Stored;
  try {
    for (let next = (version as number) + 1; next <= DOCUMENT_VERSION; next++)
      migrated = STEPS[next]![kind](migrated);
  } catch {
    // A step knows the shapes of its version; anything else is none of them.
    return { ok: false, why: 'unreadable' };
  }
  return { ok: true, value: migrated };
}

/** Migrates a stored document of any version to today's schema; what comes out is still to be checked by its schema. */
export const migrateDocument = (stored: unknown): Migrated =>
  migrate(stored, (stored as Stored | null)?.version, 'document');

/** Migrates a command that was made under a version to today's schema; see {@link migrateDocument}. */
export const migrateCommand = (stored: unknown, version: number): Migrated =>
  migrate(stored, version, 'command');
