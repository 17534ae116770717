import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SKERRY_LINE_ID } from '@mint-lamp/core/demo/demo-id';
import { MINT_LAMP_INTERFACE } from '@mint-lamp/core/demo/interface';
import { DEMO_PICTURES } from '@mint-lamp/core/demo/pictures/demo-pictures';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import type { DataSource } from 'typeorm';
import { LOCAL_PERSON } from '../access/local-person.ts';
import { withAdvisoryLock } from '../database/advisory-lock.ts';
import { pictureStore } from '../database/picture-store.ts';
import { projectStore } from '../database/project-store.ts';
import { closeLanes, type Lanes, openLanes } from '../jobs/jobs.ts';
import type { TakenPicture } from '../pictures/storing/take-in-file.ts';
import { takeInInTurn } from '../pictures/storing/take-in-in-turn.ts';

/** Fixed, so that links to the demo projects keep working after `--fresh`. */
const DEMO_PROJECTS = [
  { id: '5ce77000-0000-4000-8000-000000000002', document: MINT_LAMP_INTERFACE },
  { id: SKERRY_LINE_ID, document: SKERRY_LINE },
] as const;

/** The pictures of the demo, as far as the library is there. */
async function demoPictures(
  libraryRoot: string,
  lanes: Lanes,
  folder: string,
): Promise<{ picture: Picture; kept: TakenPicture }[]> {
  const found = DEMO_PICTURES.filter(({ file }) => libraryRoot && existsSync(join(libraryRoot, file)));
  return Promise.all(
    found.map(async ({ file, ...rest }) => {
      const own = await mkdtemp(join(folder, 'picture-'));
      const never = new AbortController().signal;
      const kept = await takeInInTurn(lanes, { file: join(libraryRoot, file), folder: own }, never);
      const { content, width, height } = kept;
      return { picture: { ...rest, content, width, height }, kept };
    }),
  );
}

/** Loads the demo projects into a database that has no project yet. */
export async function loadDemo(database: DataSource, libraryRoot = ''): Promise<void> {
  const store = projectStore(database);
  await withAdvisoryLock(database, 'demo', async () => {
    if ((await store.list(LOCAL_PERSON.id)).length) return;
    const lanes = openLanes();
    const folder = await mkdtemp(join(tmpdir(), 'mint-lamp-demo-'));
    try {
      const pictures = await demoPictures(libraryRoot, lanes, folder);
      for (const { id, document } of DEMO_PROJECTS) {
        const own = document === SKERRY_LINE ? pictures : [];
        await store.create(LOCAL_PERSON.id, { ...document, pictures: own.map(({ picture }) => picture) }, id);
        for (const { kept } of own) await pictureStore(database).keep(id, kept, true);
      }
    } finally {
      closeLanes(lanes);
      await rm(folder, { recursive: true, force: true });
    }
  });
}
