/** Addresses of all scenes on the Stage. */
export const SCENES = [
  'landing',
  'timetable',
  'form',
  'table',
  'notices',
  'read',
  'cards',
  'phone',
  'board',
  'pass',
] as const;
