import { optional, unionOf } from '../schema/keys.ts';
import { color, id, label, share } from '../schema/parts.ts';
import type { Link, RoleLink } from './link.ts';

const opacity = optional(share);

const plain = {
  shade: { family: id, shade: label, opacity },
  base: { family: id, opacity },
  role: { role: id, opacity },
  color: { color, opacity },
};

export const linkSchema = unionOf<Link, 'to'>('to', plain);
export const roleLinkSchema = unionOf<RoleLink, 'to'>('to', { ...plain, gradient: { gradient: id } });
