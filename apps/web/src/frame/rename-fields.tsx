import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { readRoleName, writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { useEffect, useRef } from 'react';
import { useEditing } from '../store/editing.ts';
import type { Selection } from '../store/interface-slice.ts';
import { useProjectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { TextField } from '../ui/text-field.tsx';

interface Named {
  readonly what: string;
  readonly name: string;
  /** The command that names it; a sentence where the name cannot be. */
  readonly rename: (name: string) => Command | string;
}

/** What is lit, as something with a name: a shade and a base are of their family, a stop of its gradient. */
function litName(document: ProjectDocument, selection: Selection | null): Named | null | undefined {
  const find = <T extends { id: string }>(list: readonly T[], id: string) =>
    list.find((one) => one.id === id);
  switch (selection?.kind) {
    case 'base':
    case 'shade': {
      const family = find(document.families, selection.family);
      return (
        family && {
          what: 'The family',
          name: family.name,
          rename: (name) => ({ type: 'renameFamily', family: family.id, name }),
        }
      );
    }
    case 'role': {
      const role = find(document.roles, selection.role);
      return (
        role && {
          what: 'The role',
          name: writeRoleName(role),
          rename: (text) => {
            const read = readRoleName(text);
            return read.ok
              ? { type: 'renameRole', role: role.id, group: read.group, name: read.name }
              : read.reason;
          },
        }
      );
    }
    case 'swatch': {
      const swatch = find(document.tray, selection.swatch);
      return (
        swatch && {
          what: 'The colour in the tray',
          name: swatch.name,
          rename: (name) => ({ type: 'renameSwatch', swatch: swatch.id, name }),
        }
      );
    }
    case 'stop': {
      const gradient = find(document.gradients, selection.gradient);
      return (
        gradient && {
          what: 'The gradient',
          name: gradient.name,
          rename: (name) => ({ type: 'renameGradient', gradient: gradient.id, name }),
        }
      );
    }
    default:
      return null;
  }
}

export default function RenameFields() {
  const document = useProjectDocument();
  const selection = useAppSelector((state) => state.interface.selection);
  const { tryEdit } = useEditing();
  const lit = litName(document, selection);
  const fields = useRef<HTMLDivElement>(null);
  useEffect(() => fields.current?.querySelector('input')?.select(), []);
  const project: Named = {
    what: 'The project',
    name: document.name,
    rename: (name) => ({ type: 'renameProject', name }),
  };
  return (
    <div ref={fields} className="flex flex-col gap-3">
      {[...(lit ? [lit] : []), project].map(({ what, name, rename }) => (
        <TextField
          key={what}
          label={what}
          value={name}
          onCommit={(text) => {
            const command = rename(text.trim());
            return typeof command === 'string' ? command : tryEdit(command);
          }}
        />
      ))}
    </div>
  );
}
