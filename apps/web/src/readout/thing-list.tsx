import { Link } from 'react-router';
import { notesAddress } from '../addresses.ts';
import { useProjectId, useTheme } from '../store/selectors.ts';
import { useFollowingReadout } from '../store/use-following-readout.ts';
import { COUNTED, type CountedKind } from './counted-things.ts';

const MOST = 100;

/** The things behind a count of the readout, each leading there. */
export default function ThingList({ kind }: { kind: CountedKind }) {
  const id = useProjectId();
  const items = COUNTED[kind](useFollowingReadout().readout, id, useTheme().theme.id);
  return (
    <>
      <ul className="max-w-96">
        {items.slice(0, MOST).map((item) => (
          <li key={item.key}>
            <Link to={item.to} className="block rounded-md px-2 py-1 hover:bg-pressed">
              {item.text}
            </Link>
          </li>
        ))}
      </ul>
      {kind === 'note' && (
        <Link
          to={notesAddress(id)}
          className="mt-1 block border-t border-hair px-2 pt-2 underline underline-offset-2"
        >
          All notes, with answers
        </Link>
      )}
      {items.length > MOST && <p className="px-2 text-quiet">… and {items.length - MOST} more</p>}
    </>
  );
}
