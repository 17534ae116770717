import { type Here, STILL_HERE_S, type Whereabouts } from '@mint-lamp/core/wire/presence';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { useLocation } from 'react-router';
import { ask } from '../../fetching/ask.ts';
import { sayLeaving } from '../../fetching/say-leaving.ts';
import { personOfPage } from '../../person/person.ts';
import { useProjectId } from '../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../store/store.ts';

/** Where one goes and what one lights changes fast: it is told no more often than this, ms. */
const PACE_MS = 250;
const GONE_MS = 3 * STILL_HERE_S * 1000;

const tab = crypto.randomUUID();

/** What is lit, as a text that is the same in every page. */
const useHolds = () =>
  useAppSelector(({ interface: { selection } }) => (selection ? JSON.stringify(selection) : null));

/** The part of the address behind the project's. */
const useAt = (id: string) => useLocation().pathname.slice(`/p/${id}/`.length);

/** Tells the others where this page is, whenever that is another place, and now and then. */
function useTelling(id: string): (asks: boolean) => void {
  const store = useStore() as AppStore;
  const at = useAt(id);
  const holds = useHolds();
  const edits = useAppSelector((state) => state.project?.edits ?? 0);
  const first = useRef(edits);
  const tell = useRef((_asks: boolean, _leaves = false) => {});
  tell.current = (asks, leaves = false) => {
    const { project } = store.getState();
    const label = project?.undo.at(-1)?.label;
    const did =
      label && project.edits > first.current ? { label: label.slice(0, 300), edits: project.edits } : null;
    const here: Whereabouts = {
      tab,
      at: at.slice(0, 300),
      holds: holds?.slice(0, 300) ?? null,
      did,
      asks,
      leaves,
    };
    const address = `/projects/${id}/here`;
    if (leaves) sayLeaving(address, here);
    // Whoever is not told is told the next time.
    else void ask('POST', address, here).catch(() => {});
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: told when any of it is another
  useEffect(() => {
    const timer = setTimeout(() => tell.current(false), PACE_MS);
    return () => clearTimeout(timer);
  }, [at, holds, edits]);
  useEffect(() => {
    tell.current(true);
    const timer = setInterval(() => tell.current(false), STILL_HERE_S * 1000);
    const leave = () => tell.current(false, true);
    addEventListener('pagehide', leave);
    return () => {
      clearInterval(timer);
      removeEventListener('pagehide', leave);
      leave();
    };
  }, []);
  return tell.current;
}

interface Heard extends Here {
  readonly heard: number;
}

/** The others who have this project open, each once, where they were last; and tells them of this page. */
export function useWhoIsHere(): readonly Here[] {
  const id = useProjectId();
  const tell = useTelling(id);
  const answer = useRef(tell);
  answer.current = tell;
  const [heard, setHeard] = useState<ReadonlyMap<string, Heard>>(new Map());
  useEffect(() => {
    const listen = ({ detail: here }: CustomEvent<Here>) => {
      if (here.person === personOfPage()) return;
      setHeard((before) => {
        const next = new Map(before);
        if (here.leaves) next.delete(here.tab);
        else next.set(here.tab, { ...here, heard: Date.now() });
        return next;
      });
      // Not all at once, where many are here.
      if (here.asks) setTimeout(() => answer.current(false), Math.random() * 500);
    };
    addEventListener('here', listen as EventListener);
    const timer = setInterval(
      () =>
        setHeard((before) => {
          const still = [...before].filter(([, one]) => Date.now() - one.heard < GONE_MS);
          return still.length === before.size ? before : new Map(still);
        }),
      STILL_HERE_S * 1000,
    );
    return () => {
      removeEventListener('here', listen as EventListener);
      clearInterval(timer);
    };
  }, []);
  return useMemo(() => {
    const byPerson = new Map<string, Heard>();
    for (const one of heard.values()) {
      const known = byPerson.get(one.person);
      if (!known || known.heard < one.heard) byPerson.set(one.person, one);
    }
    return [...byPerson.values()].sort((a, b) => a.name.localeCompare(b.name));
  }, [heard]);
}
