import { createHash, randomBytes } from 'node:crypto';

/** A secret of 256 bits of chance, for a cookie or an address. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token: whoever reads the database cannot use it. Slow hashing is for what people think up. */
export const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
