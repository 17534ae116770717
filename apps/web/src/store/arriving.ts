import { MOST_NAME } from '@mint-lamp/core/document/naming/names';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { MOST_PICTURE_BYTES, PICTURE_KINDS_IN_WORDS, pictureKindOf } from '@mint-lamp/core/picture/kind';
import type { KeptAnswer } from '@mint-lamp/core/wire/pictures';
import { fetchPicture, keepPicture } from '../fetching/send-picture.ts';
import { type Arrival, announced, dropped, failed, moved, type Origin } from './arrivals-slice.ts';
import { edit, newId } from './editing.ts';
import { selectProject } from './selectors.ts';
import type { AppDispatch, AppState } from './store.ts';

type Thunk<T> = (dispatch: AppDispatch, getState: () => AppState) => T;

/** "harbour at dusk" of "harbour-at-dusk.jpg". */
export function nameOfFile(file: string): string {
  const stem = file.replace(/\.[a-z\d]{1,5}$/i, '').replace(/[-_]+/g, ' ');
  const clean = stem.replace(/[\p{Cc}\p{Cs}]/gu, '').trim();
  const capital = clean.charAt(0).toUpperCase() + clean.slice(1);
  return capital.slice(0, MOST_NAME).trim() || 'Picture';
}

function nameOfAddress(address: string): string {
  try {
    const last = new URL(address).pathname.split('/').findLast(Boolean) ?? '';
    return nameOfFile(decodeURIComponent(last));
  } catch {
    return nameOfFile(address.slice(0, 40));
  }
}

/** What can be told of a file before it is sent; null when nothing is wrong. */
export async function faultInFile(file: Blob): Promise<string | null> {
  if (!file.size) return 'The file is empty.';
  if (file.size > MOST_PICTURE_BYTES)
    return `The file has ${(file.size / 1e6).toFixed(1)} MB; ${MOST_PICTURE_BYTES / 1e6} MB are the most that can be opened.`;
  const head = new Uint8Array(await file.slice(0, 4096).arrayBuffer());
  return pictureKindOf(head)
    ? null
    : `This kind of file can’t be opened. These can: ${PICTURE_KINDS_IN_WORDS}.`;
}

async function keptAt({ id, projectId, origin }: Arrival, dispatch: AppDispatch): Promise<KeptAnswer> {
  if (origin.from === 'address') return fetchPicture(projectId, origin.address);
  const fault = await faultInFile(origin.file);
  if (fault) throw new Error(fault);
  return keepPicture(projectId, origin.file, (progress) => dispatch(moved({ id, progress })));
}

/** Pictures come one after the other, whichever view they were opened in. */
let before: Promise<unknown> = Promise.resolve();

/** Takes one in after those before it, and puts it into the document. Resolves to the picture's id, or null. */
function takeIn(arrival: Arrival): Thunk<Promise<string | null>> {
  return (dispatch, getState) => {
    const turn = before.then(async () => {
      if (!getState().arrivals.some(({ id }) => id === arrival.id)) return null;
      try {
        const { content, width, height } = await keptAt(arrival, dispatch);
        const { project } = getState();
        // Another project was opened meanwhile; the picture is the first one's, which is asked for it anew.
        if (project?.id !== arrival.projectId) throw new Error('Its project was closed before it arrived.');
        const known = project.document.pictures.find((picture) => picture.content === content);
        dispatch(dropped(arrival.id));
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
        return dispatch(edit({ type: 'addPicture', picture })) ? picture.id : null;
      } catch (error) {
        dispatch(failed({ id: arrival.id, fault: (error as Error).message }));
        return null;
      }
    });
    before = turn;
    return turn;
  };
}

/** Takes pictures in. Resolves to the ids of those that came, in their order. */
export function arrive(origins: readonly Origin[]): Thunk<Promise<string[]>> {
  return async (dispatch, getState) => {
    const { id: projectId } = selectProject(getState());
    const fresh = origins.map(
      (origin): Arrival => ({
        id: newId(),
        projectId,
        name: origin.from === 'file' ? nameOfFile(origin.name) : nameOfAddress(origin.address),
        origin,
        progress: origin.from === 'file' ? 0 : null,
        fault: null,
      }),
    );
    dispatch(announced(fresh));
    const ids = await Promise.all(fresh.map((arrival) => dispatch(takeIn(arrival))));
    return ids.filter((id) => id !== null);
  };
}

/** Tries again what did not come. */
export function tryAgain(arrival: Arrival): Thunk<Promise<string | null>> {
  return (dispatch) => {
    dispatch(moved({ id: arrival.id, progress: null }));
    return dispatch(takeIn(arrival));
  };
}
