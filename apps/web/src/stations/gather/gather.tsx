import { Navigate, useParams } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { TextSource } from './text/text-source.tsx';

/** Collects colours, from one source at a time, each with an address of its own. */
export default function Gather() {
  const id = useProjectId();
  const { source, view } = useParams();
  if (source !== 'text' || (view !== undefined && view !== 'system'))
    return <Navigate replace to={addressOf(id, 'gather', 'text')} />;
  return <TextSource asSystem={view === 'system'} />;
}
