import type { ProjectDocument } from '../document/document.ts';
import { wordsOf } from '../document/project/sample-words.ts';
import type { SceneUse } from '../document/scenes/scene-uses.ts';
import type { SceneWord, SceneWords } from '../document/scenes/scene-words.ts';
import { familiesOf } from './families/resolved-families.ts';
import { follow, LOOP, NO_ROLE, type Target, UNSET } from './follow.ts';
import { gradientCss } from './gradients/gradient-css.ts';
import { resolvedGradient } from './gradients/resolved-gradient.ts';
import { castOf } from './scenes/cast.ts';
import { paintsFrom, type ScenePaints } from './scenes/scene-paints.ts';

/** What the list of projects shows of one: its families' shades, and a page as it is painted in each theme. */
export interface ProjectPreview {
  readonly families: readonly { readonly name: string; readonly shades: readonly string[] }[];
  readonly themes: readonly { readonly name: string; readonly paints: ScenePaints }[];
  /** What the page says of the project's own. */
  readonly words: SceneWords & { readonly action: string };
  /** The content of the picture that the page shows, if it shows one. */
  readonly picture: string | null;
  /** Colours of the tray, the newest first. */
  readonly tray: readonly string[];
}

const MOST_FAMILIES = 8;
const MOST_THEMES = 4;
const MOST_SWATCHES = 16;

/** What the page that is shown asks for. */
const USES = [
  'page',
  'raised',
  'text',
  'quiet',
  'link',
  'line',
  'action',
  'action-text',
  'accent',
  'accent-text',
  'hero',
  'hero-veil',
  'hero-text',
] as const satisfies readonly SceneUse[];

const WORDS = [
  'menu1',
  'menu2',
  'menu3',
  'headline',
  'lead',
  'second',
  'card1',
  'cardNote1',
  'card2',
  'cardNote2',
  'card3',
  'cardNote3',
] as const satisfies readonly SceneWord[];

/** The preview of a project without anything in it. */
export const EMPTY_PREVIEW: ProjectPreview = {
  families: [],
  themes: [],
  words: { action: '' },
  picture: null,
  tray: [],
};

/** The preview of a project. Only what it shows is worked out, so that it costs the same however large the project is. */
export function previewOf(document: ProjectDocument): ProjectPreview {
  const { families, roles, themes, tray, gradients, pictures, scenes } = document;
  const byId = familiesOf(document);
  const uses = castOf(document);
  const hasGradient = (id: string) => gradients.some((gradient) => gradient.id === id);
  const hero = uses.get('hero')?.link;
  const paintsIn = (theme: string): ScenePaints => {
    const open = new Set<string>();
    const roleOf = (id: string): Target => {
      const role = roles.find((other) => other.id === id);
      if (!role) return NO_ROLE;
      if (open.has(id)) return LOOP;
      open.add(id);
      const link = role.links[theme];
      const target = link ? follow(link, { families: byId, hasGradient, roleOf }) : UNSET;
      open.delete(id);
      return target;
    };
    const gradient = (id: string) => {
      const found = gradients.find((one) => one.id === id);
      return found ? gradientCss(resolvedGradient(found, byId, { get: roleOf })) : null;
    };
    const role = (id: string) => {
      const target = roleOf(id);
      return target.gradient === null ? (target.color?.css ?? null) : gradient(target.gradient);
    };
    // Where it lies is the page's to say.
    return paintsFrom(uses, { role, gradient, picture: () => null }, USES);
  };
  const own = WORDS.flatMap((word) => (scenes.words[word] === undefined ? [] : [[word, scenes.words[word]]]));
  return {
    families: families
      .slice(0, MOST_FAMILIES)
      .map(({ id, name }) => ({ name, shades: byId.get(id)!.shades.map(({ css }) => css) })),
    tray: tray
      .slice(-MOST_SWATCHES)
      .map(({ color }) => color)
      .reverse(),
    themes: themes.slice(0, MOST_THEMES).map(({ id, name }) => ({ name, paints: paintsIn(id) })),
    words: { ...Object.fromEntries(own), action: wordsOf(document).action },
    picture: (hero?.to === 'picture' && pictures.find(({ id }) => id === hero.picture)?.content) || null,
  };
}
