import type { KeptAnswer } from '@mint-lamp/core/wire/pictures';
import { ask, faultOf, LONG_PATIENCE_MS, ofThisPerson, turnedAway, unreachable } from './ask.ts';

/** Sends a file, which only this way of asking tells the progress of; 0–1. */
export function keepPicture(
  id: string,
  file: Blob,
  onProgress: (share: number) => void,
): Promise<KeptAnswer> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `/api/projects/${id}/pictures`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    for (const [name, value] of Object.entries(ofThisPerson())) request.setRequestHeader(name, value);
    request.responseType = 'json';
    // A large file may take long; one that does not move any more is given up.
    let still: ReturnType<typeof setTimeout> | undefined;
    const moved = () => {
      clearTimeout(still);
      still = setTimeout(() => request.abort(), LONG_PATIENCE_MS);
    };
    request.upload.onprogress = ({ loaded, total }) => {
      moved();
      onProgress(total ? loaded / total : 0);
    };
    request.onloadend = () => clearTimeout(still);
    request.onload = () => {
      if (request.status === 201) return resolve(request.response);
      const fault = faultOf(request.status, request.response);
      turnedAway(fault);
      reject(fault);
    };
    request.onerror = () => reject(unreachable());
    request.onabort = () => reject(unreachable());
    moved();
    request.send(file);
  });
}

/** Has the server fetch a picture by its address. */
export const fetchPicture = (id: string, address: string) =>
  ask<KeptAnswer>('POST', `/projects/${id}/pictures/fetched`, { address }, LONG_PATIENCE_MS);

/** Where the browser finds the file of a picture; a small one with `small`. */
export const pictureAddress = (id: string, content: string, small = false) =>
  `/api/projects/${id}/pictures/${content}${small ? '/small' : ''}`;
