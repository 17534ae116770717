import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../addresses.ts';
import { selectProject, useReadout, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Popover } from '../ui/popover.tsx';
import { useCountedThings } from './counted-things.ts';

/** The thin line that is always true: what passes, what fails, what needs a look. Every count leads to its things. */
export function ReadoutLine() {
  const readout = useReadout();
  const { theme } = useTheme();
  const id = useAppSelector((state) => selectProject(state).id);
  const things = useCountedThings();
  const all = readout.pairs * readout.themes;
  const here = readout.passing[theme.id] ?? 0;
  const fails = all - readout.passingOverall;
  return (
    <section
      aria-label="Readout"
      className="col-span-2 flex items-center gap-1 overflow-hidden border-b border-hair bg-ground px-2 text-sm"
    >
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
      <Things
        count={things.alike.length}
        one="pair of colours too alike"
        many="pairs of colours too alike"
        items={things.alike}
      />
      <Things
        count={things.outside.length}
        one="colour outside sRGB"
        many="colours outside sRGB"
        items={things.outside}
      />
      <Things
        count={things.handSet.length}
        one="hand-set shade"
        many="hand-set shades"
        items={things.handSet}
        calm
      />
      <Things count={things.broken.length} one="broken link" many="broken links" items={things.broken} />
    </section>
  );
}

const TONES = { fail: 'text-fail', look: 'text-look', quiet: 'text-quiet' };
const COUNT = 'rounded-md px-2 py-0.5 whitespace-nowrap hover:bg-pressed hover:text-main';

function Count({ to, tone, children }: { to: string; tone: keyof typeof TONES; children: ReactNode }) {
  return (
    <Link to={to} className={clsx(COUNT, TONES[tone])}>
      {children}
    </Link>
  );
}

interface Thing {
  readonly key: string;
  readonly text: string;
  readonly to: string;
}

function Things({
  count,
  one,
  many,
  items,
  calm = false,
}: {
  count: number;
  one: string;
  many: string;
  items: readonly Thing[];
  calm?: boolean;
}) {
  const text = `${count} ${count === 1 ? one : many}`;
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
      <ul className="max-w-96">
        {items.slice(0, 100).map((item) => (
          <li key={item.key}>
            <Link to={item.to} className="block rounded-md px-2 py-1 hover:bg-pressed">
              {item.text}
            </Link>
          </li>
        ))}
      </ul>
      {items.length > 100 && <p className="px-2 text-quiet">… and {items.length - 100} more</p>}
    </Popover>
  );
}
