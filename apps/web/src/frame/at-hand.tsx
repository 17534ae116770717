import { Share2 } from 'lucide-react';
import { Link } from 'react-router';
import { addressOf } from '../addresses.ts';
import { PocketButton } from '../pocket/pocket-button.tsx';
import { useProjectId } from '../store/selectors.ts';

/** The ways out of the window: to people outside, and into a small window beside other work. */
export default function AtHand() {
  const id = useProjectId();
  return (
    <>
      <Link
        to={addressOf(id, 'deliver', 'shares')}
        aria-label="Share"
        title="Share with a client or a developer"
        className="flex size-8 items-center justify-center rounded-md hover:bg-pressed"
      >
        <Share2 aria-hidden className="size-4" />
      </Link>
      <PocketButton />
    </>
  );
}
