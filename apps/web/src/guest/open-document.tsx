import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import type { SharedView } from '@mint-lamp/core/wire/shares';
import { useState } from 'react';
import { Families } from './look/families.tsx';
import { Gradients } from './look/gradients.tsx';
import { Reading } from './look/reading.tsx';
import { Roles } from './look/roles.tsx';
import { Scenes } from './look/scenes.tsx';
import { useConversation } from './noting/conversation.ts';
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
  const conversation = useConversation(document);
  const onNote = view.notes ? setNoted : undefined;
  const { subject } = view;
  const { kind } = subject;
  return (
    <>
      {part === 'notes' ? (
        <NotesList
          token={token}
          document={document}
          subject={subject}
          conversation={conversation}
          onNote={setNoted}
        />
      ) : (
        <>
          {(kind === 'project' || kind === 'scene') && (
            <Scenes
              only={kind === 'scene' ? subject.scene : null}
              system={system}
              themes={themes}
              text={text}
              notes={conversation.notes}
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
          conversation={conversation}
          onClose={() => setNoted(null)}
        />
      )}
    </>
  );
}
