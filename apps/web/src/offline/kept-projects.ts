import { personOfPage } from '../person/person.ts';
import { KEPT } from './caches.ts';

export interface KeptProject {
  readonly id: string;
  readonly name: string;
}

/** The projects that this browser kept for whoever it is of, the newest first; none where it keeps nothing. */
export async function keptProjects(): Promise<KeptProject[]> {
  if (!('caches' in globalThis) || !(await caches.has(KEPT))) return [];
  const kept = await caches.open(KEPT);
  const person = personOfPage() ?? '';
  const own = (await kept.keys()).filter(({ url }) => new URL(url).searchParams.get('of') === person);
  const projects = await Promise.all(
    own.map(async (request) => {
      const { id, document } = await (await kept.match(request))!.json();
      return { id, name: document.name } as KeptProject;
    }),
  );
  return projects.reverse();
}
