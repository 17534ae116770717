import type { Link } from '../links/link.ts';
import { type NamedRole, writeRoleName } from './role-name.ts';

/** Something that a link can lead to, with what it is called. */
export interface FoundTarget {
  readonly link: Link;
  readonly name: string;
}

/** The lists that targets are looked for in. */
export interface TargetLists {
  readonly families: readonly {
    readonly id: string;
    readonly name: string;
    readonly growth: { readonly labels: readonly string[] };
  }[];
  readonly roles: readonly NamedRole[];
}

/** How well a typed word fits a name: 0 not at all, more the better. */
function fit(word: string, name: string): number {
  const at = name.toLowerCase().indexOf(word);
  if (at < 0) return 0;
  if (at === 0) return name.length === word.length ? 4 : 3;
  return /[\s._-]/.test(name[at - 1]!) ? 2 : 1;
}

/**
 * What some typed words mean, best first: "dee 7" is Deepwater 700, "dee b" its base, "text ma" the role text.main.
 * Every word has to be found, in the order of family and label for shades. At most `most`.
 */
export function findTargets({ families, roles }: TargetLists, text: string, most = 8): FoundTarget[] {
  const words = text
    .toLowerCase()
    .trim()
    .split(/[\s.]+/)
    .filter(Boolean);
  if (!words.length) return [];
  const found: (FoundTarget & { readonly score: number })[] = [];
  const [first, ...rest] = words;
  for (const family of families) {
    const own = fit(first!, family.name);
    if (!own) continue;
    const label = rest.join(' ');
    const base = label ? fit(label, 'base') : 1;
    const half = { to: 'base', family: family.id } as const;
    if (base) found.push({ link: half, name: `${family.name} base`, score: own * 10 + base });
    for (const shade of family.growth.labels) {
      const score = label ? fit(label, shade) : 0.5;
      // In the middle of a label a figure says nothing: "5" is 500 and not 950.
      if (score > 1 || (!label && score))
        found.push({
          link: { to: 'shade', family: family.id, shade },
          name: `${family.name} ${shade}`,
          score: own * 10 + score,
        });
    }
  }
  for (const role of roles) {
    const name = writeRoleName(role);
    const scores = words.map((word) => fit(word, name));
    if (scores.every((score) => score > 0))
      found.push({ link: { to: 'role', role: role.id }, name, score: Math.min(...scores) * 10 });
  }
  return found
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ link, name }) => ({ link, name }));
}
