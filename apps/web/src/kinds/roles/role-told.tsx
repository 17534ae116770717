import { faultOfText } from '@mint-lamp/core/document/naming/names';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { MOST_ABOUT, type Role } from '@mint-lamp/core/document/roles/role';
import { useId } from 'react';
import { useEditing } from '../../store/editing.ts';
import { useDocumentPart } from '../../store/selectors.ts';
import { TextField } from '../../ui/text-field.tsx';

const faultOf = (text: string) =>
  text.length > MOST_ABOUT ? `At most ${MOST_ABOUT} characters; this has ${text.length}.` : faultOfText(text);

/** What a role is for, in words to those who use it; and that it is retired, with what to use instead. */
export function RoleTold({ role }: { role: Role }) {
  const roles = useDocumentPart('roles');
  const { edit } = useEditing();
  const names = useId();
  const { id, about = '', retired, origin } = role;
  return (
    <div className="mt-2 flex flex-col gap-1.5">
      <TextField
        label="What it is for, told in files"
        value={about}
        onCommit={(typed) => {
          const text = typed.trim();
          const fault = text ? faultOf(text) : null;
          if (!fault && text !== about) edit({ type: 'tellOfRole', role: id, about: text || null });
          return fault;
        }}
      />
      {origin && (
        <p className="text-sm text-quiet">
          Was <span className="font-mono text-main break-all">{origin.property}</span>
          {origin.value !== origin.property && (
            <>
              : <span className="font-mono break-all">{origin.value}</span>
            </>
          )}
          , {origin.file ? `${origin.file}, ` : ''}line {origin.line}
        </p>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={retired !== undefined}
          onChange={(event) =>
            edit({ type: 'retireRole', role: id, instead: event.target.checked ? '' : null })
          }
        />
        Retired: not to be used any more
      </label>
      {retired !== undefined && (
        <>
          <TextField
            label="To be used instead"
            mono
            list={names}
            value={retired}
            onCommit={(typed) => {
              const text = typed.trim();
              const fault = text ? faultOf(text) : null;
              if (!fault && text !== retired) edit({ type: 'retireRole', role: id, instead: text });
              return fault;
            }}
          />
          <datalist id={names}>
            {roles
              .filter((other) => other.id !== id)
              .map((other) => (
                <option key={other.id} value={writeRoleName(other)} />
              ))}
          </datalist>
        </>
      )}
    </div>
  );
}
