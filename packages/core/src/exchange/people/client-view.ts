import { describeColor } from '../../color/describe.ts';
import { writeHex } from '../../color/write.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import { contrastRatio, luminance, paintedOver } from '../../contrast/ratio.ts';
import { notedName } from '../../document/naming/note-name.ts';
import { writeGroup } from '../../document/naming/role-name.ts';
import { wordsOf } from '../../document/project/sample-words.ts';
import { SCENE_WORDS } from '../../document/scenes/scene-words.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { readoutOf } from '../../judged/readout/readout.ts';
import { type ReportedPair, reportOf } from '../../judged/readout/report.ts';
import { type Scheme, schemeOf } from '../../system/delivery/schemes.ts';
import { gradientCss } from '../../system/gradients/gradient-css.ts';
import { colorOf, type Painted } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { castOf } from '../../system/scenes/cast.ts';
import { type ScenePaints, scenePaints } from '../../system/scenes/scene-paints.ts';
import { isPaintedOtherwise, plainGradient } from '../css-values.ts';

/** A colour as it is shown to people: painted, in words, and its code for those who ask. */
export interface ShownColor {
  readonly name: string;
  /** Such as "deep blue-green". */
  readonly words: string;
  readonly css: string;
  readonly code: string;
  readonly painted: Painted;
  /** Whether dark letters stand out on it, over the page of its theme. */
  readonly isLight: boolean;
}

export interface ShownRole {
  readonly name: string;
  readonly about: string | null;
  /** What is to be used instead; null for a role that is in use. */
  readonly retired: string | null;
  /** CSS of a background. */
  readonly paint: string;
  readonly color: ShownColor | null;
  /** The gradient that paints it. */
  readonly gradient: string | null;
}

export interface ShownTheme {
  readonly name: string;
  readonly scheme: Scheme;
  readonly page: Painted;
  readonly text: Painted;
  readonly groups: readonly { readonly name: string; readonly roles: readonly ShownRole[] }[];
  readonly gradients: readonly ShownGradient[];
  readonly passing: number;
  readonly of: number;
  readonly pairs: readonly ReportedPair[];
  readonly paints: ScenePaints;
  readonly resolved: ResolvedTheme;
}

interface ShownGradient {
  readonly id: string;
  readonly name: string;
  readonly css: string;
  /** Whether it is the same in the theme before. */
  readonly same: boolean;
}

interface ShownWords {
  readonly text: string;
  readonly by: string;
}

interface ShownNote extends ShownWords {
  readonly on: string;
  readonly answers: readonly ShownWords[];
}

/** Everything that a client is shown of a system. */
export interface ClientView {
  readonly project: string;
  /** Day of the hand-over, ISO 8601. */
  readonly day: string;
  readonly revision: number | null;
  readonly families: readonly { readonly name: string; readonly shades: readonly ShownColor[] }[];
  readonly themes: readonly ShownTheme[];
  readonly notes: readonly ShownNote[];
  readonly words: Readonly<Record<string, string>>;
  readonly passing: number;
  readonly of: number;
}

const WHITE: Painted = { r: 255, g: 255, b: 255, alpha: 1, css: '#ffffff', outside: false };
const BLACK: Painted = { r: 0, g: 0, b: 0, alpha: 1, css: '#000000', outside: false };
/** Luminance at which black and white stand out alike. */
const MIDDLE = 0.179;

export const isLightOver = (color: Rgba, page: Rgba = WHITE): boolean =>
  luminance(paintedOver(color, page)) > MIDDLE;

function shown(name: string, painted: Painted, page: Painted): ShownColor {
  const exact = colorOf(painted);
  return {
    name,
    words: describeColor(exact),
    css: painted.css,
    code: writeHex(exact),
    painted,
    isLight: isLightOver(painted, page),
  };
}

/** The text's colour where it can be read on the page; else black or white. */
const legible = (text: Painted | null, page: Painted): Painted =>
  text && contrastRatio(text, page) >= 4.5 ? text : isLightOver(page) ? BLACK : WHITE;

/**
 * What is handed to clients, for a page, or for paper, which needs no gradients that every browser paints alike. `at` is ISO
 * 8601.
 */
export function clientView(
  system: System,
  at: string,
  revision: number | null,
  medium: 'page' | 'paper' = 'page',
): ClientView {
  const { document } = system;
  const report = reportOf(readoutOf(system, undefined, underTexts), revision, at);
  const uses = castOf(document);
  const colorIn = (theme: ResolvedTheme, use: 'page' | 'text') => {
    const link = uses.get(use)?.link;
    const color = link?.to === 'role' ? theme.roles.get(link.role)?.color : null;
    return color && color.alpha === 1 ? color : null;
  };
  let before: ReadonlyMap<string, string> = new Map();
  const themes = [...system.themes.values()].map((theme, i): ShownTheme => {
    const page = colorIn(theme, 'page') ?? WHITE;
    const gradients = [...theme.gradients.values()].flatMap((resolved) => {
      const alike = medium === 'page' && isPaintedOtherwise(resolved) && plainGradient(resolved);
      const css = alike || gradientCss(resolved);
      const { id, name } = resolved.gradient;
      return css ? [{ id, name, css, same: before.get(id) === css }] : [];
    });
    before = new Map(gradients.map(({ id, css }) => [id, css]));
    const groups: { name: string; roles: ShownRole[] }[] = [];
    const byGroup = new Map<string, ShownRole[]>();
    for (const role of document.roles) {
      const { color, gradient } = theme.roles.get(role.id)!;
      const painted = gradients.find(({ id }) => id === gradient);
      const paint = color?.css ?? painted?.css;
      if (!paint) continue;
      const name = writeGroup(role.group);
      let roles = byGroup.get(name);
      if (!roles) {
        roles = [];
        byGroup.set(name, roles);
        groups.push({ name, roles });
      }
      roles.push({
        name: role.name,
        about: role.about ?? null,
        retired: role.retired ?? null,
        paint,
        color: color ? shown(role.name, color, page) : null,
        gradient: color ? null : (painted?.name ?? null),
      });
    }
    const { passing, of, pairs } = report.themes[i]!;
    return {
      name: theme.theme.name,
      scheme: schemeOf(system, theme),
      page,
      text: legible(colorIn(theme, 'text'), page),
      groups,
      gradients,
      passing,
      of,
      pairs,
      paints: scenePaints(uses, theme, () => null),
      resolved: theme,
    };
  });
  return {
    project: document.name,
    day: at.slice(0, 10),
    revision,
    families: [...system.families.values()].map(({ family, shades }) => ({
      name: family.name,
      shades: shades.map((shade) => shown(shade.label, shade, WHITE)),
    })),
    themes,
    notes: document.notes.flatMap((note) => {
      const on = note.forClient ? notedName(document, note.on) : null;
      const answers = note.answers.map(({ text, by }) => ({ text, by }));
      return on === null ? [] : [{ on, text: note.text, by: note.by, answers }];
    }),
    words: {
      ...SCENE_WORDS,
      ...document.scenes.words,
      name: document.name,
      action: wordsOf(document).action,
    },
    passing: report.passing,
    of: report.of,
  };
}
