import { Tabs } from '../../../../ui/tabs.tsx';
import { LinePanel } from './line-panel.tsx';
import { MarkerPanel } from './marker-panel.tsx';
import { PalettePanel } from './palette-panel.tsx';
import { regionIn } from './text-layer.tsx';
import { TextPanel } from './text-panel.tsx';
import type { Desk } from './use-desk.ts';

/** The colours of the picture: its palettes, markers, a text over it, a line across it. */
export function DeskPanel({ desk }: { desk: Desk }) {
  const { picture, viewing, palettes, colors, selected, measured, across, taking } = desk;
  const { followed, tolerance } = across;
  const palettesPanel = (
    <PalettePanel
      {...{ picture, palettes, taking }}
      busy={desk.busy}
      size={desk.size}
      onSize={desk.setSize}
      pinned={desk.pinned}
      onPin={desk.pin}
      onLight={desk.setLight}
    />
  );
  const markersPanel = (
    <MarkerPanel
      {...{ picture, colors, selected, taking }}
      onSelect={(id) => {
        desk.select(id);
        const marker = picture.markers.find((one) => one.id === id);
        if (marker) viewing.reveal(marker.x, marker.y);
      }}
    />
  );
  const textPanel = (
    <TextPanel
      {...{ picture, measured, taking }}
      text={picture.textOver}
      candidates={desk.candidates}
      ratios={desk.ratios}
      seen={desk.seen}
      onBegin={(color) => regionIn(viewing.view, viewing.size, picture, color)}
    />
  );
  const linePanel = (
    <LinePanel
      hasLine={across.line !== null}
      {...{ followed, tolerance, taking }}
      onTolerance={across.setTolerance}
      onBegin={desk.beginLine}
      onRemove={() => across.setLine(null)}
    />
  );
  const { length } = picture.markers;
  return (
    <aside
      aria-label="Colours of the picture"
      className="flex w-72 shrink-0 flex-col rounded-md border border-hair"
    >
      <h2 className="sr-only">Colours of the picture</h2>
      <Tabs
        label="Colours of the picture"
        value={desk.tab}
        onChange={desk.setTab}
        tabs={[
          { value: 'palettes', label: 'Palettes', content: palettesPanel },
          { value: 'markers', label: length ? `Markers ${length}` : 'Markers', content: markersPanel },
          { value: 'text', label: 'Text', content: textPanel },
          { value: 'line', label: 'Line', content: linePanel },
        ]}
      />
    </aside>
  );
}
