import { alikeIn, passingIn } from '@mint-lamp/core/judged/readout/readout';
import clsx from 'clsx';
import { memo, type ReactNode, useEffect, useRef } from 'react';
import { Link, useLocation } from 'react-router';
import { addressOf, notesAddress, STATIONS } from '../addresses.ts';
import { wentFrom } from '../store/interface-slice.ts';
import { selectDocument, useProjectId, useTheme } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { useFollowingReadout } from '../store/use-following-readout.ts';
import { HelpMark } from '../ui/help-mark.tsx';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';
import type { CountedKind } from './counted-things.ts';

const ThingList = part(() => import('./thing-list.tsx'));

/** The thin line that is always true: what passes, what fails, what needs a look. Every count leads to its things. */
export function ReadoutLine() {
  const { readout, behind } = useFollowingReadout();
  const { theme } = useTheme();
  const id = useProjectId();
  const all = readout.pairs * readout.themes;
  const here = passingIn(readout, theme.id);
  const fails = all - readout.passingOverall;
  return (
    <section
      aria-label="Readout"
      data-help="readout"
      aria-busy={behind}
      className="flex h-[30px] items-center gap-1 overflow-x-auto overflow-y-hidden border-b border-hair bg-ground px-2 text-sm"
    >
      {readout.pairs > 0 ? (
        <Count to={addressOf(id, 'check')} tone={fails ? 'fail' : 'quiet'}>
          <b>
            {here} of {readout.pairs}
          </b>{' '}
          {readout.pairs === 1 ? 'pair passes' : 'pairs pass'} in {theme.name},{' '}
          <b>
            {readout.passingOverall} of {all}
          </b>{' '}
          overall
        </Count>
      ) : (
        <NextStep />
      )}
      <Things
        count={alikeIn(readout, theme.id).length}
        one="pair of colours too alike"
        many="pairs of colours too alike"
        kind="alike"
      />
      <Things
        count={readout.outside.length}
        one="colour outside sRGB"
        many="colours outside sRGB"
        kind="outside"
      />
      <Things
        count={readout.handSet.length}
        one="hand-set shade"
        many="hand-set shades"
        kind="handSet"
        calm
      />
      <Things count={readout.broken.length} one="broken link" many="broken links" kind="broken" />
      {readout.notes.length ? (
        <Things count={readout.notes.length} one="open note" many="open notes" kind="note" calm />
      ) : (
        <Count to={notesAddress(id)} tone="quiet">
          0 open notes
        </Count>
      )}
      {behind && <span className="px-2 text-quiet">counting …</span>}
      <WayBack />
      <HelpMark of="readout" about="Readout" className="ml-auto" />
    </section>
  );
}

/** While nothing can be measured: what to do next, instead of a row of noughts. */
function NextStep() {
  const id = useProjectId();
  // One word for each state: drawn again only when another step is next.
  const next = useAppSelector((state) => {
    const { roles, families, tray } = selectDocument(state);
    if (roles.length) return 'pairs';
    if (families.length) return 'roles';
    return tray.length ? 'system' : 'colours';
  });
  const [station, says] = (
    {
      colours: ['gather', 'collect colours: paste a text, open a picture, type a code'],
      system: ['assign', 'make a first system of the colours in the tray'],
      roles: ['assign', 'name what each colour is for'],
      pairs: ['check', 'say which text stands on which ground'],
    } as const
  )[next];
  return (
    <Link to={addressOf(id, station)} className={clsx(COUNT, 'text-main underline underline-offset-2')}>
      <b>Next:</b> {says}
    </Link>
  );
}

/** The way back to the station that led here, to go on where one was. */
function WayBack() {
  const from = useAppSelector((state) => state.interface.cameFrom);
  const dispatch = useAppDispatch();
  const id = useProjectId();
  const { pathname } = useLocation();
  const isThere = from !== null && pathname.startsWith(addressOf(id, from));
  const hasLeft = useRef(false);
  useEffect(() => {
    if (from === null) hasLeft.current = false;
    else if (!isThere) hasLeft.current = true;
    else if (hasLeft.current) dispatch(wentFrom(null));
  }, [from, isThere, dispatch]);
  if (from === null || isThere) return null;
  return (
    <Link to={addressOf(id, from)} className="ml-auto px-2 whitespace-nowrap underline underline-offset-2">
      Back to {STATIONS.find((station) => station.id === from)!.name}
    </Link>
  );
}

const TONES = { fail: 'text-fail', look: 'text-look', quiet: 'text-quiet' };
const COUNT = 'rounded-md px-2 py-[3px] whitespace-nowrap hover:bg-pressed hover:text-main';

function Count({ to, tone, children }: { to: string; tone: keyof typeof TONES; children: ReactNode }) {
  return (
    <Link to={to} className={clsx(COUNT, TONES[tone])}>
      {children}
    </Link>
  );
}

interface ThingsProps {
  count: number;
  one: string;
  many: string;
  kind: CountedKind;
  calm?: boolean;
}

/** A count, and the things that it counts behind it. Drawn again only when the count changes. */
const Things = memo(function Things({ count, one, many, kind, calm = false }: ThingsProps) {
  const text = `${count} ${count === 1 ? one : many}`;
  // What cannot be yet is not counted.
  const isEmpty = useAppSelector((state) => !selectDocument(state).pairs.length);
  if (!count && isEmpty) return null;
  if (!count) return <span className="px-2 py-0.5 whitespace-nowrap text-quiet">{text}</span>;
  return (
    <Popover
      label={many}
      trigger={
        <button
          type="button"
          className={clsx(COUNT, TONES[calm ? 'quiet' : 'look'], 'underline underline-offset-2')}
        >
          <b>{count}</b> {count === 1 ? one : many}
        </button>
      }
    >
      <ThingList kind={kind} />
    </Popover>
  );
});
