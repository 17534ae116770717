import type { Color } from './spaces.ts';

/** What reading a colour comes to: the colour, or why it is none, in words. */
export type ParseResult = { ok: true; color: Color } | { ok: false; reason: string };
