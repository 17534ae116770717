import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import type { ClientView } from '@mint-lamp/core/exchange/people/client-view';
import { useState } from 'react';
import { SwitchGroup } from '../../ui/switch-group.tsx';
import { GuestSection } from '../guest-frame.tsx';
import { NoteButton } from '../noting/note-button.tsx';
import { Code } from './codes.tsx';

interface RolesProps {
  client: ClientView;
  document: ProjectDocument;
  codes: boolean;
  onNote: ((on: Noted) => void) | undefined;
}

/** What each colour is for, by group, in one theme at a time. */
export function Roles({ client, document, codes, onNote }: RolesProps) {
  const [chosen, setChosen] = useState(client.themes[0]?.name ?? '');
  const theme = client.themes.find(({ name }) => name === chosen) ?? client.themes[0];
  if (!theme?.groups.length) return null;
  const idOf = (group: string, name: string) =>
    document.roles.find((role) => writeGroup(role.group) === group && role.name === name)?.id;
  return (
    <GuestSection title="What each colour is for">
      {client.themes.length > 1 && (
        <div className="mb-3 flex">
          <SwitchGroup
            label="Theme"
            value={theme.name}
            options={client.themes.map(({ name }) => ({ value: name, label: name }))}
            onChange={setChosen}
          />
        </div>
      )}
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-2 lg:grid-cols-3">
        {theme.groups.map(({ name: group, roles }) => (
          <div key={group}>
            <h3 className="text-base font-semibold">{group || 'On their own'}</h3>
            <ul>
              {roles.map(({ name, about, retired, paint, color, gradient }) => {
                const id = idOf(group, name);
                return (
                  <li key={name} className="flex items-center gap-3 border-b border-hair py-2">
                    <span
                      aria-hidden
                      className="size-12 shrink-0 rounded-md border border-control"
                      style={{ background: paint }}
                    />
                    <span className="min-w-0 flex-1">
                      <b className="block text-base font-semibold break-words">{name}</b>
                      <span className="block text-quiet">{color?.words ?? `the gradient ${gradient}`}</span>
                      {about && <span className="block text-quiet">{about}</span>}
                      {retired !== null && (
                        <span className="block text-quiet">
                          No longer used{retired && `; instead: ${retired}`}
                        </span>
                      )}
                      {color && <Code text={color.code} on={codes} />}
                    </span>
                    {id && (
                      <NoteButton on={{ kind: 'role', role: id }} name={`${group} ${name}`} onNote={onNote} />
                    )}
                  </li>
                );
              })}
            </ul>
          </div>
        ))}
      </div>
    </GuestSection>
  );
}
