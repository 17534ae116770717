import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { ProposedCommand } from '@mint-lamp/core/wire/shares';
import { newToken } from '../src/access/token.ts';
import { newShare } from './new-share.ts';

// What every route of the server answers to everybody that there can be.

/** Who asks, in the order of the columns. */
export const WHO = ['nobody', 'stranger', 'looker', 'noter', 'editor', 'owner', 'removed', 'ended'] as const;
export type Who = (typeof WHO)[number];

/** What a cell is about: a team with its people, and things of theirs made for this cell alone. */
export interface Things {
  readonly team: string;
  readonly project: string;
  readonly removedProject: string;
  readonly checkpoint: string;
  readonly handOver: string;
  readonly picture: string;
  readonly member: string;
  readonly invitation: string;
  readonly set: string;
  readonly share: string;
  /** Of a share of the whole project, to try and to note, and of a live style sheet. */
  readonly token: string;
  readonly sheetToken: string;
  readonly proposal: string;
}

export interface Line {
  /** Statuses in the order of `WHO`; `·` repeats the one before. */
  readonly cells: string;
  readonly at?: (things: Things) => string;
  readonly body?: (things: Things) => object;
}

const IN_PROJECT = '401 404 200 · · · 404 401';
const EDITS_PROJECT = (ok: number) => `401 404 403 · ${ok} · 404 401`;
const OWNS_PROJECT = (ok: number) => `401 404 403 · · ${ok} 404 401`;
const OWNS_TEAM = (ok: number) => `401 404 403 · · ${ok} 404 401`;
const SIGNED_IN = (ok: number) => `401 ${ok} · · · · · 401`;
const ANYBODY = (ok: number) => `${ok} · · · · · · ·`;
/** Nobody of these looks after the server. */
const ADMINISTRATOR = '401 404 · · · · · 401';

export const DELIVERY = { ...SKERRY_LINE.delivery };
const PROOF = { passphrase: 'not the right one at all' };

export const REDDER: ProposedCommand = {
  type: 'setBase',
  family: SKERRY_LINE.families[0]!.id,
  color: '#a03040',
};

