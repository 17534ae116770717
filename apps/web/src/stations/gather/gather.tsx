import { useParams } from 'react-router';
import { PictureDesk } from './pictures/desk/picture-desk.tsx';
import { PicturesSource } from './pictures/pictures-source.tsx';
import { ProposalsSource } from './proposals/proposals-source.tsx';
import { RelativesSource } from './relatives/relatives-source.tsx';
import { ShelfSource } from './shelf/shelf-source.tsx';
import { TextSource } from './text/text-source.tsx';

/** Collects colours, from one source at a time, each with an address of its own; without one, from text. */
export default function Gather() {
  const { source, view } = useParams();
  if (source === 'pictures') return view ? <PictureDesk key={view} id={view} /> : <PicturesSource />;
  if (source === 'relatives') return <RelativesSource />;
  if (source === 'proposals') return <ProposalsSource seed={view ?? null} />;
  if (source === 'shelf') return <ShelfSource view={view ?? null} />;
  return <TextSource asSystem={source === 'text' && view === 'system'} />;
}
