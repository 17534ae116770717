import type { AreaSide, Picture } from '@mint-lamp/core/document/pictures/picture';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import type { PictureLine } from '@mint-lamp/core/picture/row';
import { sampledText } from '@mint-lamp/core/picture/sample';
import { useCallback, useState } from 'react';
import { createPortal } from 'react-dom';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { Light } from '../../../../pixels/pixel-worker.ts';
import { newId, useEditing } from '../../../../store/editing.ts';
import { ofTab } from '../../../../storing/storage.ts';
import { Tabs } from '../../../../ui/tabs.tsx';
import { useTaking } from '../../taking/use-taking.ts';
import { AimLayer } from './aim-layer.tsx';
import { DeskTools } from './desk-tools.tsx';
import { LineLayer } from './line-layer.tsx';
import { LinePanel } from './line-panel.tsx';
import { MarkerLayer } from './marker-layer.tsx';
import { MarkerPanel } from './marker-panel.tsx';
import { PaletteLayer } from './palette-layer.tsx';
import { hexOf, PalettePanel, shareText } from './palette-panel.tsx';
import { PictureCanvas } from './picture-canvas.tsx';
import { sideOf } from './sides.ts';
import { type Spot, Surface } from './surface.tsx';
import { regionIn, TextLayer } from './text-layer.tsx';
import { TextPanel } from './text-panel.tsx';
import { useAiming } from './use-aim.ts';
import { useDeskView } from './use-desk-view.ts';
import { useLine } from './use-line.ts';
import { useMarkerColors } from './use-marker-colors.ts';
import { usePalettes } from './use-palettes.ts';
import { useRatios, useWorst } from './use-worst.ts';
import type { DeskView, Size } from './view.ts';

type Tab = 'palettes' | 'markers' | 'text' | 'line';

const USUAL_SIDE: AreaSide = 5;
const USUAL_SIZE = 6;
/** ΔE OK by which a gradient may differ from a line at first. */
const USUAL_TOLERANCE = 0.03;
/** Colours that are offered for text. */
const MOST_CANDIDATES = 30;

/** A choice that stays while the tab is open. */
function useRemembered<T extends string>(key: string, usual: T) {
  const [value, setValue] = useState<T>(() => (ofTab.read(`mint-lamp/desk-${key}`) as T | null) ?? usual);
  const set = useCallback(
    (next: T) => {
      setValue(next);
      ofTab.write(`mint-lamp/desk-${key}`, next);
    },
    [key],
  );
  return [value, set] as const;
}

/** A line down through the middle of what is seen. */
function lineIn(view: DeskView, size: Size, picture: Size): PictureLine {
  const half = (size.height * 0.36) / view.scale;
  const held = (v: number, most: number) => clamp(Math.round(v), 0, most - 1);
  const x = held(view.cx, picture.width);
  return { x1: x, y1: held(view.cy - half, picture.height), x2: x, y2: held(view.cy + half, picture.height) };
}

interface OpenDeskProps {
  picture: Picture;
  pixels: OpenedPicture;
  /** Where the tools of the desk stand. */
  tools: HTMLElement | null;
}

