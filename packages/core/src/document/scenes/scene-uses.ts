/**
 * What scenes ask for, and never for names: a use is what a part of a page is for. Each with what it paints, how it is
 * called, the use whose ground it stands on where it is a text, and those that stand in for it where no role is for it.
 */
interface SceneUseDefinition {
  readonly paints: 'ground' | 'text' | 'line';
  readonly name: string;
  /** The ground that this text stands on. */
  readonly on?: string;
  /** In the order in which they are asked; what is painted without any says so. */
  readonly standIns: readonly string[];
  /** Scenes do without it where nothing is for it. */
  readonly optional?: boolean;
  /** A gradient or a picture of the project can paint it, besides a role. */
  readonly wide?: boolean;
}

const ground = (name: string, standIns: readonly string[], more: Partial<SceneUseDefinition> = {}) =>
  ({ paints: 'ground', name, standIns, ...more }) satisfies SceneUseDefinition;
const text = (name: string, on: string, standIns: readonly string[]) =>
  ({ paints: 'text', name, on, standIns }) satisfies SceneUseDefinition;
const line = (name: string, standIns: readonly string[]) =>
  ({ paints: 'line', name, standIns }) satisfies SceneUseDefinition;

export const SCENE_USES = {
  page: ground('page', []),
  raised: ground('raised surface', ['page']),
  sunken: ground('sunken surface', ['raised', 'page']),
  text: text('main text', 'page', []),
  quiet: text('quiet text', 'page', ['text']),
  link: text('link', 'page', ['action', 'text']),
  line: line('divider', ['edge', 'quiet', 'text']),
  edge: line('field border', ['line', 'quiet', 'text']),
  focus: line('focus ring', ['action', 'text']),
  action: ground('action', ['accent', 'text']),
  'action-hover': ground('action, hover', ['action']),
  'action-pressed': ground('action, pressed', ['action-hover', 'action']),
  'action-text': text('text on action', 'action', ['page']),
  accent: ground('accent', ['action', 'text']),
  'accent-text': text('text on accent', 'accent', ['action-text', 'page']),
  chosen: ground('selected', ['sunken', 'action']),
  'chosen-text': text('text on selected', 'chosen', ['text']),
  off: ground('disabled', ['sunken', 'raised', 'page']),
  'off-text': text('text on disabled', 'off', ['quiet', 'text']),
  hero: ground('hero', ['action'], { wide: true }),
  'hero-veil': ground('veil over hero', [], { optional: true }),
  'hero-text': text('text on hero', 'hero', ['action-text', 'page']),
  good: ground('notice: good', ['raised', 'page']),
  'good-text': text('text on good', 'good', ['text']),
  warning: ground('notice: warning', ['raised', 'page']),
  'warning-text': text('text on warning', 'warning', ['text']),
  danger: ground('notice: danger', ['raised', 'page']),
  'danger-text': text('text on danger', 'danger', ['text']),
  note: ground('notice: info', ['sunken', 'raised', 'page']),
  'note-text': text('text on info', 'note', ['text']),
  board: ground('board', ['text']),
  'board-text': text('text on board', 'board', ['page']),
  'board-quiet': text('quiet text on board', 'board', ['page']),
} as const satisfies Readonly<Record<string, SceneUseDefinition>>;

export type SceneUse = keyof typeof SCENE_USES;
export const SCENE_USE_IDS = Object.keys(SCENE_USES) as readonly SceneUse[];

/** A use with everything that can be said of one. */
export const sceneUse = (use: SceneUse): SceneUseDefinition => SCENE_USES[use];

/** What paints a use by choice: a role, or for the hero a gradient or a picture; or nothing. */
export type CastLink =
  | { readonly to: 'role'; readonly role: string }
  | { readonly to: 'gradient'; readonly gradient: string }
  | { readonly to: 'picture'; readonly picture: string }
  | { readonly to: 'nothing' };

/** What was chosen to paint scenes, by use; what is not in it is found by names and pairs. */
export type Cast = Readonly<Partial<Record<SceneUse, CastLink>>>;
