import { MINT_LAMP_INTERFACE } from '@mint-lamp/core/demo/interface';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { DataSource } from 'typeorm';
import { alone } from '../database/data-source.ts';
import { projectStore } from '../database/project-store.ts';
import { LOCAL_OWNER } from '../owner/owner.ts';

/** Fixed, so that links to the demo projects keep working after `--fresh`. */
export const DEMO_PROJECTS = [
  { id: '5ce77000-0000-4000-8000-000000000002', document: MINT_LAMP_INTERFACE },
  { id: '5ce77000-0000-4000-8000-000000000001', document: SKERRY_LINE },
] as const;

/** Loads the demo projects into a database that has no project yet. */
export async function loadDemo(database: DataSource): Promise<void> {
  const store = projectStore(database);
  await alone(database, 'demo', async () => {
    if ((await store.list(LOCAL_OWNER)).length) return;
    for (const { id, document } of DEMO_PROJECTS) await store.create(LOCAL_OWNER, document, id);
  });
}
