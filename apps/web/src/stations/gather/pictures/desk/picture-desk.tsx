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
import { DESK_FOOT, OpeningProgress } from './desk-foot.tsx';
import { OpenDesk } from './open-desk.tsx';
import { isPanelOpen } from './use-desk.ts';

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
  const pixels = usePixels(pictureAddress(projectId, picture.content), picture);
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
        <OpenDesk
          key={picture.content}
          picture={picture}
          pixels={pixels.picture}
          isWhole={pixels.isWhole}
          progress={pixels.progress}
          tools={tools}
        />
      ) : (
        <div className="flex min-h-0 flex-1 gap-3 px-5 pb-4">
          {pixels.fault ? (
            <div className="grid flex-1 place-content-center">
              <Failure fault={pixels.fault} onAgain={pixels.again} />
            </div>
          ) : (
            <Opening
              name={picture.name}
              small={pictureAddress(projectId, picture.content, true)}
              progress={pixels.progress}
            />
          )}
        </div>
      )}
    </>
  );
}

interface OpeningProps {
  name: string;
  /** Address of what is shown of it in lists. */
  small: string;
  progress: number;
}

/** A picture that is on its way, as it is shown in lists, where it will lie. */
function Opening({ name, small, progress }: OpeningProps) {
  return (
    <>
      <div className="relative min-h-0 min-w-0 flex-1 overflow-hidden rounded-md border border-hair bg-sunken">
        <img src={small} alt="" data-specimen className="absolute inset-0 size-full object-contain" />
        <p className={DESK_FOOT}>
          Opening {name} …
          <OpeningProgress value={progress} />
        </p>
      </div>
      {isPanelOpen() && (
        <div className="w-72 shrink-0 rounded-md border border-hair p-3 text-quiet">
          The palettes follow …
        </div>
      )}
    </>
  );
}
