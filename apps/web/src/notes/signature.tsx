import type { Said } from '@mint-lamp/core/document/notes/note';
import { useNames } from '../fetching/use-names.ts';
import { useProjectId } from '../store/selectors.ts';

const WHEN = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

/** Who said something, and when. */
export function Signature({ said }: { said: Said }) {
  const names = useNames(useProjectId());
  return (
    <p className="min-w-0 truncate text-sm text-quiet">
      {names(said.author) ?? (said.by || 'Nobody named')},{' '}
      <time dateTime={new Date(said.at).toISOString()}>{WHEN.format(said.at)}</time>
    </p>
  );
}
