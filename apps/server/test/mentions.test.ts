import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { type House, openHouse, type Somebody } from './house.ts';
import { ownDatabase } from './own-database.ts';

/** Of the tests: told at once, and again after a moment. */
const SOON = { after: 0, pause: 0 };

let house: House;
let pia: Somebody;
let nis: Somebody;
let stranger: Somebody;
let project: string;

beforeAll(async () => {
  house = await openHouse(ownDatabase(), { telling: SOON });
  pia = await house.somebody('Pia');
  nis = await house.somebody('Nis');
  stranger = await house.somebody('Sten');
  const { id: team } = (await pia.ask('POST', '/api/teams', { name: 'Crew' })).json();
  await house.database.query(`INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, 'noter')`, [
    team,
    nis.id,
  ]);
  project = (await house.app.projects.create(team, SKERRY_LINE)).id;
});
afterAll(() => house.close());

async function send(who: Somebody, ...commands: object[]) {
  const answer = await who.ask('POST', `/api/projects/${project}/commands`, {
    revision: 0,
    commands: commands.map((command) => ({ id: randomUUID(), command })),
  });
  expect(answer.json().outcomes.map(({ status }: { status: string }) => status)).toEqual(
    commands.map(() => 'applied'),
  );
}

const said = (who: Somebody, text: string, mentions: string[]) => ({
  id: randomUUID(),
  text,
  author: who.id,
  by: '',
  at: 0,
  ...(mentions.length ? { mentions } : {}),
});
const noteBy = (who: Somebody, text: string, mentions: string[]) => ({
  type: 'addNote',
  note: {
    ...said(who, text, mentions),
    on: { kind: 'role', role: 'text-main' },
    settled: false,
    answers: [],
  },
});

const lettersTo = async (who: Somebody) =>
  (await house.app.letters.store.list(500)).filter(({ to }) => to === who.email);
const untold = async () =>
  Number((await house.database.query('SELECT count(*) FROM mention WHERE told_at IS NULL'))[0].count);
/** Waits until nobody is left to be told. */
const allTold = () => vi.waitFor(async () => expect(await untold()).toBe(0), { timeout: 15_000 });

it('tells who is named in a note, with its words and where it is, once, and nobody of themselves', async () => {
  const one = noteBy(pia, '@Nis, darker?\nOr @Pia?', [nis.id, pia.id]);
  await send(pia, one);
  await vi.waitFor(async () => expect(await lettersTo(nis)).toHaveLength(1), { timeout: 15_000 });
  const [letter] = await lettersTo(nis);
  expect(letter!.subject).toBe('Pia asks you about text.main in Skerry Line');
  expect(letter!.text).toContain('> @Nis, darker?\n> Or @Pia?\n');
  expect(letter!.text).toContain(`https://lamp.skerry-line.example/p/${project}/notes/${one.note.id}\n`);
  // Taken away and brought back, put otherwise: it was told.
  await send(pia, { type: 'removeNote', note: one.note.id }, one, {
    type: 'setNote',
    note: one.note.id,
    change: { text: '@Nis, paler?', mentions: [nis.id] },
  });
  await send(nis, {
    type: 'answerNote',
    note: one.note.id,
    answer: said(nis, '@Pia, as you like', [pia.id]),
  });
  await vi.waitFor(async () => expect(await lettersTo(pia)).toHaveLength(1), { timeout: 15_000 });
  expect((await lettersTo(pia))[0]!.text).toContain('> @Pia, as you like');
  await allTold();
  expect(await lettersTo(nis)).toHaveLength(1);
});

it('tells nobody who may not see the project, is none of this server, or is not named any more', async () => {
  const before = await lettersTo(nis);
  const gone = noteBy(pia, '@Nis', [nis.id]);
  const changed = noteBy(pia, '@Nis, this one', [nis.id]);
  await send(
    pia,
    noteBy(pia, '@Sten', [stranger.id]),
    noteBy(pia, '@Nobody', [randomUUID(), 'no-person']),
    gone,
    { type: 'removeNote', note: gone.note.id },
    changed,
    { type: 'setNote', note: changed.note.id, change: { text: 'Never mind' } },
  );
  await allTold();
  expect(await lettersTo(stranger)).toEqual([]);
  expect(await lettersTo(nis)).toHaveLength(before.length);
  // Named again, it is told: nothing was said of it before.
  await send(pia, { type: 'setNote', note: changed.note.id, change: { text: '@Nis', mentions: [nis.id] } });
  await vi.waitFor(async () => expect(await lettersTo(nis)).toHaveLength(before.length + 1), {
    timeout: 15_000,
  });
});

it('gathers what comes soon after a letter into the next one, by whichever of several processes', async () => {
  const other = await openHouse(ownDatabase(), { telling: { after: 1, pause: 2 } });
  try {
    const ula = await other.somebody('Ula');
    const per = await other.somebody('Per');
    const { id: team } = (await ula.ask('POST', '/api/teams', { name: 'Crew' })).json();
    await other.database.query(
      `INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, 'looker')`,
      [team, per.id],
    );
    const { id } = await other.app.projects.create(team, SKERRY_LINE);
    await Promise.all([other.another(), other.another()]);
    const write = async (text: string) => {
      await ula.ask('POST', `/api/projects/${id}/commands`, {
        revision: 0,
        commands: [{ id: randomUUID(), command: noteBy(ula, text, [per.id]) }],
      });
    };
    const letters = async () =>
      (await other.app.letters.store.list(500)).filter(({ to }) => to === per.email).reverse();
    await write('@Per one');
    await vi.waitFor(async () => expect(await letters()).toHaveLength(1), { timeout: 15_000 });
    for (const text of ['@Per two', '@Per three', '@Per four']) await write(text);
    await vi.waitFor(async () => expect(await letters()).toHaveLength(2), { timeout: 15_000 });
    const [, second] = await letters();
    expect(second!.subject).toBe('You are named in 3 notes in Skerry Line');
    for (const text of ['> @Per two', '> @Per three', '> @Per four']) expect(second!.text).toContain(text);
  } finally {
    await other.close();
  }
});
