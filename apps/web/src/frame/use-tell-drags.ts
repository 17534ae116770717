import type { Command } from '@mint-lamp/core/document/commands/command';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { ask } from '../fetching/ask.ts';
import { selectProject } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';

/** Ten times a second is seen as moving. */
const PACE_MS = 100;
/** Nobody follows: that is asked again after so long, at the next drag. */
const NOBODY_MS = 5000;

/**
 * Tells the server what is being dragged, for those who follow the project's style sheet; nothing while nobody does, and
 * nothing once it rests. What is let go of arrives as the edit that it is.
 */
export function useTellDrags(): void {
  const store = useStore() as AppStore;
  useEffect(() => {
    let said: Command | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let quietUntil = 0;
    let sending = false;
    let before: unknown = null;

    const send = async () => {
      timer = undefined;
      const { id, gesture, revision } = selectProject(store.getState());
      if (sending || gesture === said) return;
      said = gesture;
      sending = true;
      const begun = performance.now();
      try {
        const { followed } = await ask<{ followed: boolean }>('POST', `/projects/${id}/drag`, {
          revision,
          command: gesture,
        });
        if (!followed) quietUntil = performance.now() + NOBODY_MS;
      } catch {
        // Who follows sees it once it is let go.
        quietUntil = performance.now() + NOBODY_MS;
      }
      sending = false;
      timer = setTimeout(
        () => {
          timer = undefined;
          look();
        },
        Math.max(0, begun + PACE_MS - performance.now()),
      );
    };
    const look = () => {
      const { project } = store.getState();
      if (!project || project.readOnly) return;
      const { gesture, document } = project;
      // An edit ends its drag by itself; somebody else's takes it away under the hand, so that it is said again.
      if (document !== before) {
        before = document;
        said = null;
      }
      if (gesture === said) return;
      if (sending || timer) return;
      if (performance.now() < quietUntil) {
        said = gesture;
        return;
      }
      timer = setTimeout(send, 0);
    };
    const leave = store.subscribe(look);
    return () => {
      leave();
      clearTimeout(timer);
    };
  }, [store]);
}
