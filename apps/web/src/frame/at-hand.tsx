import { Eye, Keyboard, Share2 } from 'lucide-react';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { addressOf } from '../addresses.ts';
import { keepOffline } from '../offline/keep-offline.ts';
import { PocketButton } from '../pocket/pocket-button.tsx';
import { dialogOpened } from '../store/interface-slice.ts';
import { useProjectId } from '../store/selectors.ts';
import { type AppStore, useAppDispatch } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';
import { useFocusKept } from '../ui/use-focus-kept.ts';
import { useHoldStill } from './use-hold-still.ts';
import { useTellDrags } from './use-tell-drags.ts';

const SeeingMenu = part(() => import('../seeing/seeing-menu.tsx'));

/** What is fetched ahead has mostly come by then. */
const QUIET_MS = 8000;

/** Keeps what is open for when the server does not answer, once the page is quiet. */
function useKeptOffline() {
  const store = useStore() as AppStore;
  useEffect(() => {
    let left = false;
    let stop = () => {};
    const timer = setTimeout(async () => {
      // A browser that keeps nothing opens nothing without the server, as before.
      const ended = await keepOffline(store).catch(() => () => {});
      if (left) ended();
      else stop = ended;
    }, QUIET_MS);
    return () => {
      left = true;
      clearTimeout(timer);
      stop();
    };
  }, [store]);
}

/** What can come a moment later: the sheet of shortcuts, the way to people outside, the small window beside other work, other eyes. */
export default function AtHand() {
  const id = useProjectId();
  const dispatch = useAppDispatch();
  useTellDrags();
  useHoldStill();
  useFocusKept();
  useKeptOffline();
  return (
    <>
      <IconButton
        data-help="shortcuts"
        label="Shortcuts"
        hint="Shortcuts (?)"
        onClick={() => dispatch(dialogOpened('shortcuts'))}
      >
        <Keyboard aria-hidden className="size-4" />
      </IconButton>
      <Link
        to={addressOf(id, 'deliver', 'shares')}
        aria-label="Share"
        data-help="share"
        title="Share with a client or a developer"
        className="flex size-8 items-center justify-center rounded-md hover:bg-pressed"
      >
        <Share2 aria-hidden className="size-4" />
      </Link>
      <PocketButton />
      <Popover
        label="Seen by"
        align="end"
        trigger={
          <Button
            look="quiet"
            aria-label="Seen by"
            data-help="seen-by"
            title="See everything as others see it"
            className="size-8 px-0!"
          >
            <Eye aria-hidden className="size-4" />
          </Button>
        }
      >
        <SeeingMenu />
      </Popover>
    </>
  );
}
