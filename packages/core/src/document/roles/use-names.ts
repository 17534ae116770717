/** What a role paints: it is shown as that. */
export const ROLE_USES = ['ground', 'text', 'line', 'fill', 'ring', 'other'] as const;
export type RoleUse = (typeof ROLE_USES)[number];
