import type { ErrorCode } from '@mint-lamp/core/wire/errors';

/** What the server asks of a process. */
export interface JobMessage {
  readonly name: string;
  readonly input: unknown;
}

/**
 * What comes back: that it has begun, which takes a moment in a new process; then what was made, a sentence for whoever
 * asked, or a fault of our own for the log.
 */
export type JobAnswer =
  | { readonly kind: 'begun' }
  | { readonly kind: 'done'; readonly output: unknown }
  | { readonly kind: 'refused'; readonly code: ErrorCode; readonly message: string; readonly path: string }
  | { readonly kind: 'failed'; readonly why: string };
