import type { Role } from '../../document/roles/role.ts';

type Places = ReadonlyMap<string, readonly number[]>;

/** The places of the roles that point to each family and to each role in a theme. */
interface RolePointers {
  readonly byFamily: Places;
  readonly byRole: Places;
}

// A list of roles never changes, only its successor does.
const known = new WeakMap<readonly Role[], Map<string, RolePointers>>();

/** What the roles of a list point to in a theme; worked out once. */
function pointersIn(list: readonly Role[], theme: string): RolePointers {
  let themes = known.get(list);
  if (!themes) {
    themes = new Map();
    known.set(list, themes);
  }
  let pointers = themes.get(theme);
  if (pointers) return pointers;
  const byFamily = new Map<string, number[]>();
  const byRole = new Map<string, number[]>();
  const note = (map: Map<string, number[]>, key: string, place: number) => {
    const places = map.get(key);
    if (places) places.push(place);
    else map.set(key, [place]);
  };
  list.forEach(({ links }, place) => {
    const link = links[theme];
    if (link?.to === 'shade' || link?.to === 'base') note(byFamily, link.family, place);
    else if (link?.to === 'role') note(byRole, link.role, place);
  });
  pointers = { byFamily, byRole };
  themes.set(theme, pointers);
  return pointers;
}

/** The places of the roles that may look otherwise in a theme after some families have changed, by way of others too. */
export function placesAfter(
  list: readonly Role[],
  theme: string,
  families: ReadonlySet<string>,
): ReadonlySet<number> {
  const { byFamily, byRole } = pointersIn(list, theme);
  const places = new Set<number>();
  for (const family of families) for (const place of byFamily.get(family) ?? []) places.add(place);
  // What is put in while it is gone through is gone through too.
  for (const place of places) for (const follower of byRole.get(list[place]!.id) ?? []) places.add(follower);
  return places;
}
