import { MOST_NAME } from '@mint-lamp/core/document/naming/names';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { MOST_PICTURE_BYTES, PICTURE_KINDS_IN_WORDS, pictureKindOf } from '@mint-lamp/core/picture/kind';
import type { KeptAnswer } from '@mint-lamp/core/wire/pictures';
import { useSyncExternalStore } from 'react';
import { fetchPicture, keepPicture } from '../../../store/api.ts';
import { edit, newId } from '../../../store/editing.ts';
import { selectProject } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';

/** Pictures on their way into the project: they go on arriving while another view is open. */

/** Where a picture comes from. */
export type Origin =
  | { readonly from: 'file'; readonly name: string; readonly file: Blob }
  | { readonly from: 'address'; readonly address: string };

export interface Arrival {
  readonly id: string;
  readonly projectId: string;
  readonly name: string;
  readonly origin: Origin;
  /** 0–1; null while nobody can say. */
  readonly progress: number | null;
  readonly fault: string | null;
}

let arrivals: readonly Arrival[] = [];
const listeners = new Set<() => void>();

function set(next: readonly Arrival[]): void {
  arrivals = next;
  for (const tell of listeners) tell();
}
const change = (id: string, part: Partial<Arrival>) =>
  set(arrivals.map((arrival) => (arrival.id === id ? { ...arrival, ...part } : arrival)));

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** The pictures that are on their way into a project, and those that did not come. */
export const useArrivals = (projectId: string): readonly Arrival[] => {
  const all = useSyncExternalStore(subscribe, () => arrivals);
  return all.filter((arrival) => arrival.projectId === projectId);
};

export const dropArrival = (id: string): void => set(arrivals.filter((arrival) => arrival.id !== id));

/** "harbour at dusk" of "harbour-at-dusk.jpg". */
function nameOf(file: string): string {
  const stem = file.replace(/\.[a-z\d]{1,5}$/i, '').replace(/[-_]+/g, ' ');
  const clean = stem.replace(/[\p{Cc}\p{Cs}]/gu, '').trim();
  const capital = clean.charAt(0).toUpperCase() + clean.slice(1);
  return capital.slice(0, MOST_NAME).trim() || 'Picture';
}

function nameOfAddress(address: string): string {
  try {
    const last = new URL(address).pathname.split('/').findLast(Boolean) ?? '';
    return nameOf(decodeURIComponent(last));
  } catch {
    return nameOf(address.slice(0, 40));
  }
}

/** What can be told of a file before it is sent; null when nothing is wrong. */
async function faultIn(file: Blob): Promise<string | null> {
  if (!file.size) return 'The file is empty.';
  if (file.size > MOST_PICTURE_BYTES)
    return `The file has ${(file.size / 1e6).toFixed(1)} MB; ${MOST_PICTURE_BYTES / 1e6} MB are the most that can be opened.`;
  const head = new Uint8Array(await file.slice(0, 4096).arrayBuffer());
  return pictureKindOf(head)
    ? null
    : `This is none of the kinds that can be opened: ${PICTURE_KINDS_IN_WORDS}.`;
}

async function bring({ id, projectId, origin }: Arrival): Promise<KeptAnswer> {
  if (origin.from === 'address') return fetchPicture(projectId, origin.address);
  const fault = await faultIn(origin.file);
  if (fault) throw new Error(fault);
  return keepPicture(projectId, origin.file, (progress) => change(id, { progress }));
}

// What is on its way is nowhere but in this page.
addEventListener('beforeunload', (event) => {
  if (arrivals.some(({ fault }) => fault === null)) event.preventDefault();
});

let working: Promise<unknown> = Promise.resolve();

/** Brings one in after those before it, and puts it into the document. Resolves to the picture's id, or null. */
function run(store: AppStore, arrival: Arrival): Promise<string | null> {
  const turn = working.then(async () => {
    if (!arrivals.some(({ id }) => id === arrival.id)) return null;
    try {
      const { content, width, height } = await bring(arrival);
      const project = store.getState().project;
      // Another project was opened meanwhile; the picture is the first one's, which is asked for it anew.
      if (project?.id !== arrival.projectId) throw new Error('Its project was closed before it had come.');
      const known = project.document.pictures.find((picture) => picture.content === content);
      dropArrival(arrival.id);
      if (known) return known.id;
      const picture: Picture = {
        id: newId(),
        name: arrival.name,
        content,
        width,
        height,
        markers: [],
        moved: [],
        textOver: null,
      };
      return store.dispatch(edit({ type: 'addPicture', picture })) ? picture.id : null;
    } catch (error) {
      change(arrival.id, { fault: (error as Error).message, progress: null });
      return null;
    }
  });
  working = turn;
  return turn;
}

/** Takes pictures in, one after the other. Resolves to the ids of those that came, in their order. */
export async function arrive(store: AppStore, origins: readonly Origin[]): Promise<string[]> {
  const { id: projectId } = selectProject(store.getState());
  const fresh = origins.map(
    (origin): Arrival => ({
      id: newId(),
      projectId,
      name: origin.from === 'file' ? nameOf(origin.name) : nameOfAddress(origin.address),
      origin,
      progress: origin.from === 'file' ? 0 : null,
      fault: null,
    }),
  );
  set([...arrivals, ...fresh]);
  const ids = await Promise.all(fresh.map((arrival) => run(store, arrival)));
  return ids.filter((id) => id !== null);
}

/** Tries again what did not come. */
export function tryAgain(store: AppStore, arrival: Arrival): Promise<string | null> {
  change(arrival.id, { fault: null, progress: null });
  return run(store, arrival);
}

/** The files of a drop or a paste. */
export const filesOf = ({ files }: DataTransfer): Origin[] =>
  [...files].map((file) => ({ from: 'file', name: file.name, file }));
