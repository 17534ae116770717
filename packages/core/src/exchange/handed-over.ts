import type { KeptChoices } from '../document/delivery/forms.ts';
import type { System } from '../system/resolve.ts';
import type { FontFiles } from './people/letters.ts';

/** What files are written from. */
export interface HandedOver {
  /** What goes out. */
  readonly system: System;
  readonly choices: KeptChoices;
  /** When, ISO 8601. */
  readonly at: string;
  /** Revision of the project's log; null where that is not known. */
  readonly revision: number | null;
  /** The fonts that labels are drawn with, fetched when they are needed. */
  readonly fonts: () => Promise<FontFiles>;
}

export type Written = string | Uint8Array;
