/** The seven stations in the order of the work, with what each is for. */
export const STATIONS = [
  { id: 'gather', name: 'Gather', purpose: 'collect colours' },
  { id: 'grow', name: 'Grow', purpose: 'families and shades' },
  { id: 'assign', name: 'Assign', purpose: 'roles and themes' },
  { id: 'check', name: 'Check', purpose: 'contrast' },
  { id: 'fade', name: 'Fade', purpose: 'gradients' },
  { id: 'stage', name: 'Stage', purpose: 'try it on' },
  { id: 'deliver', name: 'Deliver', purpose: 'hand over' },
] as const;

export type StationId = (typeof STATIONS)[number]['id'];

/** Where Gather collects colours from, each at an address of its own. */
export const SOURCES = [
  { id: 'text', name: 'Text', purpose: 'codes in a text', help: 'found' },
  {
    id: 'sheets',
    name: 'Style sheets',
    purpose: 'turn what you have into a system: CSS, SCSS, LESS, tokens',
    help: 'moving-in',
  },
  { id: 'pictures', name: 'Pictures', purpose: 'places and palettes', help: 'marker' },
  { id: 'relatives', name: 'Relatives', purpose: 'what goes with one colour', help: 'peg' },
  { id: 'proposals', name: 'Proposals', purpose: 'whole variations', help: 'round' },
  { id: 'shelf', name: 'The shelf', purpose: 'ready-made and shared sets, colour names', help: 'shelf' },
] as const;
export type SourceId = (typeof SOURCES)[number]['id'];

/**
 * The views of Check, each a folder there, with what they are called where one is looked for. The board is the station
 * itself.
 */
export const CHECK_VIEWS = [
  { id: 'matrix', name: 'Matrix', says: 'all texts on all grounds', also: 'contrast table', help: 'matrix' },
  {
    id: 'readers',
    name: 'Readers',
    says: 'as others see it',
    also: 'colour blind vision deficiency simulate',
    help: 'readers',
  },
  {
    id: 'report',
    name: 'Report',
    says: 'to hand over, as CSV or JSON',
    also: 'export download',
    help: 'report',
  },
] as const;
export type CheckViewId = (typeof CHECK_VIEWS)[number]['id'];

/** What Check is asked for on the way: to propose repairs of all that fails. */
export const REPAIR_ALL = { repair: 'all' };

/** The address of the checkpoints, or of a comparison of one with another; of one with now where that is left out. */
export function checkpointsAddress(projectId: string, ...compared: readonly string[]): string {
  return `/p/${[projectId, 'checkpoints', ...compared].map(encodeURIComponent).join('/')}`;
}

/** The address of every step of a project. */
export const historyAddress = (projectId: string): string => `/p/${encodeURIComponent(projectId)}/history`;

/** The address of all notes of a project, or of one among them. */
export const notesAddress = (projectId: string, ...note: readonly string[]): string =>
  `/p/${[projectId, 'notes', ...note].map(encodeURIComponent).join('/')}`;

/** The address of a station, or of a thing at it. */
export function addressOf(projectId: string, station: StationId, ...parts: readonly string[]): string {
  return `/p/${[projectId, station, ...parts].map(encodeURIComponent).join('/')}`;
}
