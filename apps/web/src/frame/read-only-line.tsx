import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

/** Why the project can only be looked at, where that is so. */
export function ReadOnlyLine() {
  const reason = useAppSelector((state) => selectProject(state).readOnly);
  if (!reason) return null;
  return (
    <p role="status" className="border-b border-hair bg-sunken px-4 py-1.5 text-look">
      {reason}
    </p>
  );
}
