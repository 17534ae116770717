import { isIP } from 'node:net';
import ipaddr from 'ipaddr.js';

/** All of IPv6 that is given out to the public so far; what lies outside has other uses, or had. */
const GLOBAL_UNICAST = ipaddr.IPv6.parseCIDR('2000::/3');

/**
 * Whether an IP address is one of the public internet. All else is refused: loopback, private and link-local
 * networks, shared and reserved ranges, and IPv6 addresses that stand for an IPv4 one in any of the known ways.
 * Source: the special-purpose address registries (RFC 6890), as the package has them.
 */
export function isPublicAddress(address: string): boolean {
  if (!isIP(address)) return false;
  const parsed = ipaddr.parse(address);
  if (parsed instanceof ipaddr.IPv6 && !parsed.match(GLOBAL_UNICAST)) return false;
  return parsed.range() === 'unicast';
}

/** An IP address that stands in a URL's host, without its brackets; null when the host is a name. */
export function addressInHost(hostname: string): string | null {
  const bare = hostname.replace(/^\[|\]$/g, '');
  return isIP(bare) ? bare : null;
}
