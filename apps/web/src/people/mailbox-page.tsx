import { format } from 'date-fns';
import { useState } from 'react';
import { reasonOf } from '../fetching/api.ts';
import { useMailboxQuery } from '../fetching/server-people-api.ts';
import { Button } from '../ui/button.tsx';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { OwnPage } from './own-page.tsx';

/** Letters that a server without mail keeps, to be opened here. */
export default function MailboxPage() {
  return (
    <OwnPage
      title="Mail kept here"
      lead="This server sends no mail. What it would send is kept here: open a message and follow its link."
    >
      <Letters />
    </OwnPage>
  );
}

const ADDRESS = /(https?:\/\/\S+)/;

/** A text in which addresses lead where they say; those of this server stay in the app. */
const withLinks = (text: string) =>
  text.split(ADDRESS).map((piece, i) =>
    ADDRESS.test(piece) ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: pieces of one text, which never change places
      <a key={i} href={piece.replace(/^https?:\/\/[^/]+/, '')} className="underline underline-offset-2">
        {piece}
      </a>
    ) : (
      piece
    ),
  );

function Letters() {
  const { data, error, refetch, isFetching } = useMailboxQuery();
  const [open, setOpen] = useState<string | null>(null);
  if (error && !data) return <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />;
  const letters = data?.letters ?? [];
  const shown = letters.find(({ id }) => id === open) ?? letters[0];
  return (
    <>
      <div className="mt-4">
        <Button onClick={() => void refetch()} disabled={isFetching}>
          Look for new ones
        </Button>
      </div>
      {!shown ? (
        <EmptyState title="No letters">
          Invite somebody into a team, and the letter to them lies here.
        </EmptyState>
      ) : (
        <div className="mt-4 grid items-start gap-6 md:grid-cols-[280px_1fr] narrow:grid-cols-1">
          <ul aria-label="Letters" className="divide-y divide-hair border-y border-hair">
            {letters.map(({ id, to, subject, at }) => (
              <li key={id}>
                <button
                  type="button"
                  aria-current={id === shown.id}
                  onClick={() => setOpen(id)}
                  className="block w-full px-2 py-2 text-left hover:bg-raised aria-[current=true]:bg-pressed"
                >
                  <span className="block truncate">{subject}</span>
                  <span className="block truncate text-sm text-quiet">
                    to {to}, {format(new Date(at), 'd MMM, HH:mm')}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <article aria-label="Letter" className="min-w-0 rounded-md border border-hair bg-raised p-6">
            <h2 className="font-title text-lg font-semibold">{shown.subject}</h2>
            <p className="mb-4 text-sm text-quiet">to {shown.to}</p>
            <p className="leading-relaxed break-words whitespace-pre-wrap">{withLinks(shown.text)}</p>
          </article>
        </div>
      )}
    </>
  );
}
