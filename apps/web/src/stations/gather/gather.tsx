import type { ComponentType } from 'react';
import { useParams } from 'react-router';
import { SOURCES } from '../../addresses.ts';

/** What a source is told: what of it is open, by the rest of the address. */
export interface SourceProps {
  readonly view: string | null;
}

/** The sources by their files. */
const DRAWN = import.meta.glob<ComponentType<SourceProps>>('./*/*-source.tsx', {
  eager: true,
  import: 'default',
});

/** Collects colours, from one source at a time, each with an address of its own; without one, from text. */
export default function Gather() {
  const { source, view } = useParams();
  const { id } = SOURCES.find((one) => one.id === source) ?? SOURCES[0];
  const Source = DRAWN[`./${id}/${id}-source.tsx`]!;
  return <Source view={view ?? null} />;
}
