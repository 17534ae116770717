import type { Picture } from '../../document/pictures/picture.ts';

/** A picture of the demo, before its file is read: what the file says of itself is added then. */
type DemoPicture = Omit<Picture, 'content' | 'width' | 'height'> & {
  /** In the library. */
  readonly file: string;
};

/** The pictures that Skerry Line has in the demo. */
export const DEMO_PICTURES: readonly DemoPicture[] = [
  {
    id: 'harbour',
    name: 'Harbour at dusk',
    file: 'harbour-at-dusk.jpg',
    markers: [
      { id: 'evening', x: 1010, y: 150, side: 51 },
      { id: 'glow', x: 860, y: 338, side: 31 },
      { id: 'funnel', x: 648, y: 368, side: 5 },
      { id: 'lamp', x: 136, y: 419, side: 3 },
      { id: 'water', x: 760, y: 760, side: 101 },
    ],
    moved: [],
    textOver: {
      color: '#fbe6cf',
      x: 70,
      y: 60,
      width: 420,
      height: 130,
      target: { level: 'AA', content: 'body' },
    },
  },
  { id: 'deck', name: 'Deck', file: 'deck.webp', markers: [], moved: [], textOver: null },
];
