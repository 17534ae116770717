/** What one can ask about: what it is, and why one would want it, each in a sentence. */
export interface HelpEntry {
  readonly id: string;
  readonly title: string;
  readonly what: string;
  readonly why: string;
  /** Other words by which it is found. */
  readonly also?: string;
  /** A picture where that says more. */
  readonly picture?: 'complement' | 'shares' | 'sizes' | 'spaces' | 'axis';
}

/** All that can be asked about, our own words first. */
export const HELP: readonly HelpEntry[] = [
  {
    id: 'gather',
    title: 'Gather',
    what: 'Here you collect colours: from a text, a style sheet, a picture, or from one colour and what goes with it.',
    why: 'Collect more than you need and keep the few that work, always with one dark and one light among them.',
    also: 'collect import palette',
  },
  {
    id: 'grow',
    title: 'Grow',
    what: 'A family is a base colour and the lighter and darker shades grown from it, seen as a rail from dark to light.',
    why: 'An interface needs steps of each colour, for hovers, borders and dark mode; grown from a base they all follow when it changes.',
    also: 'scale ramp shades tints family rail',
  },
  {
    id: 'assign',
    title: 'Assign',
    what: 'A role is a named use, such as text.quiet; here each role gets a shade in every theme.',
    why: 'Code asks for the role and never for the colour, so a change of mind is one change in one place.',
    also: 'semantic token role sheet',
  },
  {
    id: 'check',
    title: 'Check',
    what: 'A pair is a text on a ground with the contrast it needs; every pair is measured in every theme.',
    why: 'What fails here cannot be read by somebody, and many clients and laws ask for proof that it can.',
    also: 'contrast pair accessibility wcag',
  },
  {
    id: 'fade',
    title: 'Fade',
    what: 'Here you build gradients whose stops are linked to shades, on the thing they are for.',
    why: 'A linked gradient follows its base and its theme, and its profile shows grey dips and bands before your client does.',
    also: 'gradient stops',
  },
  {
    id: 'stage',
    title: 'Stage',
    what: 'Real pages painted by your roles alone, in every theme; press anything to see which role paints it.',
    why: 'Swatches lie: a colour is right when it works at its size, beside its neighbours, on a page.',
    also: 'preview scene page try',
  },
  {
    id: 'deliver',
    title: 'Deliver',
    what: 'The system as files for code and for people, as shares for your client, and what changed since last time.',
    why: 'A developer wants names and a diff, a client wants pages; both come from the same colours you see here.',
    also: 'export download hand over css',
  },
  {
    id: 'lamp',
    title: 'Lamp',
    what: 'The panel about the one colour that is selected: large, in every notation, and where it is used.',
    why: 'Whatever you select anywhere, you edit it, copy it and see its contrast in this one place.',
    also: 'inspector selected colour',
  },
  {
    id: 'tray',
    title: 'Tray',
    what: 'The strip of colours you collected; it stays with the project until you clear it.',
    why: 'Drag from here onto anything that takes a colour, and nothing you once found gets lost.',
    also: 'collected swatches clipboard',
  },
  {
    id: 'readout',
    title: 'Readout',
    what: 'The thin line under the top bar: how many pairs pass, and what needs a look.',
    why: 'It is always true, so you notice at once when a change breaks something; each count leads to its things.',
    also: 'status counts',
  },
  {
    id: 'rail',
    title: 'Rail and light axis',
    what: 'Every family is a rail on one axis of lightness (CIE L*), and each shade stands where its lightness is.',
    why: 'Contrast depends on lightness alone, so the marks show exactly from where on a shade can carry text.',
    also: 'L* lightness axis marks 3 4.5 7',
    picture: 'axis',
  },
  {
    id: 'peg',
    title: 'Peg and hue ribbon',
    what: 'The ribbon is all hues in a row; each related colour is a peg on it, and pegs can be dragged.',
    why: 'You see how far apart colours are in hue, and can push one a little without losing the relation.',
    also: 'hue wheel relatives',
  },
  {
    id: 'post',
    title: 'Post',
    what: 'A stop of a gradient as it stands in the strip and in the profile at once.',
    why: 'Drag it sideways to move the stop, up and down to walk along the shades of its family.',
    also: 'gradient stop handle',
  },
  {
    id: 'veil',
    title: 'Veil',
    what: 'A translucent layer between a text and the picture or gradient under it.',
    why: 'The least veil that makes a text readable keeps most of the picture; it is worked out for you.',
    also: 'overlay scrim',
  },
  {
    id: 'sheet',
    title: 'Sheet',
    what: 'Roles down, themes across, and each theme’s column drawn as a page in that theme.',
    why: 'You see a text on the ground it meets, rather than a table of codes.',
    also: 'table roles themes',
  },
  {
    id: 'shelf',
    title: 'Shelf',
    what: 'Ready-made sets that ship with Mint Lamp, and what people here have published.',
    why: 'Start from a set and change it, or publish what your next project should begin with.',
    also: 'library presets sets',
  },
  {
    id: 'round',
    title: 'Round of proposals',
    what: 'Nine whole variations side by side; what you keep stays the same in all of them.',
    why: 'Comparing whole systems is quicker than tuning one, and every earlier round can be gone back to.',
    also: 'generate variations random',
  },
  {
    id: 'checkpoint',
    title: 'Checkpoint',
    what: 'A saved, named state of the project.',
    why: 'Save one before you try something; you can compare with it role by role, and restore all of it or a part.',
    also: 'version snapshot save',
  },
  {
    id: 'pocket',
    title: 'Pocket',
    what: 'A small window with the project’s colours that stays above other windows.',
    why: 'Copy colours into whatever you are working in, without switching back and forth.',
    also: 'mini window floating',
  },
  {
    id: 'complementary',
    title: 'Complementary pair',
    what: 'Two colours from opposite sides of the hue circle.',
    why: 'Nothing stands out more: use one for the page, and the other for the one thing to press.',
    also: 'complement opposite relation',
    picture: 'complement',
  },
  {
    id: 'shares',
    title: 'Why 60 / 30 / 10',
    what: 'About 60 % of a page in one colour, 30 % in a second and 10 % in an accent.',
    why: 'The eye needs one colour to rest on; the less of the accent there is, the more it says.',
    also: 'proportion area balance 60 30 10',
    picture: 'shares',
  },
  {
    id: 'large',
    title: 'What large text is',
    what: 'WCAG calls text large from 24 px on, or from 18.66 px on where it is bold.',
    why: 'Large letters can be read with less contrast: 3 to 1 is enough for AA, where body text needs 4.5.',
    also: 'large text size 18.66 24 px body AA AAA',
    picture: 'sizes',
  },
  {
    id: 'levels',
    title: 'AA and AAA',
    what: 'AA is the level that most laws and clients ask for; AAA is stricter, 7 to 1 for body text.',
    why: 'Aim for AAA where people read long texts or in sunlight, and for AA everywhere.',
    also: 'level target wcag contrast ratio',
  },
  {
    id: 'spaces',
    title: 'Why OKLab',
    what: 'The space in which colours between two stops are worked out; OKLab keeps their lightness even to the eye.',
    why: 'Mixed as old browsers do, blue to yellow dips into grey in the middle; in OKLab it stays clean.',
    also: 'oklab oklch srgb mixing space interpolation',
    picture: 'spaces',
  },
  {
    id: 'growth',
    title: 'Growth',
    what: 'The recipe that makes a family’s shades from its base.',
    why: 'Even lightness steps suit most interfaces; grow by contrast where a step must pass on a given ground.',
    also: 'recipe scale algorithm',
  },
  {
    id: 'hand-set',
    title: 'Hand-set shade',
    what: 'A shade that somebody changed by hand, away from its growth.',
    why: 'It stays when the base changes, so it is counted; reset it to growth when it should follow again.',
    also: 'override manual',
  },
  {
    id: 'link',
    title: 'Link',
    what: 'What a role or a stop points to: a shade, a base, another role, or a plain colour.',
    why: 'A copied code follows nothing; a link follows its colour wherever it goes.',
    also: 'reference alias',
  },
  {
    id: 'base',
    title: 'Base',
    what: 'The colour a family grows from.',
    why: 'Drag it and every shade, role, gradient and export made of it moves along, with one undo.',
    also: 'brand colour seed',
  },
];

export const helpOf = (id: string): HelpEntry | undefined => HELP.find((entry) => entry.id === id);
