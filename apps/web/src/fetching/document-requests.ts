import type { CommitAnswer, LoadedProject, ProjectNews, SentCommand } from '@mint-lamp/core/wire/projects';
import { ask } from './ask.ts';

/** What the open project's document is kept in step by; it is no cache of an answer, so it goes past the one of `api.ts`. */

export const loadProject = (id: string) => ask<LoadedProject>('GET', `/projects/${id}`);
export const loadNews = (id: string, after: number) =>
  ask<ProjectNews>('GET', `/projects/${id}/news?after=${after}`);
export const sendCommands = (id: string, revision: number, commands: readonly SentCommand[]) =>
  ask<CommitAnswer>('POST', `/projects/${id}/commands`, { revision, commands });
