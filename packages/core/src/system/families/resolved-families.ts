import { hexOfRgb8 } from '../../color/write.ts';
import { paintedOver, type Rgba } from '../../contrast/ratio.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Family } from '../../document/families/family.ts';
import { followedBy } from '../../document/links/following.ts';
import { anyOnRole, type GrowthGround, groundOfGrowth } from '../../document/links/growth-ground.ts';
import { type Link, plainLink } from '../../document/links/link.ts';
import { rolesOf } from '../../document/links/roles-by-id.ts';
import { fade, type Painted, paint } from '../painted.ts';
import { followingBase } from './following-base.ts';
import { type Families, type GrownFrom, type ResolvedFamily, resolveFamily } from './resolved-family.ts';

export type FamilyMap = ReadonlyMap<string, ResolvedFamily>;

type FamilySource = Pick<ProjectDocument, 'families' | 'roles' | 'ground'>;

/** Whether all of a family is its own. */
const isFree = (family: Family): boolean => {
  if (family.follows) return false;
  const ground = groundOfGrowth(family.growth);
  return !ground || ground.to === 'color';
};

const WHITE: Painted = paint('#ffffff');
const hexOf = ({ r, g, b }: Rgba) => hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));

/** Works out what families are grown from, those that they follow first. Circles are refused before they come here. */
class FamilyTree {
  private readonly doc: FamilySource;
  private readonly byId: ReadonlyMap<string, Family>;
  private readonly bases = new Map<string, string | null>();
  private readonly done = new Map<string, ResolvedFamily>();
  /** What is being worked out, so that a document that nobody checked ends too. */
  private readonly open = new Set<string>();
  private readonly before: FamilyMap | undefined;

  constructor(doc: FamilySource, before?: FamilyMap) {
    this.doc = doc;
    this.before = before;
    this.byId = new Map(doc.families.map((family) => [family.id, family]));
  }

  /** CSS text of the base of a family; null when there is no such family. */
  private baseText(id: string): string | null {
    const family = this.byId.get(id);
    if (!family) return null;
    if (!family.follows) return family.base;
    const known = this.bases.get(id);
    if (known !== undefined) return known;
    this.bases.set(id, family.base);
    const text = followingBase(family.follows, family.base, this.base) ?? family.base;
    this.bases.set(id, text);
    return text;
  }

  readonly base = (id: string): Painted | null => {
    const text = this.baseText(id);
    return text === null ? null : paint(text);
  };

  family(id: string): ResolvedFamily | null {
    const family = this.byId.get(id);
    if (!family) return null;
    const known = this.done.get(id);
    if (known) return known;
    if (this.open.has(id)) return null;
    this.open.add(id);
    const from = isFree(family) ? plain(family) : this.grownFrom(family);
    const old = this.before?.get(id);
    const resolved = old?.family === family && sameOrigin(old, from) ? old : resolveFamily(family, from);
    this.open.delete(id);
    this.done.set(id, resolved);
    return resolved;
  }

  private grownFrom(family: Family): GrownFrom {
    const { follows, growth } = family;
    let problem: string | null = null;
    if (followedBy(follows).some((id) => !this.byId.has(id)))
      problem = 'A family it follows no longer exists.';
    const wanted = groundOfGrowth(growth);
    const ground = wanted && this.ground(wanted);
    if (wanted && !ground) problem ??= 'The ground it grows on no longer exists.';
    return {
      base: this.baseText(family.id)!,
      ground: wanted && (ground ? hexOf(ground) : WHITE.css),
      problem,
    };
  }

  private ground(ground: GrowthGround): Rgba | null {
    if (ground.to === 'color') return paint(ground.color);
    if (ground.to !== 'role') return this.colorOf(ground, '');
    const color = this.role(ground.role, ground.theme);
    return color && this.laid(color, ground.theme);
  }

  /** A colour as it is seen on what lies beneath the page in a theme. */
  private laid(color: Painted, theme: string): Rgba {
    if (color.alpha === 1) return color;
    const page = this.doc.ground === null ? null : this.role(this.doc.ground, theme);
    return paintedOver(color, page ? paintedOver(page, WHITE) : WHITE);
  }

  private role(id: string, theme: string): Painted | null {
    const link = plainLink(rolesOf(this.doc.roles).get(id)?.links[theme]);
    const key = `${theme} ${id}`;
    if (!link || this.open.has(key)) return null;
    this.open.add(key);
    const color = this.colorOf(link, theme);
    this.open.delete(key);
    return color;
  }

  private colorOf(link: Link, theme: string): Painted | null {
    const color = this.targetOf(link, theme);
    return color && fade(color, link.opacity ?? 1);
  }

  private targetOf(link: Link, theme: string): Painted | null {
    switch (link.to) {
      case 'color':
        return paint(link.color);
      case 'base':
        return this.base(link.family);
      case 'shade':
        return this.family(link.family)?.byLabel.get(link.shade) ?? null;
      case 'role':
        return this.role(link.role, theme);
    }
  }
}

const plain = (family: Family): GrownFrom => {
  const ground = groundOfGrowth(family.growth);
  return { base: family.base, ground: ground?.to === 'color' ? ground.color : null, problem: null };
};

const sameOrigin = (old: ResolvedFamily, from: GrownFrom) =>
  old.base.text === from.base && old.ground === from.ground && old.problem === from.problem;

/** Whether nothing that families come of has changed. */
const same = (doc: FamilySource, old: FamilySource) =>
  doc.families === old.families &&
  (!anyOnRole(doc.families) || (doc.roles === old.roles && doc.ground === old.ground));

/** The families of a document, each worked out when it is asked for. */
export function familiesOf(document: ProjectDocument): Families {
  const tree = new FamilyTree(document);
  return { get: (id) => tree.family(id) ?? undefined };
}

/**
 * All families of a document, those that follow others after them. Given an earlier state, families that come to the
 * same are the same objects as there.
 */
export function resolveFamilies(
  document: ProjectDocument,
  previous?: { readonly document: ProjectDocument; readonly families: FamilyMap },
): FamilyMap {
  if (previous && same(document, previous.document)) return previous.families;
  const tree = new FamilyTree(document, previous?.families);
  return new Map(document.families.map(({ id }) => [id, tree.family(id)!]));
}
