import { formatRatio } from '../../contrast/ratio.ts';
import { slug } from '../../document/naming/names.ts';
import { pairName } from '../../document/naming/pair-name.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import type { Role } from '../../document/roles/role.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { readoutOf } from '../../judged/readout/readout.ts';
import { gradientCss } from '../../system/gradients/gradient-css.ts';
import { differenceOf, type Painted } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { rolePaint } from '../../system/roles/role-paint.ts';
import { cssNames } from '../css-names.ts';

/** A value that is another than it was: CSS, null where there was or is none. */
export interface ChangedValue {
  readonly kind: 'shade' | 'role' | 'gradient';
  readonly name: string;
  readonly property: string;
  /** Null for what is the same in all themes. */
  readonly theme: string | null;
  readonly was: string | null;
  readonly is: string | null;
}

/** A pair whose ratio is another than it was, as it is shown. */
interface ChangedRatio {
  readonly pair: string;
  readonly theme: string;
  readonly was: string;
  readonly is: string;
  readonly required: number;
  readonly passed: boolean;
  readonly passes: boolean;
}

/** A name that is written otherwise now: a custom property, or the name of a theme as an attribute has it. */
interface RenamedName {
  readonly kind: 'property' | 'theme';
  readonly from: string;
  readonly to: string;
}

interface RemovedName {
  readonly property: string;
  readonly name: string;
  /** The property to put instead; null where nothing offers itself. */
  readonly instead: string | null;
  /** Why that one. */
  readonly why: string | null;
}

/** Everything that whoever uses the files has to know of between two states of a project. */
export interface ChangesSince {
  readonly values: readonly ChangedValue[];
  readonly ratios: readonly ChangedRatio[];
  readonly renamed: readonly RenamedName[];
  readonly removed: readonly RemovedName[];
  /** Properties that are new. */
  readonly added: readonly string[];
}

export const isUnchanged = ({ values, renamed, removed, added }: ChangesSince): boolean =>
  !values.length && !renamed.length && !removed.length && !added.length;

/** ΔE OK up to which a role stands in for one that is gone. */
const NEAR = 0.03;

const byIdOrName = <T extends { readonly id: string }>(list: readonly T[], nameOf: (one: T) => string) => {
  const ids = new Map(list.map((one) => [one.id, one]));
  const names = new Map(list.map((one) => [nameOf(one), one]));
  return (one: T) => ids.get(one.id) ?? names.get(nameOf(one)) ?? null;
};

/** One side of a comparison: what is handed over, and how names begin in its style sheet. */
interface Delivered {
  readonly system: System;
  readonly prefix: string;
}

