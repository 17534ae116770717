import type { Note, Said } from '@mint-lamp/core/document/notes/note';
import type { NewProposal, SharedAnswer, SharedNote, SharedView } from '@mint-lamp/core/wire/shares';
import { ask } from './ask.ts';

/** What whoever has a share asks of the server: nobody is signed in there. */

const at = (token: string, more = '') => `/shared/${encodeURIComponent(token)}${more}`;

/** `again` where a page goes on with the project that it has open. */
export const lookAtShare = (token: string, again: boolean) =>
  ask<SharedView>('GET', at(token, again ? '?again=true' : ''));
export const unlockShare = (token: string, passphrase: string) =>
  ask<undefined>('POST', at(token, '/unlock'), { passphrase });
export const noteOnShare = (token: string, note: SharedNote) => ask<Note>('POST', at(token, '/notes'), note);
export const answerOnShare = (token: string, note: string, answer: SharedAnswer) =>
  ask<Said>('POST', at(token, `/notes/${encodeURIComponent(note)}/answers`), answer);
export const proposeByShare = (token: string, proposal: NewProposal) =>
  ask<undefined>('POST', at(token, '/proposals'), proposal);
export const sharedPictureAddress = (token: string, content: string) =>
  `/api${at(token, `/pictures/${content}`)}`;
export const sharedEventsAddress = (token: string) => `/api${at(token, '/events')}`;
