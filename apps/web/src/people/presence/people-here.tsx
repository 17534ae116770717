import type { Here } from '@mint-lamp/core/wire/presence';
import { useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { useNavigate } from 'react-router';
import { STATIONS } from '../../addresses.ts';
import { litColor } from '../../kinds/lit.ts';
import { type Selection, selected } from '../../store/interface-slice.ts';
import { useProjectId, useSystem, useTheme } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { Popover } from '../../ui/popover.tsx';
import { PersonMark } from './person-mark.tsx';
import { useWhoIsHere } from './who-is-here.ts';

/** What somebody did is told for so long, ms. */
const TOLD_MS = 5000;
const MOST_MARKS = 4;

/** What somebody has lit, as they told it; null where that is nothing that can be read. */
function heldBy({ holds }: Here): Selection | null {
  try {
    return holds === null ? null : (JSON.parse(holds) as Selection);
  } catch {
    return null;
  }
}

const stationOf = ({ at }: Here) =>
  STATIONS.find(({ id }) => at.split('/')[0] === id)?.name ?? 'this project';

/** Who else is here, at which station, with which colour; what they did last; and the way to follow one. */
export function PeopleHere() {
  const others = useWhoIsHere();
  const [followed, setFollowed] = useState<string | null>(null);
  const follow = useFollowing(others.find(({ person }) => person === followed) ?? null, () =>
    setFollowed(null),
  );
  if (!others.length) return null;
  return (
    <>
      <Popover
        label="Who is here"
        trigger={
          <Button
            look="quiet"
            small
            aria-label={`${others.length === 1 ? '1 other is' : `${others.length} others are`} here: ${others.map(({ name }) => name).join(', ')}`}
            className="h-8! shrink-0 gap-0.5! px-1!"
          >
            {others.slice(0, MOST_MARKS).map((one) => (
              <PersonMark key={one.person} {...one} lit={one.person === followed} />
            ))}
            {others.length > MOST_MARKS && <span className="text-sm">+{others.length - MOST_MARKS}</span>}
          </Button>
        }
      >
        <ul aria-label="People here" className="w-80 divide-y divide-hair">
          {others.map((one) => (
            <li key={one.person} className="flex items-center gap-2 py-1.5">
              <PersonMark {...one} lit={one.person === followed} />
              <span className="min-w-0 flex-1">
                <b className="block truncate font-semibold">{one.name}</b>
                <Where one={one} />
              </span>
              <Button
                small
                aria-pressed={one.person === followed}
                aria-label={`Follow ${one.name}`}
                onClick={() => setFollowed(one.person === followed ? null : one.person)}
              >
                {one.person === followed ? 'Stop' : 'Follow'}
              </Button>
            </li>
          ))}
        </ul>
      </Popover>
      {follow && (
        <span className="shrink-0 text-sm text-quiet">
          You follow {follow} <kbd className="font-mono">Esc</kbd>
        </span>
      )}
      <LastDone others={others} />
      <HeldToo others={others} />
    </>
  );
}

/** Where somebody is and what they hold, in words. */
function Where({ one }: { one: Here }) {
  const system = useSystem();
  const theme = useTheme();
  const lit = litColor(system, theme, heldBy(one));
  return (
    <span className="block truncate text-sm text-quiet">
      at {stationOf(one)}
      {lit && `, with ${lit.title}`}
      {one.did && `; did: ${one.did.label}`}
    </span>
  );
}

/** Goes where somebody goes and lights what they light, until one does something oneself; whom one follows. */
function useFollowing(one: Here | null, stop: () => void): string | null {
  const id = useProjectId();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const end = useRef(stop);
  end.current = stop;
  const at = one?.at ?? null;
  const holds = one?.holds ?? null;
  useEffect(() => {
    if (at !== null) navigate(`/p/${id}/${at}`, { replace: true });
  }, [at, id, navigate]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what they hold says all of it
  useEffect(() => {
    if (one && holds !== null) dispatch(selected(heldBy(one)));
  }, [holds, dispatch, one?.person]);
  const isFollowing = one !== null;
  useEffect(() => {
    if (!isFollowing) return;
    const leave = (event: Event) => {
      const inPanel = (event.target as Element | null)?.closest?.('[aria-label="Who is here"]');
      const isKey = event instanceof KeyboardEvent;
      if (!inPanel || (isKey && event.key === 'Escape')) end.current();
    };
    addEventListener('pointerdown', leave, true);
    addEventListener('keydown', leave, true);
    return () => {
      removeEventListener('pointerdown', leave, true);
      removeEventListener('keydown', leave, true);
    };
  }, [isFollowing]);
  return one?.name ?? null;
}

/** Says who did what, for a moment, whenever somebody else does something. */
function LastDone({ others }: { others: readonly Here[] }) {
  const known = useRef(new Map<string, number>());
  const [says, setSays] = useState('');
  useEffect(() => {
    for (const { tab, name, did } of others) {
      if (!did || known.current.get(tab) === did.edits) continue;
      known.current.set(tab, did.edits);
      setSays(`${name}: ${did.label}`);
    }
  }, [others]);
  useEffect(() => {
    if (!says) return;
    const timer = setTimeout(() => setSays(''), TOLD_MS);
    return () => clearTimeout(timer);
  }, [says]);
  return (
    <span role="status" aria-label="What others did" className="max-w-48 min-w-0 truncate text-sm text-quiet">
      {says}
    </span>
  );
}

/** Says at the lamp that somebody else holds the same colour, before either of two changes it. */
function HeldToo({ others }: { others: readonly Here[] }) {
  const mine = useAppSelector(({ interface: { selection } }) => selection && JSON.stringify(selection));
  const [lamp, setLamp] = useState<HTMLElement | null>(null);
  useEffect(() => setLamp(document.getElementById('lamp')), []);
  const too = mine === null ? [] : others.filter(({ holds }) => holds === mine);
  if (!lamp || !too.length) return null;
  return createPortal(
    <p
      role="status"
      className="sticky bottom-0 border-t border-look bg-raised px-3 py-2 font-semibold text-look"
    >
      {too.map(({ name }) => name).join(', ')} {too.length === 1 ? 'holds' : 'hold'} this colour too.
    </p>,
    lamp,
  );
}