/** Compares what is handed over with what was. */
export function changesSince(then: Delivered, now: Delivered): ChangesSince {
  const [before, after] = [then.system, now.system];
  const [was, is] = [before.document, after.document];
  const [oldNames, newNames] = [cssNames(was, then.prefix), cssNames(is, now.prefix)];
  const values: ChangedValue[] = [];
  const renamed: RenamedName[] = [];
  const removed: RemovedName[] = [];
  const added: string[] = [];
  const rename = (from: string, to: string, kind: RenamedName['kind'] = 'property') => {
    if (from !== to) renamed.push({ kind, from, to });
  };

  // Shades.
  const familyAfter = byIdOrName(is.families, ({ name }) => slug(name));
  const familyBefore = byIdOrName(was.families, ({ name }) => slug(name));
  for (const { family, shades } of before.families.values()) {
    const own = familyAfter(family);
    const grown = own && after.families.get(own.id);
    for (const shade of shades) {
      const property = oldNames.shade(family.id, shade.label);
      const name = `${family.name} ${shade.label}`;
      const other = grown?.byLabel.get(shade.label);
      if (!grown || !other) {
        const near = grown && nearest(shade, grown.shades);
        removed.push({
          property,
          name,
          instead: near ? newNames.shade(grown.family.id, near.label) : null,
          why: near ? 'the nearest shade of the family' : null,
        });
        continue;
      }
      rename(property, newNames.shade(grown.family.id, shade.label));
      if (other.css !== shade.css)
        values.push({
          kind: 'shade',
          name: `${grown.family.name} ${shade.label}`,
          property: newNames.shade(grown.family.id, shade.label),
          theme: null,
          was: shade.css,
          is: other.css,
        });
    }
  }
  for (const { family, byLabel } of after.families.values()) {
    const old = familyBefore(family);
    const known = old ? before.families.get(old.id)?.byLabel : undefined;
    for (const label of byLabel.keys()) if (!known?.has(label)) added.push(newNames.shade(family.id, label));
  }

  // Themes that are on both sides, by their names where their ids differ.
  const themeAfter = byIdOrName(is.themes, ({ name }) => slug(name));
  const themes = was.themes.flatMap((theme) => {
    const own = themeAfter(theme);
    if (!own) {
      removed.push({
        property: `data-theme="${oldNames.theme(theme.id)}"`,
        name: theme.name,
        instead: null,
        why: null,
      });
      return [];
    }
    rename(oldNames.theme(theme.id), newNames.theme(own.id), 'theme');
    return [{ name: own.name, was: before.themes.get(theme.id)!, is: after.themes.get(own.id)! }];
  });
  const themeBefore = byIdOrName(was.themes, ({ name }) => slug(name));
  for (const theme of is.themes)
    if (!themeBefore(theme)) added.push(`data-theme="${newNames.theme(theme.id)}"`);

  // Roles.
  const roleAfter = byIdOrName(is.roles, writeRoleName);
  const roleBefore = byIdOrName(was.roles, writeRoleName);
  for (const role of was.roles) {
    const own = roleAfter(role);
    if (!own) {
      removed.push(replaced(role, themes, is.roles, oldNames.role(role.id), newNames.role));
      continue;
    }
    rename(oldNames.role(role.id), newNames.role(own.id));
    for (const theme of themes) {
      const [old, paint] = [rolePaint(theme.was, role.id), rolePaint(theme.is, own.id)];
      if (old !== paint)
        values.push({
          kind: 'role',
          name: writeRoleName(own),
          property: newNames.role(own.id),
          theme: theme.name,
          was: old,
          is: paint,
        });
    }
  }
  for (const role of is.roles) if (!roleBefore(role)) added.push(newNames.role(role.id));

  // Gradients.
  const gradientAfter = byIdOrName(is.gradients, ({ name }) => slug(name));
  const gradientBefore = byIdOrName(was.gradients, ({ name }) => slug(name));
  for (const gradient of was.gradients) {
    const own = gradientAfter(gradient);
    if (!own) {
      removed.push({
        property: oldNames.gradient(gradient.id),
        name: gradient.name,
        instead: null,
        why: null,
      });
      continue;
    }
    rename(oldNames.gradient(gradient.id), newNames.gradient(own.id));
    for (const theme of themes) {
      const css = (side: ResolvedTheme, id: string) => gradientCss(side.gradients.get(id)!);
      const [old, text] = [css(theme.was, gradient.id), css(theme.is, own.id)];
      if (old !== text)
        values.push({
          kind: 'gradient',
          name: own.name,
          property: newNames.gradient(own.id),
          theme: theme.name,
          was: old,
          is: text,
        });
    }
  }
  for (const gradient of is.gradients)
    if (!gradientBefore(gradient)) added.push(newNames.gradient(gradient.id));

  return { values, ratios: changedRatios(before, after), renamed, removed, added };
}

function nearest<T extends Painted>(color: Painted, among: readonly T[]): T | null {
  let best: T | null = null;
  for (const one of among) if (!best || differenceOf(color, one) < differenceOf(color, best)) best = one;
  return best;
}

/** What to put instead of a role that is gone: what it was retired for, else one that is painted as it was. */
function replaced(
  role: Role,
  themes: readonly { readonly was: ResolvedTheme; readonly is: ResolvedTheme }[],
  roles: readonly Role[],
  property: string,
  nameOf: (id: string) => string,
): RemovedName {
  const gone = { property, name: writeRoleName(role) };
  const meant = role.retired && roles.find((other) => writeRoleName(other) === role.retired);
  if (meant) return { ...gone, instead: nameOf(meant.id), why: 'it was retired for that' };
  let best: { role: Role; distance: number } | null = null;
  for (const other of roles) {
    let distance = 0;
    for (const theme of themes) {
      const then = theme.was.roles.get(role.id)?.color;
      const now = theme.is.roles.get(other.id)?.color;
      const apart = then && now && then.alpha === now.alpha ? differenceOf(then, now) : 1;
      distance = Math.max(distance, apart);
    }
    if (themes.length && (!best || distance < best.distance)) best = { role: other, distance };
  }
  if (!best || best.distance > NEAR) return { ...gone, instead: null, why: null };
  return {
    ...gone,
    instead: nameOf(best.role.id),
    why: best.distance === 0 ? 'it has the same colours' : 'it has nearly the same colours',
  };
}

/** Pairs that are on both sides and measure otherwise in a theme. */
function changedRatios(before: System, after: System): ChangedRatio[] {
  const [then, now] = [readoutOf(before, undefined, underTexts), readoutOf(after, undefined, underTexts)];
  return after.document.themes.flatMap(({ id, name }) => {
    const old = new Map(then.measured.get(id)?.measurements.map((one) => [one.pair.id, one]) ?? []);
    return (now.measured.get(id)?.measurements ?? []).flatMap((one) => {
      const other = old.get(one.pair.id);
      if (!other?.text || !one.text || other.awaited || one.awaited) return [];
      const [was, is] = [formatRatio(other.ratio), formatRatio(one.ratio)];
      if (was === is && other.passes === one.passes) return [];
      return [
        {
          pair: pairName(after.document, one.pair),
          theme: name,
          was,
          is,
          required: one.required,
          passed: other.passes,
          passes: one.passes,
        },
      ];
    });
  });
}