/** The desk of a picture whose pixels are there. */
export function OpenDesk({ picture, pixels, tools }: OpenDeskProps) {
  const { edit } = useEditing();
  const viewing = useDeskView(pixels);
  const [drawn, setDrawn] = useState<{ view: DeskView; size: Size } | null>(null);
  const [sideText, setSideText] = useRemembered('side', String(USUAL_SIDE));
  const side = sideOf(sideText);
  const [sizeText, setSizeText] = useRemembered('size', String(USUAL_SIZE));
  const [tab, setTab] = useRemembered<Tab>('tab', 'palettes');
  const [panel, setPanel] = useRemembered<'open' | 'shut'>('panel', 'open');
  const [selected, setSelected] = useState<string | null>(null);
  const [taken, setTaken] = useState<string | null>(null);
  const [pinned, setPinned] = useState<Light | null>(null);
  const [light, setLight] = useState<Light | null>(null);
  const aiming = useAiming(pixels);
  const colors = useMarkerColors(pixels, picture.markers);
  const { palettes, busy } = usePalettes(pixels, Number(sizeText) || USUAL_SIZE, picture.moved);
  const measured = useWorst(pixels, tab === 'text' ? picture.textOver : null);
  const pinnedRow = palettes?.rows.find(({ leaning }) => leaning === pinned?.leaning);
  const markerColors = picture.markers.flatMap(({ id }) => colors.get(id) ?? []);
  // Text is mostly dark or light; besides these, what is at hand.
  const rows = palettes?.rows.filter(
    (row) => row === pinnedRow || row.leaning === 'high light' || row.leaning === 'low light',
  );
  const candidates = [
    ...new Set([...markerColors, ...(rows ?? []).flatMap((row) => row.colors.map(hexOf))]),
  ].slice(0, MOST_CANDIDATES);
  const [line, setLine] = useState<PictureLine | null>(null);
  const [tolerance, setTolerance] = useState(USUAL_TOLERANCE);
  const followed = useLine(pixels, tab === 'line' && line ? { line, side, tolerance } : null);
  const ratios = useRatios(pixels, tab === 'text' ? picture.textOver : null, candidates);
  const taking = useTaking(picture.name);

  const aimHere = (to: Spot | null) => aiming.at(to && { ...to, side }, true);
  const setSide = (next: AreaSide) => {
    setSideText(String(next));
    const { cross } = aiming.state();
    if (cross) aiming.at({ ...cross, side: next }, true);
  };
  const take = (at: Spot) => {
    const marker = { id: newId(), x: at.x, y: at.y, side };
    if (!edit({ type: 'addMarker', picture: picture.id, marker })) return;
    setSelected(marker.id);
    void pixels.averages([marker]).then(([color]) => setTaken(color ? sampledText(color) : null));
  };
  const shown = drawn && { view: drawn.view, size: drawn.size };
  const lit = light && palettes?.rows.find(({ leaning }) => leaning === light.leaning)?.colors[light.index];

  return (
    <>
      {tools &&
        createPortal(
          <DeskTools
            viewing={viewing}
            side={side}
            onSide={setSide}
            panel={panel === 'open'}
            onPanel={(open) => setPanel(open ? 'open' : 'shut')}
          />,
          tools,
        )}
      <div className="flex min-h-0 flex-1 gap-3 px-5 pb-4">
        <Surface
          picture={picture}
          viewing={viewing}
          side={side}
          onAim={aimHere}
          onSide={setSide}
          onTake={take}
          behind={
            <PictureCanvas
              picture={pixels}
              view={viewing.view}
              size={viewing.size}
              light={light}
              palettes={palettes}
              onDrawn={(view, size) => setDrawn({ view, size })}
            />
          }
        >
          {shown && (
            <>
              {tab === 'text' && picture.textOver && (
                <TextLayer
                  picture={picture}
                  text={picture.textOver}
                  viewing={viewing}
                  drawn={shown}
                  measured={measured}
                />
              )}
              {tab === 'line' && line && (
                <LineLayer
                  picture={picture}
                  line={line}
                  viewing={viewing}
                  drawn={shown}
                  onLine={setLine}
                  onRemove={() => setLine(null)}
                />
              )}
              {tab === 'palettes' && palettes && pinned && (
                <PaletteLayer
                  picture={picture}
                  palettes={palettes}
                  viewing={viewing}
                  drawn={shown}
                  pinned={pinned}
                  side={side}
                  onPin={setPinned}
                  onAim={aiming.at}
                />
              )}
              <MarkerLayer
                picture={picture}
                viewing={viewing}
                drawn={shown}
                colors={colors}
                selected={selected}
                onSelect={setSelected}
                onAim={aiming.at}
              />
              <AimLayer aiming={aiming} drawn={shown} taken={taken} />
            </>
          )}
          <p id="desk-keys" className="sr-only">
            Arrow keys aim, with Shift by 10 px; Enter puts a marker; plus, minus and 0 change how large the
            picture is seen; square brackets change the area; Alt with arrow keys moves the picture.
          </p>
          {pixels.faintest < 255 && !lit && (
            <p className="pointer-events-none absolute bottom-2 left-2 max-w-[90%] rounded-md bg-raised px-2 py-1 text-sm">
              Translucent in places. Browsers blur such colours when they hand them out: the faintest here (
              {Math.max(1, Math.round(pixels.faintest / 2.55))} % opaque) are read to within ±
              {Math.ceil(128 / pixels.faintest)} of 255.
            </p>
          )}
          {lit && (
            <p className="pointer-events-none absolute bottom-2 left-2 flex items-center gap-2 rounded-md bg-raised px-2 py-1 text-sm">
              <span className="size-4 rounded-[4px] border border-hair" style={{ background: hexOf(lit) }} />
              <span className="font-mono">{hexOf(lit)}</span> {shareText(lit.share)} of the picture
            </p>
          )}
        </Surface>
        {panel === 'open' && (
          <aside
            aria-label="Colours of the picture"
            className="flex w-72 shrink-0 flex-col rounded-md border border-hair"
          >
            <h2 className="sr-only">Colours of the picture</h2>
            <Tabs
              label="Colours of the picture"
              value={tab}
              onChange={setTab}
              tabs={[
                {
                  value: 'palettes',
                  label: 'Palettes',
                  content: (
                    <PalettePanel
                      picture={picture}
                      palettes={palettes}
                      busy={busy}
                      size={Number(sizeText)}
                      onSize={(next) => setSizeText(String(next))}
                      pinned={pinned}
                      onPin={setPinned}
                      onLight={setLight}
                      taking={taking}
                    />
                  ),
                },
                {
                  value: 'markers',
                  label: picture.markers.length ? `Markers ${picture.markers.length}` : 'Markers',
                  content: (
                    <MarkerPanel
                      picture={picture}
                      colors={colors}
                      selected={selected}
                      onSelect={(id) => {
                        setSelected(id);
                        const marker = picture.markers.find((one) => one.id === id);
                        if (marker) viewing.reveal(marker.x, marker.y);
                      }}
                      taking={taking}
                    />
                  ),
                },
                {
                  value: 'text',
                  label: 'Text',
                  content: (
                    <TextPanel
                      picture={picture}
                      text={picture.textOver}
                      measured={measured}
                      candidates={candidates}
                      ratios={ratios}
                      onBegin={(color) => regionIn(viewing.view, viewing.size, picture, color)}
                      taking={taking}
                    />
                  ),
                },
                {
                  value: 'line',
                  label: 'Line',
                  content: (
                    <LinePanel
                      hasLine={line !== null}
                      {...{ followed, tolerance, taking }}
                      onTolerance={setTolerance}
                      onBegin={() => setLine(lineIn(viewing.view, viewing.size, picture))}
                      onRemove={() => setLine(null)}
                    />
                  ),
                },
              ]}
            />
          </aside>
        )}
      </div>
    </>
  );
}
