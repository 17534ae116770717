/** The pages on which a project is tried, by their ids, as they are called. */
export const SCENE_NAMES = {
  landing: 'Landing page',
  timetable: 'Timetable',
  form: 'Form',
  table: 'Table',
  notices: 'Notices',
  read: 'Long read',
  cards: 'Cards',
  phone: 'Phone',
  board: 'Board',
  pass: 'Pass',
} as const;

/** What a page is called; null for none. */
export const sceneName = (id: string): string | null =>
  Object.hasOwn(SCENE_NAMES, id) ? SCENE_NAMES[id as keyof typeof SCENE_NAMES] : null;
