import type { Access } from '@mint-lamp/core/wire/access';
import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

/** What is told to who may do less than change it. */
const LESS: Readonly<Partial<Record<Access, string>>> = {
  noter: 'You can look at this project and write notes, but not change its colours.',
  looker: 'You can look at this project, copy and download, but not change it.',
};

/** Why the project can only be looked at, where that is so. */
export default function ReadOnlyLine() {
  const readOnly = useAppSelector((state) => selectProject(state).readOnly);
  const access = useAppSelector((state) => selectProject(state).access);
  const reason = readOnly ?? LESS[access];
  if (!reason) return null;
  return (
    <p role="status" className="border-b border-hair bg-sunken px-4 py-1.5 text-look">
      {reason}
    </p>
  );
}
