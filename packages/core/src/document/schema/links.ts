import type { GrowthGround } from '../links/growth-ground.ts';
import type { Link, RoleLink } from '../links/link.ts';
import { optional, unionOf } from './keys.ts';
import { color, id, label, opaqueColor, share } from './parts.ts';

const opacity = optional(share);

const plain = {
  shade: { family: id, shade: label, opacity },
  base: { family: id, opacity },
  role: { role: id, opacity },
  color: { color, opacity },
};

export const link = unionOf<Link, 'to'>('to', plain);
export const roleLink = unionOf<RoleLink, 'to'>('to', { ...plain, gradient: { gradient: id } });

/** What a growth by opacity or contrast goes by. */
export const growthGround = unionOf<GrowthGround, 'to'>('to', {
  color: { color: opaqueColor },
  shade: { family: id, shade: label },
  base: { family: id },
  role: { role: id, theme: id },
});
