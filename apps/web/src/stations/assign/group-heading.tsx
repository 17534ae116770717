import { readNames, writeGroup } from '@mint-lamp/core/system/roles/role-name';
import type { Ref } from 'react';
import { useEditing } from '../../store/editing.ts';
import { TextField } from '../../ui/text-field.tsx';

interface GroupHeadingProps {
  ref: Ref<HTMLTableRowElement> | undefined;
  index: number;
  group: readonly string[];
  columns: number;
}

/** The heading of a group. Renamed here, all roles below it follow, and so does what points to them. */
export function GroupHeading({ ref, index, group, columns }: GroupHeadingProps) {
  const { tryEdit } = useEditing();
  const written = writeGroup(group);
  return (
    <tr ref={ref} data-index={index} aria-rowindex={index + 2}>
      <th scope="rowgroup" colSpan={columns} className="pt-3 pb-0.5 text-left font-normal">
        {group.length ? (
          <TextField
            label={`Name of the group ${written}`}
            hideLabel
            value={written}
            className="sticky left-0 -ml-[5px] w-56"
            inputClassName="h-7! border-transparent! bg-transparent! px-1! font-title font-semibold -outline-offset-2! hover:border-control! focus:bg-raised!"
            onCommit={(text) => {
              const result = readNames(text);
              if (!result.ok) return result.reason;
              return tryEdit({ type: 'renameRoleGroup', from: group, to: result.names });
            }}
          />
        ) : (
          <span className="sticky left-0 text-sm text-quiet">in no group</span>
        )}
      </th>
    </tr>
  );
}
