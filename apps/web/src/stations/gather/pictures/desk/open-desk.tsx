import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { createPortal } from 'react-dom';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import { DeskFoot } from './desk-foot.tsx';
import { DeskLayers } from './desk-layers.tsx';
import { DeskPanel } from './desk-panel.tsx';
import { DeskTools } from './desk-tools.tsx';
import { PictureCanvas } from './picture-canvas.tsx';
import { Surface } from './surface.tsx';
import { useDesk } from './use-desk.ts';

interface OpenDeskProps {
  picture: Picture;
  pixels: OpenedPicture;
  isWhole: boolean;
  /** Of its pixels, 0–1: so many are read. */
  progress: number;
  /** Where the tools of the desk stand. */
  tools: HTMLElement | null;
}

/** The desk of a picture that can be seen. */
export function OpenDesk({ picture, pixels, isWhole, progress, tools }: OpenDeskProps) {
  const desk = useDesk(picture, pixels, isWhole);
  const { viewing, side, palettes, light, isPanelOpen } = desk;
  return (
    <>
      {tools &&
        createPortal(
          <DeskTools
            viewing={viewing}
            side={side}
            onSide={desk.setSide}
            panel={isPanelOpen}
            onPanel={desk.setPanelOpen}
          />,
          tools,
        )}
      <div className="flex min-h-0 flex-1 gap-3 px-5 pb-4">
        <Surface
          picture={picture}
          viewing={viewing}
          side={side}
          onAim={desk.aimHere}
          onSide={desk.setSide}
          onTake={desk.take}
          behind={
            <PictureCanvas
              picture={pixels}
              isWhole={isWhole}
              view={viewing.view}
              size={viewing.size}
              light={light}
              palettes={palettes}
              onDrawn={(view, size) => desk.setDrawn({ view, size })}
            />
          }
        >
          <DeskLayers desk={desk} />
          <p id="desk-keys" className="sr-only">
            Arrow keys aim, with Shift by 10 px; Enter puts a marker; plus, minus and 0 change how large the
            picture is seen; square brackets change the area; Alt with arrow keys moves the picture.
          </p>
          <DeskFoot desk={desk} progress={progress} />
        </Surface>
        {isPanelOpen && <DeskPanel desk={desk} />}
      </div>
    </>
  );
}
