import type { Target } from '../contrast/targets.ts';
import type { Family } from '../document/families/family.ts';
import type { Gradient, Stop } from '../document/gradients/gradient.ts';
import type { Link } from '../document/links/link.ts';
import { slug } from '../document/naming/names.ts';
import type { Pair } from '../document/pairs/pair.ts';
import type { Role } from '../document/roles/role.ts';
import { type LightnessGrowth, USUAL_GROWTH } from '../family/growth.ts';

/** Short ways to write a demo document by hand. Ids are the slugs of the names, so that they never change. */

export function family(name: string, base: string, growth: Partial<LightnessGrowth> = {}): Family {
  return { id: slug(name), name, base, follows: null, growth: { ...USUAL_GROWTH, ...growth }, handSet: {} };
}

/** `Deepwater 700` is a shade, `text.main` a role, `#fff` a colour; `… @ 40` lays 40 % opacity over it. */
export function link(text: string): Link {
  const [target, opacity] = text.split(' @ ');
  const under = opacity === undefined ? {} : { opacity: Number(opacity) / 100 };
  if (target!.startsWith('#')) return { to: 'color', color: target!, ...under };
  if (target!.includes('.')) return { to: 'role', role: slug(target!), ...under };
  const [name, shade] = target!.split(' ');
  return { to: 'shade', family: slug(name!), shade: shade!, ...under };
}

/** One role, written with its group, with its link in each of the themes, in order. */
export function role(themes: readonly string[], written: string, ...links: readonly string[]): Role {
  const names = written.split('.');
  return {
    id: slug(written),
    group: names.slice(0, -1),
    name: names[names.length - 1]!,
    links: Object.fromEntries(themes.map((theme, i) => [theme, link(links[i]!)])),
  };
}

const SIZES = { body: 16, large: 28, graphics: 16 };

/** A pair of roles by their written names, with its target; 28 px for large text, 16 px else. */
export function pair(foreground: string, background: string, target: Target, weight = 400): Pair {
  const ids = [slug(foreground), slug(background)] as const;
  return {
    id: `${ids[0]}-on-${ids[1]}`.slice(0, 40),
    foreground: ids[0],
    background: ids[1],
    target,
    size: SIZES[target.content],
    weight,
  };
}

/** A linear gradient mixed in OKLab; degrees as in CSS. */
export function linear(name: string, degrees: number, stops: readonly Stop[]): Gradient {
  return {
    id: slug(name),
    name,
    kind: 'linear',
    direction: { by: 'angle', degrees },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops,
  };
}
