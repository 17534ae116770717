import { useEffect, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { takeInvitation } from '../fetching/sign-in-requests.ts';
import { Waiting } from '../ui/notice.tsx';
import { DoorPage } from './door-page.tsx';

/** Takes an invitation as who has just signed in. */
export default function InvitationTakenPage() {
  const token = useLocation().hash.slice(1);
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    takeInvitation({ token }).then(
      () => navigate('/', { replace: true }),
      (error: Error) => setProblem(error.message),
    );
  }, [token, navigate]);
  if (!problem) return <Waiting>Joining …</Waiting>;
  return (
    <DoorPage title="This invitation cannot be taken" lead={problem}>
      <Link to="/" className="underline underline-offset-2">
        All projects
      </Link>
    </DoorPage>
  );
}
