import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { notedName } from '@mint-lamp/core/document/naming/note-name';
import type { Note } from '@mint-lamp/core/document/notes/note';
import { mayDo } from '@mint-lamp/core/wire/access';
import clsx from 'clsx';
import { useCallback, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useNames } from '../fetching/use-names.ts';
import { personOfPage } from '../person/person.ts';
import { selectProject, useProjectDocument, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { useLongList } from '../ui/long-list.ts';
import { EmptyState } from '../ui/notice.tsx';
import { PageHeader } from '../ui/page-header.tsx';
import { SearchField } from '../ui/search-field.tsx';
import { SwitchGroup } from '../ui/switch-group.tsx';
import { NOTED_KINDS } from './notable-things.ts';
import { authorKey, filteredNotes, type NoteFilters } from './note-filters.ts';
import { addressOfNoted } from './noted-address.ts';
import { NotedColor } from './noted-color.tsx';
import { OneNote } from './one-note.tsx';
import { WriteNote } from './write-note.tsx';

const NOTHING: NoteFilters = { state: 'open', on: '', by: '', to: '', find: '' };

/** What is wanted, kept in the address so that it can be given to somebody and gone back to. */
function useFilters(): readonly [NoteFilters, (change: Partial<NoteFilters>) => void] {
  const [search, setSearch] = useSearchParams();
  const filters = {
    ...NOTHING,
    ...Object.fromEntries([...search].filter(([key]) => key in NOTHING)),
  } as NoteFilters;
  const change = (next: Partial<NoteFilters>) => {
    const whole = { ...filters, ...next };
    const said = Object.entries(whole).filter(([key, value]) => value !== NOTHING[key as keyof NoteFilters]);
    setSearch(Object.fromEntries(said), { replace: true });
  };
  return [filters, change];
}

/**
 * The notes that are wanted, in an order that stands still: what is settled or put otherwise meanwhile stays where it is,
 * under the hand that is about to answer it, and what is new waits until it is asked for. Taken anew with other filters.
 */
function useShownNotes(document: ProjectDocument, filters: NoteFilters, asked: string | null) {
  const { notes } = document;
  const key = JSON.stringify([filters, asked]);
  const fitting = useMemo(
    () => filteredNotes(notes, document, filters, personOfPage()).map(({ id }) => id),
    [notes, document, filters],
  );
  // One that an address leads to is there whatever is left out.
  const whole = () => (asked === null ? fitting : [asked, ...fitting.filter((id) => id !== asked)]);
  const [held, setHeld] = useState({ key, ids: whole() });
  const byId = useMemo(() => new Map(notes.map((note) => [note.id, note])), [notes]);
  const shown = useMemo(() => held.ids.flatMap((id) => byId.get(id) ?? []), [held, byId]);
  const fresh = fitting.filter((id) => !held.ids.includes(id));
  if (held.key !== key || (!shown.length && fresh.length)) setHeld({ key, ids: whole() });
  return {
    shown,
    fresh: fresh.length,
    /** Of what is new all, or the one that was just written here. */
    showFresh: (own?: string) =>
      setHeld(({ ids }) => ({ key, ids: [...(own === undefined ? fresh : [own]), ...ids] })),
  };
}

/** Every note of the project in one place, with what was said to it; what is not wanted is left out. */
export default function NotesPage() {
  const document = useProjectDocument();
  const { note: asked } = useParams();
  const access = useAppSelector((state) => selectProject(state).access);
  const [filters, change] = useFilters();
  const [writing, setWriting] = useState(false);
  const { notes } = document;
  const { shown, fresh, showFresh } = useShownNotes(document, filters, asked ?? null);
  const isFiltered = JSON.stringify(filters) !== JSON.stringify(NOTHING);
  return (
    <div className="flex min-h-full flex-col pb-6">
      <PageHeader
        title="Notes"
        help="notes"
        lead="What people say about this project’s colours, and what is still open."
      >
        {mayDo(access, 'note') && !writing && (
          <Button look="primary" onClick={() => setWriting(true)}>
            Write a note …
          </Button>
        )}
      </PageHeader>
      {writing && <WriteNote onSent={showFresh} onDone={() => setWriting(false)} />}
      {notes.length > 0 ? (
        <>
          <Filters filters={filters} onChange={change} notes={notes} />
          <p role="status" className="px-5 pb-2 text-sm text-quiet">
            {shown.length} of {notes.length === 1 ? '1 note' : `${notes.length} notes`}
            {isFiltered && (
              <Button small look="quiet" className="ml-2" onClick={() => change(NOTHING)}>
                Show the open ones
              </Button>
            )}
            {fresh > 0 && (
              <Button small className="ml-2" onClick={() => showFresh()}>
                {fresh === 1 ? 'Show 1 new note' : `Show ${fresh} new notes`}
              </Button>
            )}
          </p>
          {shown.length ? (
            <NoteList notes={shown} led={asked ?? null} />
          ) : (
            <EmptyState title={isFiltered ? 'No notes match' : 'No open notes'}>
              {isFiltered ? 'Try fewer filters.' : 'Everything is resolved.'}
            </EmptyState>
          )}
        </>
      ) : (
        !writing && (
          <EmptyState title="No notes yet">
            Write the first here, or at the lamp on whatever is lit. Clients write theirs through a share.
          </EmptyState>
        )
      )}
    </div>
  );
}

interface FiltersProps {
  filters: NoteFilters;
  onChange: (change: Partial<NoteFilters>) => void;
  notes: readonly Note[];
}

function Filters({ filters, onChange, notes }: FiltersProps) {
  const names = useNames(useProjectId());
  const authors = useMemo(() => {
    const all = notes.flatMap((note) => [note, ...note.answers]);
    return [...new Map(all.map((said) => [authorKey(said), said]))];
  }, [notes]);
  return (
    <search className="flex flex-wrap items-end gap-3 px-5 pb-3">
      <SwitchGroup
        label="Which"
        value={filters.state}
        options={[
          { value: 'open', label: 'Open' },
          { value: 'settled', label: 'Resolved' },
          { value: 'all', label: 'All' },
        ]}
        onChange={(state) => onChange({ state: state as NoteFilters['state'] })}
      />
      <Choice
        label="On"
        value={filters.on}
        options={[{ value: '', label: 'Anything' }, ...NOTED_KINDS]}
        onChange={(on) => onChange({ on })}
        className="w-44"
      />
      <Choice
        label="By"
        value={filters.by}
        options={[
          { value: '', label: 'Anybody' },
          ...authors.map(([value, said]) => ({
            value,
            label: names(said.author) ?? (said.by || 'Nobody named'),
          })),
        ]}
        onChange={(by) => onChange({ by })}
        className="w-40"
      />
      <Choice
        label="For"
        value={filters.to}
        options={[
          { value: '', label: 'Anybody' },
          { value: 'client', label: 'The client' },
          { value: 'team', label: 'Among us' },
          ...(personOfPage() === null ? [] : [{ value: 'me', label: 'Mentioning me' } as const]),
        ]}
        onChange={(to) => onChange({ to })}
        className="w-32"
      />
      <SearchField
        label="Find"
        value={filters.find}
        onChange={(find) => onChange({ find })}
        className="min-w-32 flex-1 basis-40 lg:max-w-72"
      />
    </search>
  );
}

/** Height of a note as it is at least, px. */
const ESTIMATE = 112;

function NoteList({ notes, led }: { notes: readonly Note[]; led: string | null }) {
  const keyOf = useCallback((index: number) => notes[index]?.id ?? '', [notes]);
  const open = notes.findIndex(({ id }) => id === led);
  const { list, rows, before, after, measure } = useLongList<HTMLUListElement>({
    count: notes.length,
    estimate: ESTIMATE,
    keyOf,
    open,
  });
  return (
    <ul ref={list} aria-label="Notes of this project" className="px-5">
      {before > 0 && <li aria-hidden style={{ height: before }} />}
      {rows.map((index) => {
        const note = notes[index];
        return (
          note && (
            <li
              key={note.id}
              ref={measure}
              data-index={index}
              aria-current={index === open ? 'true' : undefined}
              className={clsx(
                'grid grid-cols-[minmax(0,200px)_minmax(0,1fr)] gap-x-5 border-t border-hair py-3',
                index === open && 'bg-pressed',
              )}
            >
              <On note={note} />
              <div className="max-w-[75ch] min-w-0">
                <OneNote note={note} />
              </div>
            </li>
          )
        );
      })}
      {after > 0 && <li aria-hidden style={{ height: after }} />}
    </ul>
  );
}

/** What a note is on, in its colours, and the way there. */
function On({ note: { on, settled } }: { note: Note }) {
  const document = useProjectDocument();
  const id = useProjectId();
  const name = notedName(document, on);
  return (
    <div className="flex min-w-0 flex-col items-start gap-1">
      <NotedColor on={on} />
      {name === null ? (
        <span className="text-quiet">Something that was removed</span>
      ) : on.kind === 'project' ? (
        <span className="font-semibold">The whole project</span>
      ) : (
        <Link
          to={addressOfNoted(id, on)}
          className="max-w-full font-semibold break-words underline-offset-2 hover:underline"
        >
          {name}
        </Link>
      )}
      {settled && <span className="text-sm text-quiet">resolved</span>}
    </div>
  );
}
