import { METHOD } from '@mint-lamp/core/vision/simulate';
import clsx from 'clsx';
import { type Reader, readerChosen } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { READERS } from './readers.ts';
import { SeverityTrack } from './severity-track.tsx';

/** Who everything is shown to be seen by. */
export default function SeeingMenu() {
  const reader = useAppSelector((state) => state.interface.reader);
  const dispatch = useAppDispatch();
  const choice = (id: Reader | null, name: string, note: string) => (
    <li key={id ?? 'everyone'}>
      <button
        type="button"
        aria-pressed={reader === id}
        onClick={() => dispatch(readerChosen(id))}
        className={clsx(
          'flex w-full items-baseline gap-2 rounded-md px-2 py-1 text-left hover:bg-pressed',
          reader === id && 'bg-pressed font-semibold',
        )}
      >
        {name}
        <span className="ml-auto text-sm font-normal text-quiet">{note}</span>
      </button>
    </li>
  );
  return (
    <div className="flex w-96 flex-col gap-2">
      <ul aria-label="Seen by">
        {choice(null, 'As it is', '')}
        {READERS.map(({ id, name, note }) => choice(id, name, note))}
      </ul>
      <SeverityTrack />
      <p className="text-sm text-quiet">
        The whole page is shown this way, this panel too. Simulated after {METHOD}.
      </p>
    </div>
  );
}
