import { METHOD } from '@mint-lamp/core/vision/simulate';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { readerChosen } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { isDeficiency, READERS } from './readers.ts';
import { SeeingFilters } from './seeing-filters.tsx';

/** Shows the whole page as somebody sees it, and says so for as long as that is so. */
export default function SeenLine() {
  const { reader, severity } = useAppSelector((state) => state.interface);
  const dispatch = useAppDispatch();
  // There the same is seen by all of them side by side, and once is enough.
  const aside = useLocation().pathname.endsWith('/readers');
  const words = READERS.find(({ id }) => id === reader);
  const filter = aside ? '' : (words?.filter ?? '');
  useEffect(() => {
    const { style } = document.documentElement;
    style.filter = filter;
    return () => {
      style.filter = '';
    };
  }, [filter]);
  if (!words) return null;
  const method = isDeficiency(words.id) ? `, severity ${Math.round(severity * 100)} %; ${METHOD}` : '';
  return (
    <div className="flex items-center gap-3 border-b border-hair bg-sunken px-4 py-1">
      <SeeingFilters severity={severity} />
      <p role="status" className="min-w-0 flex-1 truncate text-sm text-look">
        {aside ? 'Everything is shown this way elsewhere' : 'Everything is shown this way'}:{' '}
        <b>{words.name}</b>, {words.note}
        {method}.
      </p>
      <Button small onClick={() => dispatch(readerChosen(null))}>
        As it is
      </Button>
    </div>
  );
}
