import { clamp } from '@mint-lamp/core/numbers/clamp';
/** What of a picture is seen: the place in its middle, and how large. */
export interface DeskView {
  /** In px of the picture. */
  readonly cx: number;
  readonly cy: number;
  /** CSS px to one of the picture. */
  readonly scale: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** CSS px that a pixel of the picture can be seen at, at most. */
const LARGEST = 64;

/** The scale at which all of a picture is seen; a small one is not blown up further than 16 times. */
const fitting = (box: Size, picture: Size) =>
  Math.min(16, box.width / picture.width, box.height / picture.height);

export const fit = (box: Size, picture: Size): DeskView => ({
  cx: picture.width / 2,
  cy: picture.height / 2,
  scale: fitting(box, picture),
});

/** A view held so that something of the picture is seen, not smaller than all of it and not larger than sense has. */
export function held(view: DeskView, box: Size, picture: Size): DeskView {
  const least = fitting(box, picture);
  const scale = clamp(view.scale, Math.min(least, 1), Math.max(LARGEST, least));
  const along = (at: number, all: number, seen: number) =>
    seen >= all ? all / 2 : clamp(at, seen / 2, all - seen / 2);
  return {
    scale,
    cx: along(view.cx, picture.width, box.width / scale),
    cy: along(view.cy, picture.height, box.height / scale),
  };
}

/** Larger or smaller by a factor, with a place of the box staying where it is. */
export function zoomed(
  view: DeskView,
  box: Size,
  picture: Size,
  factor: number,
  x = box.width / 2,
  y = box.height / 2,
): DeskView {
  const { scale } = held({ ...view, scale: view.scale * factor }, box, picture);
  const [px, py] = toPicture(view, box, x, y);
  return held(
    { scale, cx: px - (x - box.width / 2) / scale, cy: py - (y - box.height / 2) / scale },
    box,
    picture,
  );
}

export const moved = (view: DeskView, box: Size, picture: Size, dx: number, dy: number): DeskView =>
  held({ ...view, cx: view.cx - dx / view.scale, cy: view.cy - dy / view.scale }, box, picture);

/** The place of the picture under a place of the box. */
export const toPicture = (view: DeskView, box: Size, x: number, y: number): [x: number, y: number] => [
  view.cx + (x - box.width / 2) / view.scale,
  view.cy + (y - box.height / 2) / view.scale,
];

/** Where in the box a place of the picture is seen. */
export const toBox = (view: DeskView, box: Size, x: number, y: number): [x: number, y: number] => [
  (x - view.cx) * view.scale + box.width / 2,
  (y - view.cy) * view.scale + box.height / 2,
];

/** The view moved as little as it must be for a place to be seen, with some room around it. */
export function revealing(view: DeskView, box: Size, picture: Size, x: number, y: number): DeskView {
  const [bx, by] = toBox(view, box, x, y);
  const room = 24;
  const off = (at: number, size: number) => (at < room ? room - at : at > size - room ? size - room - at : 0);
  const [dx, dy] = [off(bx, box.width), off(by, box.height)];
  return dx || dy ? moved(view, box, picture, dx, dy) : view;
}

/** A place as the nearest pixel of the picture. */
export const pixelAt = (picture: Size, x: number, y: number): { readonly x: number; readonly y: number } => ({
  x: clamp(Math.floor(x), 0, picture.width - 1),
  y: clamp(Math.floor(y), 0, picture.height - 1),
});
