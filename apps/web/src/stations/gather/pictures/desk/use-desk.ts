import type { AreaSide, Picture } from '@mint-lamp/core/document/pictures/picture';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import type { PictureLine } from '@mint-lamp/core/picture/row';
import { sampledText } from '@mint-lamp/core/picture/sample';
import { useCallback, useState } from 'react';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { Light } from '../../../../pixels/pixel-worker.ts';
import { newId, useEditing } from '../../../../store/editing.ts';
import { ofTab } from '../../../../storing/storage.ts';
import { useTaking } from '../../taking/use-taking.ts';
import { hexOf } from './palette-panel.tsx';
import { sideOf } from './sides.ts';
import type { Spot } from './surface.tsx';
import { useAiming } from './use-aim.ts';
import { useDeskView } from './use-desk-view.ts';
import { useEye } from './use-eye.ts';
import { useLine } from './use-line.ts';
import { useMarkerColors } from './use-marker-colors.ts';
import { type Palettes, usePalettes } from './use-palettes.ts';
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

/** Whether the panel is open at the next desk. */
export const isPanelOpen = (): boolean => ofTab.read('mint-lamp/desk-panel') !== 'shut';

/** What is chosen at the desk, and stays so for the next picture. */
function useDeskChoices() {
  const [sideText, setSideText] = useRemembered('side', String(USUAL_SIDE));
  const [sizeText, setSizeText] = useRemembered('size', String(USUAL_SIZE));
  const [tab, setTab] = useRemembered<Tab>('tab', 'palettes');
  const [panel, setPanel] = useRemembered<'open' | 'shut'>('panel', 'open');
  return {
    side: sideOf(sideText),
    setSide: (side: AreaSide) => setSideText(String(side)),
    /** Colours of a palette. */
    size: Number(sizeText) || USUAL_SIZE,
    setSize: (size: number) => setSizeText(String(size)),
    tab,
    setTab,
    isPanelOpen: panel === 'open',
    setPanelOpen: (open: boolean) => setPanel(open ? 'open' : 'shut'),
  };
}

/** Colours that are offered for a text on the picture: it is mostly dark or light; besides those, what is at hand. */
function candidatesFrom(
  markerColors: readonly string[],
  palettes: Palettes | null,
  pinned: Light | null,
): string[] {
  const rows = palettes?.rows.filter(
    ({ leaning }) => leaning === pinned?.leaning || leaning === 'high light' || leaning === 'low light',
  );
  const colors = [...markerColors, ...(rows ?? []).flatMap((row) => row.colors.map(hexOf))];
  return [...new Set(colors)].slice(0, MOST_CANDIDATES);
}

/** A line across the picture, and the gradient that follows what it crosses. */
function useLineAcross(pixels: OpenedPicture, side: AreaSide, isShown: boolean) {
  const [line, setLine] = useState<PictureLine | null>(null);
  const [tolerance, setTolerance] = useState(USUAL_TOLERANCE);
  const followed = useLine(pixels, isShown && line ? { line, side, tolerance } : null);
  return { line, setLine, tolerance, setTolerance, followed };
}

/** Everything that the desk of a picture shows and does. */
export function useDesk(picture: Picture, pixels: OpenedPicture, isWhole: boolean) {
  const { edit } = useEditing();
  const viewing = useDeskView(pixels);
  const [drawn, setDrawn] = useState<{ view: DeskView; size: Size } | null>(null);
  const choices = useDeskChoices();
  const { side, size, tab } = choices;
  const [selected, setSelected] = useState<string | null>(null);
  const [taken, setTaken] = useState<string | null>(null);
  const [pinned, setPinned] = useState<Light | null>(null);
  const [light, setLight] = useState<Light | null>(null);
  const aiming = useAiming(pixels);
  const colors = useMarkerColors(pixels, picture.markers);
  const { palettes, busy } = usePalettes(pixels, isWhole, size, picture.moved);
  const textOver = tab === 'text' ? picture.textOver : null;
  const measured = useWorst(pixels, textOver);
  const markerColors = picture.markers.flatMap(({ id }) => colors.get(id) ?? []);
  // Colours of a small copy are seen, and lit, and that is all: in those of all pixels they are other ones, in another order.
  const isExact = palettes?.isExact ?? false;
  const candidates = candidatesFrom(markerColors, isExact ? palettes : null, pinned);
  const ratios = useRatios(pixels, textOver, candidates);
  const seen = useEye(pixels, textOver, candidates);
  const across = useLineAcross(pixels, side, tab === 'line');
  return {
    picture,
    pixels,
    isWhole,
    viewing,
    drawn,
    setDrawn,
    ...choices,
    selected,
    select: setSelected,
    taken,
    pinned,
    pin: (light: Light) => {
      if (isExact) setPinned(light);
    },
    light,
    setLight,
    aiming,
    colors,
    palettes,
    busy,
    measured,
    candidates,
    ratios,
    seen,
    across,
    taking: useTaking(picture.name),
    aimHere: (to: Spot | null) => aiming.at(to && { ...to, side }, true),
    setSide(next: AreaSide) {
      choices.setSide(next);
      const { cross } = aiming.state();
      if (cross) aiming.at({ ...cross, side: next }, true);
    },
    take(at: Spot) {
      const marker = { id: newId(), x: at.x, y: at.y, side };
      if (!edit({ type: 'addMarker', picture: picture.id, marker })) return;
      setSelected(marker.id);
      void pixels.averages([marker]).then(([color]) => setTaken(color ? sampledText(color) : null));
    },
    beginLine: () => across.setLine(lineIn(viewing.view, viewing.size, picture)),
  };
}

export type Desk = ReturnType<typeof useDesk>;
