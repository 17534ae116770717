import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import { ArrowLeft, Trash2 } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { StageTools } from '../stage-tools.tsx';

/** What an artwork is called, how it is looked at, and the way back. */
export function ArtworkHeader({ artwork }: { artwork: Artwork }) {
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit, tryEdit } = useEditing();
  return (
    <header className="flex flex-wrap items-end gap-x-3 gap-y-2 px-5 pt-3 pb-2">
      <Link
        to={addressOf(id, 'stage')}
        aria-label="All scenes and artwork"
        title="All scenes and artwork"
        className="flex size-7 items-center justify-center rounded-md hover:bg-pressed"
      >
        <ArrowLeft size={16} />
      </Link>
      <h1 className="sr-only">Stage: {artwork.name}</h1>
      <TextField
        label={`Name of the ${artwork.kind}`}
        hideLabel
        className="w-64"
        inputClassName="font-title text-lg font-semibold"
        value={artwork.name}
        onCommit={(name) => tryEdit({ type: 'renameArtwork', artwork: artwork.id, name })}
      />
      <span className="ml-auto" />
      <StageTools />
      <IconButton
        label={`Remove ${artwork.name}`}
        onClick={() => {
          if (edit({ type: 'removeArtwork', artwork: artwork.id })) navigate(addressOf(id, 'stage'));
        }}
      >
        <Trash2 size={16} />
      </IconButton>
    </header>
  );
}
