import { createCipheriv, createDecipheriv, createHash, randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';

/** Six digits, new every 30 s, by HMAC-SHA-1: what every authenticator app reads (RFC 6238). */
const KIND = { algorithm: 'SHA1', digits: 6, period: 30 } as const;
/** Steps before and after now whose codes count too, for clocks that are off. */
const WINDOW = 1;
const RECOVERY_CODES = 10;

const totpOf = (secret: Secret, email = '') =>
  new TOTP({ ...KIND, issuer: 'Mint Lamp', label: email || 'Mint Lamp', secret });

export const newFactor = (): string => new Secret({ size: 20 }).base32;

/** The address that an authenticator app reads from a QR code. */
export const factorAddress = (secret: string, email: string): string =>
  totpOf(Secret.fromBase32(secret), email).toString();

/** The step of time that a code is of; null for a wrong one. `now`: ms since 1970. */
export function stepOfCode(secret: string, code: string, now: number): number | null {
  const token = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(token)) return null;
  const delta = totpOf(Secret.fromBase32(secret)).validate({ token, timestamp: now, window: WINDOW });
  return delta === null ? null : Math.floor(now / 1000 / KIND.period) + delta;
}

/** Ten codes of 50 bits, in two groups of five letters that are told apart. */
export function newRecoveryCodes(): string[] {
  const signs = '23456789abcdefghjkmnpqrstuvwxyz';
  const sign = () => {
    // Of a byte, what is beyond the last whole round is thrown away, so that all are as likely.
    for (;;) {
      const byte = randomBytes(1)[0]!;
      if (byte < 256 - (256 % signs.length)) return signs[byte % signs.length]!;
    }
  };
  const group = () => Array.from({ length: 5 }, sign).join('');
  return Array.from({ length: RECOVERY_CODES }, () => `${group()}-${group()}`);
}

/** What is kept of a recovery code; null for what is none. */
export function recoveryHash(code: string): Buffer | null {
  const plain = code.toLowerCase().replace(/[\s-]/g, '');
  return /^[2-9a-z]{10}$/.test(plain) ? createHash('sha256').update(`recovery ${plain}`).digest() : null;
}

/** Keeps secrets unreadable to whoever has the database alone: AES-256-GCM with a key from the server's secret. */
export interface Vault {
  close(text: string): Buffer;
  /** Throws where it was closed with another secret, or changed. */
  open(closed: Buffer): string;
}

const [IV_BYTES, TAG_BYTES] = [12, 16];

export function vaultOf(serverSecret: string): Vault {
  const key = createHash('sha256').update(`mint-lamp vault ${serverSecret}`).digest();
  return {
    close(text) {
      const iv = randomBytes(IV_BYTES);
      const cipher = createCipheriv('aes-256-gcm', key, iv);
      return Buffer.concat([iv, cipher.update(text, 'utf8'), cipher.final(), cipher.getAuthTag()]);
    },
    open(closed) {
      const decipher = createDecipheriv('aes-256-gcm', key, closed.subarray(0, IV_BYTES));
      decipher.setAuthTag(closed.subarray(-TAG_BYTES));
      return `${decipher.update(closed.subarray(IV_BYTES, -TAG_BYTES), undefined, 'utf8')}${decipher.final('utf8')}`;
    },
  };
}
