import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { createPortal } from 'react-dom';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import { DeskLayers } from './desk-layers.tsx';
import { DeskPanel } from './desk-panel.tsx';
import { DeskTools } from './desk-tools.tsx';
import { hexOf, shareText } from './palette-panel.tsx';
import { PictureCanvas } from './picture-canvas.tsx';
import { Surface } from './surface.tsx';
import { type Desk, useDesk } from './use-desk.ts';

interface OpenDeskProps {
  picture: Picture;
  pixels: OpenedPicture;
  /** Where the tools of the desk stand. */
  tools: HTMLElement | null;
}

/** The desk of a picture whose pixels are there. */
export function OpenDesk({ picture, pixels, tools }: OpenDeskProps) {
  const desk = useDesk(picture, pixels);
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
          <Foot desk={desk} />
        </Surface>
        {isPanelOpen && <DeskPanel desk={desk} />}
      </div>
    </>
  );
}

/** What is said at the foot of the picture: the colour that is lit, or how well translucent ones are read. */
function Foot({ desk: { pixels, palettes, light } }: { desk: Desk }) {
  const lit = light && palettes?.rows.find(({ leaning }) => leaning === light.leaning)?.colors[light.index];
  if (lit)
    return (
      <p className="pointer-events-none absolute bottom-2 left-2 flex items-center gap-2 rounded-md bg-raised px-2 py-1 text-sm">
        <span className="size-4 rounded-[4px] border border-hair" style={{ background: hexOf(lit) }} />
        <b className="font-semibold">{describeColor(readColor(hexOf(lit)))}</b>
        <span className="font-mono">{hexOf(lit)}</span> {shareText(lit.share)} of the picture
      </p>
    );
  if (pixels.faintest === 255) return null;
  return (
    <p className="pointer-events-none absolute bottom-2 left-2 max-w-[90%] rounded-md bg-raised px-2 py-1 text-sm">
      Translucent in places. Browsers blur such colours when they hand them out: the faintest here (
      {Math.max(1, Math.round(pixels.faintest / 2.55))} % opaque) are read to within ±
      {Math.ceil(128 / pixels.faintest)} of 255.
    </p>
  );
}
