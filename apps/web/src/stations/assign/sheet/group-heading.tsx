import { readNames, writeGroup } from '@mint-lamp/core/system/roles/role-name';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { Ref } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { TextField } from '../../../ui/text-field.tsx';
import { pageBand } from './specimen.tsx';

interface GroupHeadingProps {
  ref: Ref<HTMLTableRowElement> | undefined;
  index: number;
  group: readonly string[];
  count: number;
  folded: boolean;
  /** The page of each theme, in CSS. */
  pages: readonly string[];
  onFold: (group: string) => void;
}

/** The heading of a group. Renamed here, all roles below it follow, and so does what points to them. */
export function GroupHeading({ ref, index, group, count, folded, pages, onFold }: GroupHeadingProps) {
  const { tryEdit } = useEditing();
  const written = writeGroup(group);
  return (
    <tr ref={ref} data-index={index} aria-rowindex={index + 2}>
      <th scope="rowgroup" className="sticky left-0 z-1 bg-ground pt-3 pb-0.5 text-left font-normal">
        {group.length ? (
          <span className="flex items-center">
            <button
              type="button"
              aria-expanded={!folded}
              aria-label={`${folded ? 'Unfold' : 'Fold'} ${written}, ${count} ${count === 1 ? 'role' : 'roles'}`}
              onClick={() => onFold(written)}
              className="rounded-md p-0.5 hover:bg-pressed"
            >
              {folded ? (
                <ChevronRight aria-hidden className="size-4" />
              ) : (
                <ChevronDown aria-hidden className="size-4" />
              )}
            </button>
            <TextField
              label={`Name of the group ${written}`}
              hideLabel
              value={written}
              className="flex-1"
              inputClassName="h-7! border-transparent! bg-transparent! px-1! font-title font-semibold -outline-offset-2! hover:border-control! focus:bg-raised!"
              onCommit={(text) => {
                const result = readNames(text);
                if (!result.ok) return result.reason;
                return tryEdit({ type: 'renameRoleGroup', from: group, to: result.names });
              }}
            />
            {folded && <span className="text-sm text-quiet">{count}</span>}
          </span>
        ) : (
          <span className="text-sm text-quiet">in no group</span>
        )}
      </th>
      {pages.map((page, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: columns have no other identity here
        <td key={i} className="p-0" style={{ background: pageBand(page) }} />
      ))}
      <td />
    </tr>
  );
}
