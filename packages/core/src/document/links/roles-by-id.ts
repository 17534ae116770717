interface Identified {
  readonly id: string;
}

// A list of roles never changes, only its successor does.
const rolesById = new WeakMap<readonly Identified[], ReadonlyMap<string, Identified>>();

/** The roles of a document by their ids. */
export function rolesOf<R extends Identified>(roles: readonly R[]): ReadonlyMap<string, R> {
  const byId =
    (rolesById.get(roles) as ReadonlyMap<string, R>) ?? new Map(roles.map((role) => [role.id, role]));
  rolesById.set(roles, byId);
  return byId;
}
