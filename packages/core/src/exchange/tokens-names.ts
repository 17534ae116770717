import type { ProjectDocument } from '../document/document.ts';
import { uniqueNames } from './css-names.ts';

/** What may be no part of a token's name (Design Tokens Format Module 2025.10, §5.1): a dot, braces, a dollar sign first. */
const tokenName = (text: string): string => text.replace(/[.{}]/g, '-').replace(/^\$/, '-') || '-';

/** Where everything of a document stands among tokens: the names of its groups and its own. */
export interface TokenPaths {
  readonly shade: (family: string, label: string) => readonly string[] | null;
  readonly base: (family: string) => readonly string[] | null;
  readonly role: (id: string) => readonly string[] | null;
  readonly gradient: (id: string) => readonly string[] | null;
}

/** The token of a group itself. */
export const ROOT = '$root';

/** A reference to a token: `{family.Deepwater.700}`. */
export const reference = (path: readonly string[]): string => `{${path.join('.')}}`;

/**
 * The paths of tokens, each once: shades in `family`, roles in `role` by their groups, gradients in `gradient`. A role with the
 * name of a group is the root of that group, and so is the base of a family.
 */
export function tokenPaths(doc: ProjectDocument): TokenPaths {
  const families = new Map<string, { path: readonly string[]; labels: Map<string, string> }>();
  const familyName = uniqueNames();
  for (const { id, name, growth } of doc.families) {
    const labelName = uniqueNames();
    const labels = new Map(growth.labels.map((label) => [label, labelName(tokenName(label))]));
    families.set(id, { path: ['family', familyName(tokenName(name))], labels });
  }
  const groups = new Set(
    doc.roles.flatMap(({ group }) => group.map((_, i) => group.slice(0, i + 1).join('.'))),
  );
  const roles = new Map(
    doc.roles.map(({ id, group, name }) => {
      const own = [...group, name];
      const isGroup = groups.has(own.join('.'));
      // Names of roles and groups have none of the signs that tokens may not have.
      return [id, ['role', ...own, ...(isGroup ? [ROOT] : [])]] as const;
    }),
  );
  const gradientName = uniqueNames();
  const gradients = new Map(
    doc.gradients.map(({ id, name }) => [id, ['gradient', gradientName(tokenName(name))]]),
  );
  return {
    shade: (family, label) => {
      const own = families.get(family);
      const name = own?.labels.get(label);
      return own && name !== undefined ? [...own.path, name] : null;
    },
    base: (family) => {
      const own = families.get(family);
      return own ? [...own.path, ROOT] : null;
    },
    role: (id) => roles.get(id) ?? null,
    gradient: (id) => gradients.get(id) ?? null,
  };
}
