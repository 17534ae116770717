import type { FormId } from '../../document/delivery/forms.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { stopsOf } from '../../document/gradients/gradient.ts';
import { followedBy } from '../../document/links/following.ts';
import { groundOfGrowth } from '../../document/links/growth-ground.ts';
import { slug } from '../../document/naming/names.ts';
import { roleSlug, writeRoleName } from '../../document/naming/role-name.ts';
import { alikeIn, type Readout } from '../readout/readout.ts';

/** What is worth a look before something leaves the house. */
export interface Finding {
  readonly kind:
    | 'failing'
    | 'broken'
    | 'alike'
    | 'notes'
    | 'unused-families'
    | 'unnamed-roles'
    | 'names-alike'
    | 'names-otherwise'
    | 'painted-otherwise';
  readonly count: number;
  /** The first few things that it counts, by name. */
  readonly names: readonly string[];
  /** The id of the first of them, where it leads to one. */
  readonly first: string | null;
}

/** Names that are said of a finding. */
const SAID = 3;

/** Names that roles and groups have when nobody thought of one. */
const NO_NAME = /^(?:(?:colou?r|role|group|new|untitled|test|tmp|temp|unnamed)[-_]?\d*|[-_]?\d+)$/i;

function finding(
  kind: Finding['kind'],
  things: readonly { readonly id: string; readonly name: string }[],
): Finding[] {
  if (!things.length) return [];
  return [
    {
      kind,
      count: things.length,
      names: things.slice(0, SAID).map(({ name }) => name),
      first: things[0]!.id,
    },
  ];
}

/** Families that no role, stop, drawing, growth or other family goes by. */
function unusedFamilies(doc: ProjectDocument): ProjectDocument['families'] {
  const used = new Set<string>();
  const note = (link: { readonly to: string; readonly family?: string }) => {
    if (link.family !== undefined) used.add(link.family);
  };
  for (const role of doc.roles) for (const link of Object.values(role.links)) note(link);
  for (const gradient of doc.gradients) for (const { color } of stopsOf(gradient)) note(color);
  for (const { links } of doc.artworks) for (const link of Object.values(links)) note(link);
  for (const { follows, growth } of doc.families) {
    for (const id of followedBy(follows)) used.add(id);
    const ground = groundOfGrowth(growth);
    if (ground) note(ground);
  }
  return doc.families.filter(({ id }) => !used.has(id));
}

/** Names whose custom properties would be one, so that the later one gets a number behind it. */
function namesAlike(doc: ProjectDocument): { id: string; name: string }[] {
  const taken = new Map(doc.roles.map((role) => [roleSlug(role), writeRoleName(role)]));
  return doc.families.flatMap(({ id, name, growth }) =>
    growth.labels.flatMap((label) => {
      const own = `${slug(name)}-${slug(label) || 'shade'}`;
      const other = taken.get(own);
      if (other === undefined) {
        taken.set(own, `${name} ${label}`);
        return [];
      }
      return [{ id, name: `${name} ${label} and ${other}` }];
    }),
  );
}

/** Names that a form has to write otherwise than they are. */
function namesOtherwise(doc: ProjectDocument, form: FormId): { id: string; name: string }[] {
  if (form === 'tokens') {
    const isOdd = (name: string) => /[.{}]|^\$/.test(name);
    return [...doc.families, ...doc.gradients].filter(({ name }) => isOdd(name));
  }
  if (form === 'scss') return doc.roles.filter((role) => /^\p{N}/u.test(roleSlug(role))).map(named);
  return [];
}

const named = (role: ProjectDocument['roles'][number]) => ({ id: role.id, name: writeRoleName(role) });

/**
 * Everything that is worth a look before a project is handed over in a form, the gravest first. `otherwise`: ids of the
 * gradients of the form that engines paint otherwise than each other, which is long work for many.
 */
export function beforeHandingOver(readout: Readout, form: FormId, otherwise: readonly string[]): Finding[] {
  const { document } = readout.system;
  const failing = readout.pairs * readout.themes - readout.passingOverall;
  const alike = document.themes.reduce((sum, { id }) => sum + alikeIn(readout, id).length, 0);
  const isNamed = (role: ProjectDocument['roles'][number]) =>
    ![...role.group, role.name].some((name) => NO_NAME.test(name));
  const usesNames = !['page', 'pdf', 'svg', 'png', 'jpeg', 'json', 'csv', 'hex'].includes(form);
  return [
    ...(failing ? [{ kind: 'failing', count: failing, names: [], first: null } as const] : []),
    ...(readout.broken.length
      ? [{ kind: 'broken', count: readout.broken.length, names: [], first: null } as const]
      : []),
    ...(alike ? [{ kind: 'alike', count: alike, names: [], first: null } as const] : []),
    ...(readout.notes.length
      ? [{ kind: 'notes', count: readout.notes.length, names: [], first: null } as const]
      : []),
    ...finding('unnamed-roles', document.roles.filter((role) => !isNamed(role)).map(named)),
    ...(usesNames ? finding('names-alike', namesAlike(document)) : []),
    ...finding('names-otherwise', namesOtherwise(document, form)),
    ...finding(
      'painted-otherwise',
      document.gradients.filter(({ id }) => otherwise.includes(id)),
    ),
    ...finding('unused-families', unusedFamilies(document)),
  ];
}
