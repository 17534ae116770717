import type { RevisionEvent } from '@mint-lamp/core/wire/projects';
import type { SharedView } from '@mint-lamp/core/wire/shares';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ServerError } from '../fetching/ask.ts';
import { lookAtShare, sharedEventsAddress } from '../fetching/shared-requests.ts';

export type Shared =
  | { readonly as: 'waiting' }
  | { readonly as: 'locked' }
  /** Shut, over, or nothing; with words that are the same for each. */
  | { readonly as: 'gone' }
  /** There was no answer; what is open stays so. */
  | { readonly as: 'away'; readonly why: string }
  | { readonly as: 'open'; readonly view: SharedView };

/** Edits of a project come one after the other; it is looked at again no more often than this, ms. */
const PACE_MS = 400;
const REOPEN_MS = 3000;

/** A share, which goes on with its project where it shows that as it is. */
export function useShared(token: string): { shared: Shared; again: () => void } {
  const [shared, setShared] = useState<Shared>({ as: 'waiting' });
  const known = useRef<number | null>(null);
  const load = useCallback(
    async (again: boolean) => {
      try {
        const view = await lookAtShare(token, again);
        known.current = view.revision;
        setShared({ as: 'open', view });
      } catch (error) {
        const { code, away, message } = error as ServerError;
        if (error instanceof ServerError && code === 'SHARE_LOCKED') setShared({ as: 'locked' });
        else if (error instanceof ServerError && away)
          setShared((now) => (now.as === 'open' ? now : { as: 'away', why: message }));
        else setShared({ as: 'gone' });
      }
    },
    [token],
  );
  useEffect(() => void load(false), [load]);

  const isOpen = shared.as === 'open';
  useEffect(() => {
    if (!isOpen) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let events: EventSource;
    const soon = (ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void load(true), ms);
    };
    let reopening: ReturnType<typeof setTimeout> | undefined;
    const open = () => {
      events = new EventSource(sharedEventsAddress(token));
      events.onmessage = ({ data }) => {
        const { revision } = JSON.parse(data) as RevisionEvent;
        if (revision !== known.current) soon(PACE_MS);
      };
      events.onerror = () => {
        if (events.readyState !== EventSource.CLOSED) return;
        // It may be shut; looking tells.
        soon(0);
        reopening = setTimeout(open, REOPEN_MS);
      };
    };
    open();
    return () => {
      clearTimeout(timer);
      clearTimeout(reopening);
      events.close();
    };
  }, [isOpen, token, load]);
  return { shared, again: () => void load(false) };
}
