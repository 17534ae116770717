import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import clsx from 'clsx';
import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../../addresses.ts';
import { pictureAddress } from '../../../../fetching/send-picture.ts';
import { usePixels } from '../../../../pixels/use-pixels.ts';
import { useEditing } from '../../../../store/editing.ts';
import { useDocumentPart, useProjectId } from '../../../../store/selectors.ts';
import { useAppSelector } from '../../../../store/store.ts';
import { EmptyState, Failure } from '../../../../ui/notice.tsx';
import { TextField } from '../../../../ui/text-field.tsx';
import { GatherHeader } from '../../gather-header.tsx';
import { TakeFiles } from '../take-files.tsx';
import { OpenDesk } from './open-desk.tsx';

/** The desk of one picture, as large as the station. */
export function PictureDesk({ id }: { id: string }) {
  const picture = useDocumentPart('pictures').find((one) => one.id === id);
  const surround = useAppSelector((state) => state.interface.surround);
  return (
    <TakeFiles className={clsx('absolute flex flex-col bg-ground', surround ? 'inset-6' : 'inset-0')}>
      {picture ? <Desk picture={picture} /> : <Missing />}
    </TakeFiles>
  );
}

function Missing() {
  const projectId = useProjectId();
  return (
    <>
      <GatherHeader source="pictures" lead={<BackToAll />} />
      <EmptyState title="This picture is no longer in the project">
        It may have been removed. Undo brings it back.{' '}
        <Link to={addressOf(projectId, 'gather', 'pictures')} className="underline underline-offset-2">
          See the others
        </Link>
      </EmptyState>
    </>
  );
}

function BackToAll() {
  const projectId = useProjectId();
  return (
    <Link
      to={addressOf(projectId, 'gather', 'pictures')}
      className="inline-flex items-center gap-1 rounded-md whitespace-nowrap underline-offset-2 hover:underline"
    >
      <ArrowLeft aria-hidden className="size-4" /> All pictures
    </Link>
  );
}

function Desk({ picture }: { picture: Picture }) {
  const projectId = useProjectId();
  const { tryEdit } = useEditing();
  const [tools, setTools] = useState<HTMLElement | null>(null);
  const pixels = usePixels(pictureAddress(projectId, picture.content));
  const lead = (
    <span className="mt-1 flex items-center gap-3">
      <BackToAll />
      <TextField
        label="Name of the picture"
        hideLabel
        value={picture.name}
        className="w-52 shrink"
        onCommit={(name) => (name ? tryEdit({ type: 'renamePicture', picture: picture.id, name }) : 'A name')}
      />
      <span className="text-sm whitespace-nowrap">
        {picture.width} × {picture.height} px
      </span>
    </span>
  );
  // The header stays what it is while the picture opens, so that a name that is being typed is not lost.
  return (
    <>
      <GatherHeader source="pictures" lead={lead}>
        <div ref={setTools} />
      </GatherHeader>
      {pixels.picture ? (
        <OpenDesk key={picture.content} picture={picture} pixels={pixels.picture} tools={tools} />
      ) : (
        <div className="grid flex-1 place-content-center justify-items-center gap-2">
          {pixels.fault ? (
            <Failure fault={pixels.fault} onAgain={pixels.again} />
          ) : (
            <>
              <p>Opening {picture.name} …</p>
              <progress
                aria-label="How much of the picture is open"
                value={pixels.progress}
                className="h-1.5 w-64 accent-[var(--text-main)]"
              />
            </>
          )}
        </div>
      )}
    </>
  );
}
