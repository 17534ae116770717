import { CircleUserRound } from 'lucide-react';
import { Link } from 'react-router';
import { useMeQuery } from '../fetching/account-api.ts';
import { signOut } from '../fetching/sign-in-requests.ts';
import { forgetOffline } from '../offline/keep-offline.ts';
import { rememberPerson } from '../person/person.ts';
import { waitingProjects } from '../storing/unsent.ts';
import { Button } from '../ui/button.tsx';
import { Confirm } from '../ui/confirm.tsx';
import { Popover, PopoverClose } from '../ui/popover.tsx';

const ROW = 'block w-full rounded-md px-2 py-1 text-left hover:bg-pressed';

/** Who one is here, and what belongs to that: account, teams, the server and its letters, going. */
export function AccountMenu() {
  const { data: me } = useMeQuery();
  const person = me?.person;
  if (!person) return null;
  const hasAccount = person.email !== '';
  const leave = async () => {
    await signOut();
    forgetSitting();
    await forgetOffline();
    rememberPerson(null);
    location.assign(me.local ? '/' : '/sign-in');
  };
  const waiting = waitingProjects().reduce((sum, { edits }) => sum + edits, 0);
  return (
    <Popover
      label="Account"
      align="end"
      trigger={
        <Button look="quiet">
          <CircleUserRound aria-hidden className="size-4" />
          {person.name}
        </Button>
      }
    >
      <div className="w-60">
        <p className="px-2 pb-2 text-sm text-quiet">
          {hasAccount ? person.email : 'Everything here belongs to this computer; nobody signs in.'}
        </p>
        <nav aria-label="Account" className="flex flex-col border-t border-hair pt-2">
          {hasAccount && <Row to="/account">Account and sign-in</Row>}
          <Row to="/teams">Teams</Row>
          {person.administrator && hasAccount && <Row to="/server">People of this server</Row>}
          {me.mailbox && <Row to="/mailbox">Mail kept here</Row>}
          <a href="/api/licences" target="_blank" rel="noreferrer" className={ROW}>
            Licences
          </a>
          {!hasAccount && me.local && <Row to="/sign-in">Sign in as somebody</Row>}
        </nav>
        {hasAccount && (
          <div className="mt-2 border-t border-hair pt-2">
            {waiting ? (
              <Confirm
                label="Sign out"
                trigger={
                  <button type="button" className={ROW}>
                    Sign out
                  </button>
                }
                yes="Sign out"
                no="Stay"
                onYes={() => void leave()}
              >
                {waiting === 1 ? '1 edit has' : `${waiting} edits have`} not reached the server. In this
                browser they are kept for you, and sent when you sign in here again.
              </Confirm>
            ) : (
              <button type="button" className={ROW} onClick={() => void leave()}>
                Sign out
              </button>
            )}
          </div>
        )}
      </div>
    </Popover>
  );
}

const Row = ({ to, children }: { to: string; children: string }) => (
  <PopoverClose asChild>
    <Link to={to} className={ROW}>
      {children}
    </Link>
  </PopoverClose>
);

/** What a tab remembers of its sitting is nobody else's who sits down here next. */
function forgetSitting(): void {
  try {
    sessionStorage.clear();
  } catch {
    // A browser that forbids it has kept nothing.
  }
}
