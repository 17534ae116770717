import type { ColorStop, LinearGradient } from '../gradient/model.ts';
import { ById, indexById } from './by-id.ts';
import type { Gradient, Link } from './document.ts';
import { fade, type Painted, paint } from './painted.ts';
import type { ResolvedFamily, ResolvedRole } from './resolve.ts';

type Families = ReadonlyMap<string, ResolvedFamily>;
type Roles = ById<ResolvedRole>;
type Colors = (Painted | null)[];

function colorOfStop(link: Link, families: Families, roles: Roles): Painted | null {
  const opacity = link.opacity ?? 1;
  if (link.to === 'color') return fade(paint(link.color), opacity);
  const color =
    link.to === 'shade' ? families.get(link.family)?.byLabel.get(link.shade) : roles.get(link.role)?.color;
  return color ? fade(color, opacity) : null;
}

/** A gradient in a theme; its colours are worked out when they are first read. */
export class ResolvedGradient {
  readonly gradient: Gradient;
  private readonly families: Families;
  private readonly roles: Roles;
  private known: Colors | null;

  constructor(gradient: Gradient, families: Families, roles: Roles, known: Colors | null = null) {
    this.gradient = gradient;
    this.families = families;
    this.roles = roles;
    this.known = known;
  }

  /** Colours of the stops, in the gradient's order; null where the link is broken. */
  get colors(): readonly (Painted | null)[] {
    this.known ??= this.gradient.stops.map((stop) => colorOfStop(stop.link, this.families, this.roles));
    return this.known;
  }

  /** The same gradient over other families and roles; see {@link recolor}. */
  successor(families: Families, roles: Roles): ResolvedGradient {
    return new ResolvedGradient(this.gradient, families, roles, this.known?.slice());
  }

  /** Works out again what is known of some stops. For a new successor only, before anyone has seen it. */
  recolor(stops: readonly number[]): void {
    if (!this.known) return;
    for (const i of stops)
      this.known[i] = colorOfStop(this.gradient.stops[i]!.link, this.families, this.roles);
  }
}

/** A resolved gradient as CSS has it, made of the stops that have a colour; null when none has. */
export function paintedGradient({ gradient, colors }: ResolvedGradient): LinearGradient | null {
  const stops = gradient.stops.flatMap((stop, i): ColorStop[] => {
    const color = colors[i];
    return color ? [{ kind: 'stop', color, places: [{ value: stop.position, unit: '%' }] }] : [];
  });
  if (!stops.length) return null;
  const direction = { by: 'angle', degrees: gradient.angle } as const;
  return { kind: 'linear', repeating: false, direction, space: gradient.space, hueWay: 'shorter', stops };
}

/** Of one family or role, the stops that point to it: by the gradient's place in the list, places of stops. */
type StopsByGradient = Map<number, number[]>;

interface Pointers {
  readonly index: ReadonlyMap<string, number>;
  readonly byFamily: ReadonlyMap<string, StopsByGradient>;
  readonly byRole: ReadonlyMap<string, StopsByGradient>;
}

// A list of gradients never changes, only its successor does.
const known = new WeakMap<readonly Gradient[], Pointers>();

function pointersOf(gradients: readonly Gradient[]): Pointers {
  let pointers = known.get(gradients);
  if (pointers) return pointers;
  const byFamily = new Map<string, StopsByGradient>();
  const byRole = new Map<string, StopsByGradient>();
  const note = (map: Map<string, StopsByGradient>, key: string, gradient: number, stop: number) => {
    const stops = map.get(key) ?? new Map<number, number[]>();
    map.set(key, stops);
    const list = stops.get(gradient);
    if (list) list.push(stop);
    else stops.set(gradient, [stop]);
  };
  gradients.forEach(({ stops }, g) => {
    stops.forEach(({ link }, s) => {
      if (link.to === 'shade') note(byFamily, link.family, g, s);
      else if (link.to === 'role') note(byRole, link.role, g, s);
    });
  });
  pointers = { index: indexById(gradients), byFamily, byRole };
  known.set(gradients, pointers);
  return pointers;
}

/** Gradients of a document with stops that have no colour in a theme: by id, how many. */
export type LostStops = ReadonlyMap<string, number>;

/** How many stops of each gradient have lost their shade; it is the same in every theme. */
export function countLostShades(gradients: readonly Gradient[], families: Families): number[] {
  return gradients.map(({ stops }) => {
    let lost = 0;
    for (const { link } of stops)
      if (link.to === 'shade' && !families.get(link.family)?.byLabel.has(link.shade)) lost++;
    return lost;
  });
}

/** The stops without a colour in a theme, given its roles and what {@link countLostShades} found. */
export function lostStops(
  gradients: readonly Gradient[],
  roles: Roles,
  lostShades: readonly number[],
): LostStops {
  const lost = [...lostShades];
  for (const [role, stops] of pointersOf(gradients).byRole)
    if (!roles.get(role)?.color) for (const [g, list] of stops) lost[g]! += list.length;
  return new Map(gradients.flatMap(({ id }, g) => (lost[g] ? [[id, lost[g]] as const] : [])));
}

/**
 * The gradients of a theme. Nobody looks at all of them in all themes in one frame: they are made when they are
 * first asked for, and carried on from change to change once they are.
 */
export class ThemeGradients {
  private readonly gradients: readonly Gradient[];
  private readonly families: Families;
  private readonly roles: Roles;
  private made: ById<ResolvedGradient> | null;

  constructor(
    gradients: readonly Gradient[],
    families: Families,
    roles: Roles,
    made: ById<ResolvedGradient> | null = null,
  ) {
    this.gradients = gradients;
    this.families = families;
    this.roles = roles;
    this.made = made;
  }

  get all(): ById<ResolvedGradient> {
    const { gradients, families, roles } = this;
    this.made ??= new ById(
      pointersOf(gradients).index,
      gradients.map((gradient) => new ResolvedGradient(gradient, families, roles)),
    );
    return this.made;
  }

  /**
   * The same after some families, and with them some roles, have changed colour, but no link has broken or
   * mended. Gradients that point to neither stay the same objects.
   */
  after(
    changed: { readonly families: readonly string[]; readonly roles: readonly string[] },
    families: Families,
    roles: Roles,
  ): ThemeGradients {
    const { gradients, made } = this;
    if (!made) return new ThemeGradients(gradients, families, roles);
    const { byFamily, byRole } = pointersOf(gradients);
    const before = made.values();
    const now = [...before];
    const touch = (stops: StopsByGradient | undefined) => {
      if (!stops) return;
      for (const [g, list] of stops) {
        if (now[g] === before[g]) now[g] = before[g]!.successor(families, roles);
        now[g]!.recolor(list);
      }
    };
    for (const id of changed.families) touch(byFamily.get(id));
    for (const id of changed.roles) touch(byRole.get(id));
    return new ThemeGradients(gradients, families, roles, made.with(now));
  }
}
