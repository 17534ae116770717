import type { PaletteStrategy } from '../../picture/strategies.ts';
import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { checkLength, nameIn } from '../naming/names.ts';
import {
  isSameColor,
  type Marker,
  MOST_MARKERS,
  MOST_MOVED,
  MOST_PICTURES,
  type Picture,
  type PixelPlace,
  type TextOver,
} from './picture.ts';

/** What these commands look at. */
export interface PictureList {
  readonly pictures: readonly Picture[];
}

export type PictureCommand =
  | { readonly type: 'addPicture'; readonly picture: Picture; readonly index?: number }
  | { readonly type: 'removePicture'; readonly picture: string }
  | { readonly type: 'renamePicture'; readonly picture: string; readonly name: string }
  | { readonly type: 'movePicture'; readonly picture: string; readonly index: number }
  | { readonly type: 'addMarker'; readonly picture: string; readonly marker: Marker; readonly index?: number }
  | { readonly type: 'removeMarker'; readonly picture: string; readonly marker: string }
  | {
      readonly type: 'setMarker';
      readonly picture: string;
      readonly marker: string;
      readonly change: Partial<PixelPlace>;
    }
  /** Takes a colour of a palette from another place, or, with null, from where it was found. */
  | {
      readonly type: 'moveColor';
      readonly picture: string;
      readonly leaning: PaletteStrategy;
      readonly size: number;
      readonly index: number;
      readonly to: PixelPlace | null;
    }
  | { readonly type: 'setTextOver'; readonly picture: string; readonly text: TextOver | null };

type Sized = Pick<Picture, 'width' | 'height'>;

/** Refuses a place beside a picture. */
function checkPlace({ width, height }: Sized, { x, y }: Pick<PixelPlace, 'x' | 'y'>): void {
  if (x >= width || y >= height)
    throw new Refusal(
      `The place ${x}, ${y} lies outside the picture, which is ${width} × ${height} px; its last is ${width - 1}, ${height - 1}.`,
    );
}

function checkTextOver(picture: Sized, text: TextOver): void {
  checkPlace(picture, text);
  if (text.x + text.width > picture.width || text.y + text.height > picture.height)
    throw new Refusal('The region of the text reaches beyond the picture.');
}

/** Refuses a picture with something that lies beside it, or with two things where there is room for one. */
export function checkPicture(picture: Picture): void {
  for (const place of [...picture.markers, ...picture.moved]) checkPlace(picture, place);
  if (picture.textOver) checkTextOver(picture, picture.textOver);
  picture.moved.forEach((color, i) => {
    if (picture.moved.slice(0, i).some((other) => isSameColor(color, other)))
      throw new Refusal('A colour of a palette can be taken from one place only.');
    if (color.index >= color.size) throw new Refusal(`A palette of ${color.size} has no such colour.`);
  });
}

function pictureOf(doc: PictureList, id: string): readonly [index: number, picture: Picture] {
  const index = indexOf(doc.pictures, id, 'picture');
  return [index, doc.pictures[index]!];
}

const change = (doc: PictureList, index: number, part: Partial<Picture>): PictureList => ({
  ...doc,
  pictures: replaced(doc.pictures, index, { ...doc.pictures[index]!, ...part }),
});

