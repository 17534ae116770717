import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import type { SharedView } from '@mint-lamp/core/wire/shares';
import { useState } from 'react';
import { Families } from './look/families.tsx';
import { Gradients } from './look/gradients.tsx';
import { Reading } from './look/reading.tsx';
import { Roles } from './look/roles.tsx';
import { Scenes } from './look/scenes.tsx';
import { NoteDialog } from './noting/note-dialog.tsx';
import { NotesList } from './noting/notes-list.tsx';
import { useClientView, usePaintedThemes, useSystem } from './shown-system.ts';

interface OpenDocumentProps {
  token: string;
  view: SharedView;
  document: ProjectDocument;
  codes: boolean;
  part: 'look' | 'notes';
}

/** A part of a project, as it is looked at and noted on. */
export function OpenDocument({ token, view, document, codes, part }: OpenDocumentProps) {
  const system = useSystem(document);
  const client = useClientView(system, view.at, view.revision);
  const { themes, text } = usePaintedThemes(system, token);
  const [noted, setNoted] = useState<Noted | null>(null);
  // A note that was just sent is seen before the page has looked again.
  const [sent, setSent] = useState<ProjectDocument['notes']>([]);
  const notes = [...document.notes, ...sent.filter(({ id }) => !document.notes.some((one) => one.id === id))];
  const onNote = view.notes ? setNoted : undefined;
  const { subject } = view;
  const { kind } = subject;
  return (
    <>
      {part === 'notes' ? (
        <NotesList document={document} notes={notes} onNote={setNoted} />
      ) : (
        <>
          {(kind === 'project' || kind === 'scene') && (
            <Scenes
              only={kind === 'scene' ? subject.scene : null}
              document={document}
              themes={themes}
              text={text}
              onNote={onNote}
            />
          )}
          {kind === 'project' && <Reading themes={client.themes} />}
          {kind === 'report' && <Reading themes={client.themes} whole />}
          {kind === 'project' && <Roles client={client} document={document} codes={codes} onNote={onNote} />}
          {(kind === 'project' || kind === 'family') && (
            <Families
              client={client}
              document={document}
              codes={codes}
              onNote={onNote}
              alone={kind === 'family'}
            />
          )}
          {(kind === 'project' || kind === 'gradient') && (
            <Gradients client={client} codes={codes} onNote={onNote} alone={kind === 'gradient'} />
          )}
        </>
      )}
      {noted && (
        <NoteDialog
          token={token}
          document={document}
          on={noted}
          onClose={() => setNoted(null)}
          onSent={(note) => setSent([...sent, note])}
        />
      )}
    </>
  );
}
