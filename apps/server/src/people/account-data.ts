import { slug } from '@mint-lamp/core/document/naming/names';
import type { FastifyInstance } from 'fastify';
import { Zip, ZipPassThrough } from 'fflate';
import { documentInParts } from '../reports/document-in-parts.ts';

/** What one file of somebody's data is called, and what is in it. */
interface Part {
  readonly name: string;
  readonly content: AsyncIterable<string | Uint8Array> | Iterable<string | Uint8Array>;
}

const json = (value: unknown) => [`${JSON.stringify(value, null, 1)}\n`];
const ENDINGS: Readonly<Record<string, string>> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/avif': 'avif',
};

/** The edits of a project, page by page, the newest first. */
async function* historyOf({ history }: FastifyInstance, id: string): AsyncGenerator<string> {
  let before: number | null = null;
  yield '[';
  do {
    const page = await history.page(id, before);
    for (const [i, entry] of page.entries.entries())
      yield `${before === null && i === 0 ? '' : ','}\n${JSON.stringify(entry)}`;
    before = page.before;
  } while (before !== null);
  yield '\n]\n';
}

/** Everything that is kept of a person: the account, and each project of their own with all that it has. */
async function* partsOf(app: FastifyInstance, personId: string): AsyncGenerator<Part> {
  const { people, sessions, teams, projects, checkpoints, handOvers, pictures, personalData } = app;
  const { sets, notes, edits } = await personalData.of(personId);
  const listed = await projects.list(personId);
  yield {
    name: 'account.json',
    content: json({
      account: await people.account(personId),
      sessions: await sessions.list(personId, ''),
      teams: await teams.list(personId),
      'edits in projects of teams': edits,
    }),
  };
  yield { name: 'sets-on-the-shelf.json', content: json(sets) };
  yield { name: 'notes-in-projects-of-teams.json', content: json(notes) };
  for (const { id, name, team } of listed) {
    if (team) continue;
    const project = await projects.find(id);
    if (!project) continue;
    const folder = `projects/${slug(name) || 'project'}-${id.slice(0, 8)}`;
    yield { name: `${folder}/project.json`, content: documentInParts(project.document) };
    yield { name: `${folder}/history.json`, content: historyOf(app, id) };
    yield { name: `${folder}/hand-overs.json`, content: json(await handOvers.list(id)) };
    const named = (await checkpoints.list(id)) ?? [];
    yield { name: `${folder}/checkpoints.json`, content: json(named) };
    for (const one of named) {
      const loaded = await checkpoints.find(id, one.id);
      if (loaded)
        yield {
          name: `${folder}/checkpoint-${one.revision}-${one.id.slice(0, 8)}.json`,
          content: documentInParts(loaded.document),
        };
    }
    for (const { content, mediaType } of await pictures.list(id))
      yield {
        name: `${folder}/pictures/${content}.${ENDINGS[mediaType] ?? 'bin'}`,
        content: pictures.read(content),
      };
  }
}

/** All of a person's data as one zip, part by part: no more of it is held than is being sent. */
export async function* accountData(app: FastifyInstance, personId: string): AsyncGenerator<Uint8Array> {
  let ready: Uint8Array[] = [];
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    ready.push(bytes);
  });
  const encoder = new TextEncoder();
  function* written() {
    yield* ready;
    ready = [];
  }
  for await (const { name, content } of partsOf(app, personId)) {
    const file = new ZipPassThrough(name);
    zip.add(file);
    for await (const piece of content) {
      file.push(typeof piece === 'string' ? encoder.encode(piece) : piece);
      yield* written();
    }
    file.push(new Uint8Array(0), true);
    yield* written();
  }
  zip.end();
  yield* written();
}