export const pictureSteps: StepsOf<PictureCommand, PictureList> = {
  addPicture(doc, { picture, index }) {
    checkPicture(picture);
    return [
      { pictures: inserted(doc.pictures, picture, index, MOST_PICTURES, 'picture') },
      { type: 'removePicture', picture: picture.id },
    ];
  },

  removePicture(doc, { picture }) {
    const [index, old] = pictureOf(doc, picture);
    return [{ pictures: without(doc.pictures, index) }, { type: 'addPicture', picture: old, index }];
  },

  renamePicture(doc, { picture, name }) {
    checkLength(name);
    const [index, old] = pictureOf(doc, picture);
    return [change(doc, index, { name }), { type: 'renamePicture', picture, name: old.name }];
  },

  movePicture(doc, { picture, index }) {
    const [from] = pictureOf(doc, picture);
    return [{ pictures: moved(doc.pictures, from, index) }, { type: 'movePicture', picture, index: from }];
  },

  addMarker(doc, { picture, marker, index }) {
    const [at, old] = pictureOf(doc, picture);
    checkPlace(old, marker);
    const markers = inserted(old.markers, marker, index, MOST_MARKERS, 'marker');
    return [change(doc, at, { markers }), { type: 'removeMarker', picture, marker: marker.id }];
  },

  removeMarker(doc, { picture, marker }) {
    const [at, old] = pictureOf(doc, picture);
    const index = indexOf(old.markers, marker, 'marker');
    return [
      change(doc, at, { markers: without(old.markers, index) }),
      { type: 'addMarker', picture, marker: old.markers[index]!, index },
    ];
  },

  setMarker(doc, { picture, marker, change: part }) {
    const [at, old] = pictureOf(doc, picture);
    const index = indexOf(old.markers, marker, 'marker');
    const before = old.markers[index]!;
    const after = { ...before, ...part };
    checkPlace(old, after);
    const back = Object.fromEntries(Object.keys(part).map((key) => [key, before[key as keyof PixelPlace]]));
    return [
      change(doc, at, { markers: replaced(old.markers, index, after) }),
      { type: 'setMarker', picture, marker, change: back },
    ];
  },

  moveColor(doc, { picture, leaning, size, index, to }) {
    const [at, old] = pictureOf(doc, picture);
    if (index >= size) throw new Refusal(`A palette of ${size} has no such colour.`);
    const key = { leaning, size, index };
    const found = old.moved.findIndex((color) => isSameColor(color, key));
    const before = old.moved[found];
    if (to) checkPlace(old, to);
    if (to && !before && old.moved.length >= MOST_MOVED)
      throw new Refusal(`A picture holds at most ${MOST_MOVED} colours from other places.`);
    let next = old.moved;
    if (to) next = before ? replaced(next, found, { ...key, ...to }) : [...next, { ...key, ...to }];
    else if (before) next = without(next, found);
    return [
      change(doc, at, { moved: next }),
      {
        type: 'moveColor',
        picture,
        ...key,
        to: before ? { x: before.x, y: before.y, side: before.side } : null,
      },
    ];
  },

  setTextOver(doc, { picture, text }) {
    const [at, old] = pictureOf(doc, picture);
    if (text) checkTextOver(old, text);
    return [change(doc, at, { textOver: text }), { type: 'setTextOver', picture, text: old.textOver }];
  },
};

const inPicture = (doc: PictureList, id: string) => nameIn(doc.pictures, id);

/** "marker 3 in Harbour at dusk" */
function markerName(doc: PictureList, picture: string, marker: string): string {
  const markers = doc.pictures.find(({ id }) => id === picture)?.markers ?? [];
  const index = markers.findIndex(({ id }) => id === marker);
  return index === -1 ? `a marker in ${inPicture(doc, picture)}` : `marker ${index + 1}`;
}

export const pictureWords: WordsOf<PictureCommand, PictureList> = {
  addPicture: (_, { picture }) => `add the picture ${picture.name}`,
  removePicture: (doc, { picture }) => `remove the picture ${inPicture(doc, picture)}`,
  renamePicture: (doc, { picture, name }) => `rename the picture ${inPicture(doc, picture)} to ${name}`,
  movePicture: (doc, { picture }) => `move the picture ${inPicture(doc, picture)}`,
  addMarker: (doc, { picture }) => `put a marker into ${inPicture(doc, picture)}`,
  removeMarker: (doc, { picture, marker }) => `remove ${markerName(doc, picture, marker)}`,
  setMarker: (doc, { picture, marker, change: { side } }) =>
    side === undefined
      ? `move ${markerName(doc, picture, marker)}`
      : `let ${markerName(doc, picture, marker)} average ${side} px`,
  moveColor: (doc, { picture, to }) =>
    to
      ? `take a colour of ${inPicture(doc, picture)} from another place`
      : `give back a colour of ${inPicture(doc, picture)}`,
  setTextOver: (doc, { picture, text }) =>
    text ? `try text on ${inPicture(doc, picture)}` : `take the text off ${inPicture(doc, picture)}`,
};
