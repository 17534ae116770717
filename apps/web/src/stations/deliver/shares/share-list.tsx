import type { MadeShare, Share } from '@mint-lamp/core/wire/shares';
import { formatDistanceToNow } from 'date-fns';
import { toast } from 'sonner';
import { reasonOf } from '../../../fetching/api.ts';
import {
  useReaddressShareMutation,
  useRemoveShareMutation,
  useShutShareMutation,
} from '../../../fetching/shares-api.ts';
import { useNames } from '../../../fetching/use-names.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Confirm } from '../../../ui/confirm.tsx';
import { ChangeShare } from './change-share.tsx';
import { subjectWords } from './subjects.ts';

const ago = (at: string) => formatDistanceToNow(new Date(at), { addSuffix: true });

/** Whether a share is open, and until when, in words. */
function standing({ shutAt, endsAt }: Share): { readonly open: boolean; readonly says: string } {
  if (shutAt) return { open: false, says: `shut ${ago(shutAt)}` };
  if (Date.parse(endsAt) < Date.now()) return { open: false, says: `ended ${ago(endsAt)}` };
  return { open: true, says: `open, ends ${ago(endsAt)}` };
}

const mayDo = ({ tries, notes, locked, subject }: Share) =>
  [
    ...(subject.kind === 'css' ? [] : ['look']),
    ...(tries ? ['try'] : []),
    ...(notes ? ['note'] : []),
    ...(locked ? ['with a passphrase'] : []),
  ].join(', ');

/** The shares of the project, each with what can be done with it. */
export function ShareList({
  shares,
  onMade,
}: {
  shares: readonly Share[];
  onMade: (made: MadeShare) => void;
}) {
  const project = useProjectId();
  const document = useProjectDocument();
  const names = useNames(project);
  const [shut] = useShutShareMutation();
  const [readdress] = useReaddressShareMutation();
  const [remove] = useRemoveShareMutation();
  /** Does something with a share, and tells why where it could not be done. */
  const tell = async <T,>(done: Promise<T>, then?: (value: T) => void) => {
    try {
      then?.(await done);
    } catch (error) {
      toast.error(reasonOf(error));
    }
  };
  return (
    <ul aria-label="Shares" className="px-5">
      {shares.map((share) => {
        const { id, name, subject, revision, opened, openedAt, author } = share;
        const { open, says } = standing(share);
        const of = { project, share: id };
        const by = names(author);
        return (
          <li
            key={id}
            aria-label={name}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-2"
          >
            <div className="min-w-0 flex-1 basis-64">
              <b className="font-semibold break-words">{name}</b>
              <span className="block text-sm text-quiet">
                {subjectWords(document, subject)}
                {revision === null ? ', as it is' : `, revision ${revision}`}
                {mayDo(share) && ` · ${mayDo(share)}`}
                {by && ` · by ${by}`}
              </span>
            </div>
            <div className="w-52 text-sm">
              <span className={open ? 'block' : 'block text-quiet'}>{says}</span>
              <span className="block text-quiet">
                {opened
                  ? `${subject.kind === 'css' ? 'followed' : 'opened'} ${opened === 1 ? 'once' : `${opened} times`}, ${openedAt ? `last ${ago(openedAt)}` : ''}`
                  : 'not opened yet'}
              </span>
            </div>
            <div className="flex gap-1">
              <ChangeShare share={share} />
              <Confirm
                trigger={<Button small>New address …</Button>}
                label={`A new address for ${name}`}
                yes="Make a new one"
                no="Keep this one"
                onYes={() => void tell(readdress(of).unwrap(), onMade)}
              >
                The address that you gave away then leads nowhere{open ? '' : ', and the new one is open'}.
              </Confirm>
              {open ? (
                <Button small aria-label={`Shut ${name}`} onClick={() => void tell(shut(of).unwrap())}>
                  Shut
                </Button>
              ) : (
                <Confirm
                  trigger={
                    <Button small look="danger" aria-label={`Remove ${name}`}>
                      Remove …
                    </Button>
                  }
                  label={`Remove ${name}`}
                  yes="Remove it"
                  no="Keep it"
                  onYes={() => void tell(remove(of).unwrap())}
                >
                  This can’t be undone. What came back through it stays.
                </Confirm>
              )}
            </div>
          </li>
        );
      })}
    </ul>
  );
}
