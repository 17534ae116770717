import { optional, unionOf } from '../schema/keys.ts';
import { color, id, label, share } from '../schema/parts.ts';
import type { Link } from './link.ts';

const opacity = optional(share);

export const linkSchema = unionOf<Link, 'to'>('to', {
  shade: { family: id, shade: label, opacity },
  base: { family: id, opacity },
  role: { role: id, opacity },
  color: { color, opacity },
});
