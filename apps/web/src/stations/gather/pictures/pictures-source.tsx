import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { Trash2, X } from 'lucide-react';
import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { pictureAddress } from '../../../fetching/send-picture.ts';
import { startAhead } from '../../../pixels/worker-ahead.ts';
import { type Arrival, dropped } from '../../../store/arrivals-slice.ts';
import { tryAgain } from '../../../store/arriving.ts';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart, useProjectId } from '../../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { Progress } from '../../../ui/progress.tsx';
import { GatherHeader } from '../gather-header.tsx';
import { PictureDesk } from './desk/picture-desk.tsx';
import { OpenPictures } from './open-pictures.tsx';
import { TakeFiles } from './take-files.tsx';

const FEW = 6;
/** Until all that comes with the list is there, ms. */
const REST_MS = 400;

/** The pictures of the project, or the one that is open. @public Found by its file. */
export default function PicturesSource({ view }: { view: string | null }) {
  return view ? <PictureDesk key={view} id={view} /> : <AllPictures />;
}

/** While pictures are looked through, what opens one is made ready. */
function useStartAhead(wanted: boolean): void {
  useEffect(() => {
    if (!wanted) return;
    const timer = setTimeout(startAhead, REST_MS);
    return () => clearTimeout(timer);
  }, [wanted]);
}

/** All pictures of the project, and the ways to open more. */
function AllPictures() {
  const pictures = useDocumentPart('pictures');
  const projectId = useProjectId();
  useStartAhead(pictures.length > 0);
  const arrivals = useAppSelector((state) => state.arrivals).filter((one) => one.projectId === projectId);
  return (
    <TakeFiles className="relative flex min-h-full flex-col">
      <GatherHeader
        source="pictures"
        lead="Open photographs and drawings; take colours from places in them, or whole palettes."
      />
      <div className="flex flex-1 flex-col gap-5 px-5 pb-5">
        <OpenPictures />
        <ul aria-label="On their way" className="flex flex-col gap-1 empty:hidden">
          {arrivals.map((arrival) => (
            <ArrivalLine key={arrival.id} arrival={arrival} />
          ))}
        </ul>
        {pictures.length ? (
          <ul
            aria-label="Pictures of the project"
            className={
              // A few are shown large.
              pictures.length <= FEW
                ? 'grid grid-cols-[repeat(auto-fill,minmax(max(min(100%,340px),24%),1fr))] gap-4'
                : 'grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-4'
            }
          >
            {pictures.map((picture) => (
              <PictureCard key={picture.id} picture={picture} projectId={projectId} />
            ))}
          </ul>
        ) : (
          <EmptyState title="No pictures yet">
            Drop some here, paste one, or open files: PNG, JPEG, WebP, AVIF, GIF (its first frame) or SVG, up
            to 50 megapixels and 40 MB. What a camera notes besides the picture is not kept.
          </EmptyState>
        )}
      </div>
    </TakeFiles>
  );
}

function ArrivalLine({ arrival }: { arrival: Arrival }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { name, fault, progress, projectId } = arrival;
  const again = async () => {
    const id = await dispatch(tryAgain(arrival));
    if (id) navigate(addressOf(projectId, 'gather', 'pictures', id));
  };
  if (fault)
    return (
      <li className="flex items-center gap-3">
        <span role="alert" className="min-w-0">
          <b className="font-semibold">{name}</b>: <span className="text-fail">{fault}</span>
        </span>
        <Button small onClick={() => void again()}>
          Try again
        </Button>
        <IconButton small label={`Delete ${name}`} onClick={() => dispatch(dropped(arrival.id))}>
          <X aria-hidden className="size-4" />
        </IconButton>
      </li>
    );
  return (
    <li className="flex items-center gap-3">
      <span className="w-52 truncate">{name}</span>
      <Progress
        label={`${name} arrives`}
        value={progress === null || progress >= 1 ? null : progress}
        className="w-64"
      />
      <span className="text-sm text-quiet">
        {progress === null ? 'is fetched …' : progress >= 1 ? 'is looked through …' : 'is sent …'}
      </span>
    </li>
  );
}

function PictureCard({ picture, projectId }: { picture: Picture; projectId: string }) {
  const { edit } = useEditing();
  const { id, name, width, height, content, markers } = picture;
  return (
    <li className="group relative">
      <Link to={addressOf(projectId, 'gather', 'pictures', id)} className="block rounded-md">
        <span className="checker block aspect-[3/2] overflow-hidden rounded-md border border-hair">
          <img
            src={pictureAddress(projectId, content, true)}
            alt=""
            loading="lazy"
            className="size-full object-contain"
          />
        </span>
        <span className="mt-1 block truncate font-semibold">{name}</span>
        <span className="block text-sm text-quiet">
          {width} × {height} px
          {markers.length > 0 && `, ${markers.length} ${markers.length === 1 ? 'marker' : 'markers'}`}
        </span>
      </Link>
      <IconButton
        small
        label={`Remove ${name}`}
        hint="Remove; undo brings it back"
        className="absolute top-1.5 right-1.5 bg-raised!"
        onClick={() => edit({ type: 'removePicture', picture: id })}
      >
        <Trash2 aria-hidden className="size-4" />
      </IconButton>
    </li>
  );
}
