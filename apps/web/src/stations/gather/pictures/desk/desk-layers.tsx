import { AimLayer } from './aim-layer.tsx';
import { LineLayer } from './line-layer.tsx';
import { MarkerLayer } from './marker-layer.tsx';
import { PaletteLayer } from './palette-layer.tsx';
import { TextLayer } from './text-layer.tsx';
import type { Desk } from './use-desk.ts';

/** What lies over the picture as it was drawn last. */
export function DeskLayers({ desk }: { desk: Desk }) {
  const { picture, viewing, drawn, tab, palettes, pinned, aiming, across } = desk;
  if (!drawn) return null;
  const over = { picture, viewing, drawn };
  return (
    <>
      {tab === 'text' && picture.textOver && (
        <TextLayer {...over} text={picture.textOver} measured={desk.measured} />
      )}
      {tab === 'line' && across.line && (
        <LineLayer
          {...over}
          line={across.line}
          onLine={across.setLine}
          onRemove={() => across.setLine(null)}
        />
      )}
      {tab === 'palettes' && palettes && pinned && (
        <PaletteLayer
          {...over}
          palettes={palettes}
          pinned={pinned}
          side={desk.side}
          onPin={desk.pin}
          onAim={aiming.at}
        />
      )}
      <MarkerLayer
        {...over}
        colors={desk.colors}
        selected={desk.selected}
        onSelect={desk.select}
        onAim={aiming.at}
      />
      <AimLayer aiming={aiming} drawn={drawn} taken={desk.taken} />
    </>
  );
}
