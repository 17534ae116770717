import { Button } from '../ui/button.tsx';
import { Mark } from '../ui/mark.tsx';

/** There is nothing at an address; or no answer, for a reason, which may be another the next time. */
export function GonePage({ why, onAgain }: { why: string | null; onAgain: () => void }) {
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 px-6 text-center">
      <Mark className="size-12" />
      <h1 className="font-title text-xl font-semibold">
        {why === null ? 'There is nothing here, or it has expired' : 'This can’t be opened right now'}
      </h1>
      <p className="max-w-sm text-quiet">
        {why ?? 'Copy the whole address from the message, or ask whoever sent it for a new one.'}
      </p>
      <Button className="h-10" onClick={onAgain}>
        Try again
      </Button>
    </main>
  );
}
