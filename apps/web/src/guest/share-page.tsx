import { useEffect } from 'react';
import { useParams } from 'react-router';
import { Waiting } from '../ui/notice.tsx';
import { GonePage } from './gone-page.tsx';
import { LockedPage } from './locked-page.tsx';
import { OpenShare } from './open-share.tsx';
import { useShared } from './use-shared.ts';

/** What whoever was given a share sees at its address. */
export default function SharePage() {
  const { token = '' } = useParams();
  const { shared, again } = useShared(token);
  const name = shared.as === 'open' ? shared.view.name : null;
  useEffect(() => {
    if (name !== null) document.title = name;
  }, [name]);
  if (shared.as === 'waiting') return <Waiting>Opening …</Waiting>;
  if (shared.as === 'locked') return <LockedPage token={token} onOpen={again} />;
  if (shared.as === 'open') return <OpenShare token={token} view={shared.view} />;
  return <GonePage why={shared.as === 'away' ? shared.why : null} onAgain={again} />;
}