export const TABLE: Readonly<Record<string, Line>> = {
  'GET /api/health': { cells: ANYBODY(200) },
  'GET /api/ready': { cells: ANYBODY(200) },
  'GET /api/licences': { cells: ANYBODY(200) },
  'GET /api/me': { cells: ANYBODY(200) },
  'POST /api/sign-in': {
    cells: ANYBODY(401),
    body: () => ({ email: 'nobody@skerry-line.example', ...PROOF }),
  },
  'POST /api/sign-out': { cells: ANYBODY(204) },
  'POST /api/passphrase/forgotten': {
    cells: ANYBODY(204),
    body: () => ({ email: `${randomUUID()}@skerry-line.example` }),
  },
  'POST /api/passphrase/new': {
    cells: ANYBODY(404),
    body: () => ({ token: newToken(), passphrase: 'five gulls over Oster Skerry' }),
  },
  'POST /api/invitation/look': { cells: ANYBODY(404), body: () => ({ token: newToken() }) },
  'POST /api/invitation/take': { cells: ANYBODY(404), body: () => ({ token: newToken() }) },

  'GET /api/account': { cells: SIGNED_IN(200) },
  'PUT /api/account': { cells: SIGNED_IN(204), body: () => ({ name: 'Another name' }) },
  'GET /api/account/data': { cells: SIGNED_IN(200) },
  'PUT /api/account/passphrase': {
    cells: '401 · · · · · · ·',
    body: () => ({ present: 'not the right one at all', next: 'five gulls over Oster Skerry' }),
  },
  'GET /api/account/sessions': { cells: SIGNED_IN(200) },
  'DELETE /api/account/sessions': { cells: SIGNED_IN(204) },
  'DELETE /api/account/sessions/:id': { cells: SIGNED_IN(404), at: () => randomUUID() },
  'POST /api/account/second-factor': { cells: '401 · · · · · · ·', body: () => PROOF },
  'PUT /api/account/second-factor': { cells: SIGNED_IN(404), body: () => ({ code: '123456' }) },
  'DELETE /api/account/second-factor': { cells: '401 · · · · · · ·', body: () => PROOF },
  'POST /api/account/recovery-codes': { cells: '401 · · · · · · ·', body: () => PROOF },
  'DELETE /api/account': { cells: '401 · · · · · · ·', body: () => PROOF },

  'GET /api/server/people': { cells: ADMINISTRATOR },
  'PUT /api/server/people/:id': {
    cells: ADMINISTRATOR,
    at: ({ member }) => member,
    body: () => ({ administrator: true }),
  },
  'POST /api/server/invitations': {
    cells: ADMINISTRATOR,
    body: () => ({ email: `${randomUUID()}@skerry-line.example` }),
  },
  'DELETE /api/server/invitations/:id': { cells: ADMINISTRATOR, at: () => randomUUID() },
  'GET /api/mailbox': { cells: ADMINISTRATOR },

  'GET /api/teams': { cells: SIGNED_IN(200) },
  'POST /api/teams': { cells: SIGNED_IN(201), body: () => ({ name: 'Another team' }) },
  'GET /api/teams/:id': { cells: IN_PROJECT, at: ({ team }) => team },
  'PUT /api/teams/:id': {
    cells: OWNS_TEAM(204),
    at: ({ team }) => team,
    body: () => ({ name: 'Crew' }),
  },
  'DELETE /api/teams/:id': { cells: OWNS_TEAM(409), at: ({ team }) => team },
  'POST /api/teams/:id/projects': {
    cells: EDITS_PROJECT(201),
    at: ({ team }) => `${team}/projects`,
    body: () => ({ name: 'Winter timetable' }),
  },
  'PUT /api/teams/:id/members/:person': {
    cells: OWNS_TEAM(204),
    at: ({ team, member }) => `${team}/members/${member}`,
    body: () => ({ access: 'noter' }),
  },
  'DELETE /api/teams/:id/members/:person': {
    cells: OWNS_TEAM(204),
    at: ({ team, member }) => `${team}/members/${member}`,
  },
  'POST /api/teams/:id/leave': { cells: '401 404 204 · · 409 404 401', at: ({ team }) => `${team}/leave` },
  'POST /api/teams/:id/invitations': {
    cells: OWNS_TEAM(201),
    at: ({ team }) => `${team}/invitations`,
    body: () => ({ email: `${randomUUID()}@skerry-line.example`, access: 'looker' }),
  },
  'POST /api/teams/:id/invitations/:invitation/again': {
    cells: OWNS_TEAM(200),
    at: ({ team, invitation }) => `${team}/invitations/${invitation}/again`,
  },
  'DELETE /api/teams/:id/invitations/:invitation': {
    cells: OWNS_TEAM(204),
    at: ({ team, invitation }) => `${team}/invitations/${invitation}`,
  },

  'GET /api/projects': { cells: SIGNED_IN(200) },
  'POST /api/projects': { cells: SIGNED_IN(201), body: () => ({ name: 'My own' }) },
  'GET /api/projects/:id': { cells: IN_PROJECT, at: ({ project }) => project },
  'DELETE /api/projects/:id': { cells: EDITS_PROJECT(204), at: ({ project }) => project },
  'GET /api/projects/removed': { cells: SIGNED_IN(200) },
  'POST /api/projects/removed/:id/back': {
    cells: EDITS_PROJECT(204),
    at: ({ removedProject }) => `${removedProject}/back`,
  },
  'DELETE /api/projects/removed/:id': {
    cells: OWNS_PROJECT(204),
    at: ({ removedProject }) => removedProject,
  },
  'GET /api/projects/:id/news': { cells: IN_PROJECT, at: ({ project }) => `${project}/news?after=0` },
  'GET /api/projects/:id/revisions/:revision': {
    cells: IN_PROJECT,
    at: ({ project }) => `${project}/revisions/0`,
  },
  'GET /api/projects/:id/entries': {
    cells: '401 404 · · · · · 401',
    at: ({ project }) => `${project}/entries`,
  },
  // Which commands a noter may make is told one by one; the request is theirs to make.
  'POST /api/projects/:id/commands': {
    cells: '401 404 403 200 · · 404 401',
    at: ({ project }) => `${project}/commands`,
    body: () => ({ revision: 0, commands: [] }),
  },
  'GET /api/projects/:id/events': { cells: IN_PROJECT, at: ({ project }) => `${project}/events` },
  'GET /api/projects/:id/people': { cells: IN_PROJECT, at: ({ project }) => `${project}/people` },
  'PUT /api/projects/:id/people/:person': {
    cells: OWNS_PROJECT(204),
    at: ({ project, member }) => `${project}/people/${member}`,
    body: () => ({ access: 'none' }),
  },
  'PUT /api/projects/:id/owner': {
    cells: OWNS_PROJECT(204),
    at: ({ project }) => `${project}/owner`,
    body: () => ({ team: null }),
  },
  'GET /api/projects/:id/history': { cells: IN_PROJECT, at: ({ project }) => `${project}/history` },

  'GET /api/projects/:id/checkpoints': { cells: IN_PROJECT, at: ({ project }) => `${project}/checkpoints` },
  'POST /api/projects/:id/checkpoints': {
    cells: EDITS_PROJECT(201),
    at: ({ project }) => `${project}/checkpoints`,
    body: () => ({ name: 'Before the storm', revision: 0 }),
  },
  'GET /api/projects/:id/checkpoints/:checkpoint': {
    cells: IN_PROJECT,
    at: ({ project, checkpoint }) => `${project}/checkpoints/${checkpoint}`,
  },
  'PUT /api/projects/:id/checkpoints/:checkpoint': {
    cells: EDITS_PROJECT(200),
    at: ({ project, checkpoint }) => `${project}/checkpoints/${checkpoint}`,
    body: () => ({ name: 'After the storm' }),
  },
  'DELETE /api/projects/:id/checkpoints/:checkpoint': {
    cells: EDITS_PROJECT(204),
    at: ({ project, checkpoint }) => `${project}/checkpoints/${checkpoint}`,
  },
  'GET /api/projects/:id/hand-overs': { cells: IN_PROJECT, at: ({ project }) => `${project}/hand-overs` },
  'POST /api/projects/:id/hand-overs': {
    cells: EDITS_PROJECT(201),
    at: ({ project }) => `${project}/hand-overs`,
    body: () => ({
      revision: 0,
      forms: ['css'],
      choices: DELIVERY.choices,
      leftOut: DELIVERY.leftOut,
      file: 'colours.css',
    }),
  },
  'GET /api/projects/:id/hand-overs/:handOver': {
    cells: IN_PROJECT,
    at: ({ project, handOver }) => `${project}/hand-overs/${handOver}`,
  },
  'DELETE /api/projects/:id/hand-overs/:handOver': {
    cells: EDITS_PROJECT(204),
    at: ({ project, handOver }) => `${project}/hand-overs/${handOver}`,
  },
  'GET /api/projects/:id/deliver/:form': { cells: IN_PROJECT, at: ({ project }) => `${project}/deliver/css` },
  'GET /api/projects/:id/report': { cells: IN_PROJECT, at: ({ project }) => `${project}/report` },

  'GET /api/projects/:id/shares': { cells: IN_PROJECT, at: ({ project }) => `${project}/shares` },
  'POST /api/projects/:id/shares': {
    cells: EDITS_PROJECT(201),
    at: ({ project }) => `${project}/shares`,
    body: () => newShare({ kind: 'project' }),
  },
  'PUT /api/projects/:id/shares/:share': {
    cells: EDITS_PROJECT(200),
    at: ({ project, share }) => `${project}/shares/${share}`,
    body: () => ({ name: 'For the harbour master' }),
  },
  'POST /api/projects/:id/shares/:share/shut': {
    cells: EDITS_PROJECT(200),
    at: ({ project, share }) => `${project}/shares/${share}/shut`,
  },
  'POST /api/projects/:id/shares/:share/address': {
    cells: EDITS_PROJECT(200),
    at: ({ project, share }) => `${project}/shares/${share}/address`,
  },
  'DELETE /api/projects/:id/shares/:share': {
    cells: EDITS_PROJECT(204),
    at: ({ project, share }) => `${project}/shares/${share}`,
  },
  'GET /api/projects/:id/proposals': { cells: IN_PROJECT, at: ({ project }) => `${project}/proposals` },
  'PUT /api/projects/:id/proposals/:proposal': {
    cells: EDITS_PROJECT(204),
    at: ({ project, proposal }) => `${project}/proposals/${proposal}`,
    body: () => ({ state: 'declined' }),
  },
  'DELETE /api/projects/:id/proposals/:proposal': {
    cells: EDITS_PROJECT(204),
    at: ({ project, proposal }) => `${project}/proposals/${proposal}`,
  },
  'POST /api/projects/:id/here': {
    cells: '401 404 204 · · · 404 401',
    at: ({ project }) => `${project}/here`,
    body: () => ({ tab: randomUUID(), at: 'grow', holds: null, did: null, asks: true, leaves: false }),
  },
  'POST /api/projects/:id/drag': {
    cells: EDITS_PROJECT(200),
    at: ({ project }) => `${project}/drag`,
    body: () => ({ revision: 0, command: null }),
  },

  // Whoever has the address may, whoever they are; what closes one is in shares.test.ts.
  'GET /api/shared/:token': { cells: ANYBODY(200), at: ({ token }) => token },
  'POST /api/shared/:token/unlock': {
    cells: ANYBODY(204),
    at: ({ token }) => `${token}/unlock`,
    body: () => ({ passphrase: 'none is asked for' }),
  },
  'GET /api/shared/:token/events': { cells: ANYBODY(200), at: ({ token }) => `${token}/events` },
  'GET /api/shared/:token/preview.png': { cells: ANYBODY(200), at: ({ token }) => `${token}/preview.png` },
  'GET /api/shared/:token/pictures/:content': {
    // It is in the project, and not shown by the share.
    cells: ANYBODY(404),
    at: ({ token, picture }) => `${token}/pictures/${picture}`,
  },
  'POST /api/shared/:token/notes': {
    cells: ANYBODY(201),
    at: ({ token }) => `${token}/notes`,
    body: () => ({ by: 'Nis', on: { kind: 'role', role: SKERRY_LINE.roles[0]!.id }, text: 'Lighter?' }),
  },
  'POST /api/shared/:token/notes/:note/answers': {
    // There is no such note.
    cells: ANYBODY(404),
    at: ({ token }) => `${token}/notes/note-of-nobody/answers`,
    body: () => ({ by: 'Nis', text: 'Lighter still?' }),
  },
  'POST /api/shared/:token/proposals': {
    cells: ANYBODY(204),
    at: ({ token }) => `${token}/proposals`,
    body: () => ({ by: 'Nis', words: '', revision: 0, commands: [REDDER] }),
  },
  'GET /api/shared/:token/colours.css': {
    cells: ANYBODY(200),
    at: ({ sheetToken }) => `${sheetToken}/colours.css`,
  },
  'GET /api/shared/:token/follow.js': {
    cells: ANYBODY(200),
    at: ({ sheetToken }) => `${sheetToken}/follow.js`,
  },
  'GET /api/shared/:token/changes': { cells: ANYBODY(200), at: ({ sheetToken }) => `${sheetToken}/changes` },

  'POST /api/projects/:id/pictures': {
    cells: EDITS_PROJECT(422),
    at: ({ project }) => `${project}/pictures`,
  },
  'POST /api/projects/:id/pictures/fetched': {
    cells: EDITS_PROJECT(422),
    at: ({ project }) => `${project}/pictures/fetched`,
    body: () => ({ address: 'http://127.0.0.1/a.png' }),
  },
  'GET /api/projects/:id/pictures/:content': {
    cells: IN_PROJECT,
    at: ({ project, picture }) => `${project}/pictures/${picture}`,
  },
  'GET /api/projects/:id/pictures/:content/small': {
    cells: IN_PROJECT,
    at: ({ project, picture }) => `${project}/pictures/${picture}/small`,
  },
  'GET /api/projects/:id/pictures/:content/region': {
    cells: IN_PROJECT,
    at: ({ project, picture }) => `${project}/pictures/${picture}/region?x=0&y=0&width=1&height=1`,
  },
  'POST /api/projects/:id/artworks/fetched': {
    cells: EDITS_PROJECT(422),
    at: ({ project }) => `${project}/artworks/fetched`,
    body: () => ({ address: 'http://127.0.0.1/a.html' }),
  },

  'POST /api/artworks/fetched': {
    cells: SIGNED_IN(422),
    body: () => ({ address: 'http://127.0.0.1/a.html' }),
  },
  'GET /api/library': { cells: SIGNED_IN(200) },
  'GET /api/shelf': { cells: SIGNED_IN(200) },
  'POST /api/shelf': {
    cells: SIGNED_IN(201),
    body: () => ({
      name: 'Rust fog',
      words: 'autumn',
      content: { kind: 'palette', colors: [{ name: 'Rust', color: '#884422' }] },
      colors: ['#884422'],
    }),
  },
  'DELETE /api/shelf/:id': { cells: '401 404 · · · 204 404 401', at: ({ set }) => set },
  'PUT /api/shelf/:id/favour': {
    cells: '401 404 204 · · · 404 401',
    at: ({ set }) => `${set}/favour`,
    body: () => ({ on: true }),
  },
  'POST /api/shelf/:id/adopted': {
    cells: '401 404 204 · · · 404 401',
    at: ({ set }) => `${set}/adopted`,
  },
};
