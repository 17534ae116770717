import { useParams } from 'react-router';
import { TextSource } from './text/text-source.tsx';

/** Collects colours, from one source at a time, each with an address of its own; without one, from text. */
export default function Gather() {
  const { source, view } = useParams();
  return <TextSource asSystem={source === 'text' && view === 'system'} />;
}
