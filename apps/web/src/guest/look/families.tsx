import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import type { ClientView } from '@mint-lamp/core/exchange/people/client-view';
import { GuestSection } from '../guest-frame.tsx';
import { NoteButton } from '../noting/note-button.tsx';
import { Code } from './codes.tsx';
import { CssToCopy } from './css-to-copy.tsx';

interface FamiliesProps {
  client: ClientView;
  document: ProjectDocument;
  codes: boolean;
  onNote: ((on: Noted) => void) | undefined;
  /** Whether it is one family by itself. */
  alone: boolean;
}

/** Families with their shades, names first. */
export function Families({ client: { families }, document, codes, onNote, alone }: FamiliesProps) {
  if (!families.length) return null;
  const css = families
    .flatMap(({ name, shades }) =>
      shades.map((shade) => `  --${name.toLowerCase()}-${shade.name}: ${shade.css};`),
    )
    .join('\n');
  return (
    <>
      <GuestSection title={alone ? families[0]!.name : 'The colours it is made of'}>
        <ul className="grid gap-5">
          {families.map(({ name, shades }, i) => (
            <li key={name}>
              <div className="flex min-h-9 items-center gap-1">
                <h3 className="text-base font-semibold">{alone ? 'Its shades' : name}</h3>
                <NoteButton
                  on={{ kind: 'base', family: document.families[i]!.id }}
                  name={name}
                  onNote={onNote}
                />
              </div>
              <ol
                data-specimen
                className="grid grid-cols-[repeat(auto-fill,minmax(6.5rem,1fr))] overflow-hidden rounded-md border border-hair lg:auto-cols-fr lg:grid-flow-col lg:grid-cols-none"
              >
                {shades.map((shade) => (
                  <li
                    key={shade.name}
                    className={alone ? 'min-h-32 p-2' : 'min-h-20 p-2'}
                    style={{ background: shade.css, color: shade.isLight ? '#000000' : '#ffffff' }}
                  >
                    <b className="block font-semibold">{shade.name}</b>
                    <span className="block text-sm leading-tight">{shade.words}</span>
                    <Code text={shade.code} on={codes} />
                  </li>
                ))}
              </ol>
            </li>
          ))}
        </ul>
      </GuestSection>
      {alone && <CssToCopy css={`:root {\n${css}\n}`} />}
    </>
  );
}
