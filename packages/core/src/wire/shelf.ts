import type { NewSet } from '../shelf/shelf-set.ts';

/** What goes over the wire about the shelf; written once for both ends. */

export const SHELF_ORDERS = ['new', 'adopted', 'favoured'] as const;
export type ShelfOrder = (typeof SHELF_ORDERS)[number];

export interface ShelfSet extends NewSet {
  readonly id: string;
  /** Ships with Mint Lamp, and cannot be taken back. */
  readonly ours: boolean;
  /** Published by whoever asks. */
  readonly own: boolean;
  /** Who published it; null where nobody is known. */
  readonly by: string | null;
  /** The name of the team that it was published to; null for all of the server. */
  readonly team: string | null;
  /** Whether whoever asks may take it back. */
  readonly withdrawable: boolean;
  /** How often it was adopted and favoured, and whether whoever asks favours it. */
  readonly adopted: number;
  readonly favoured: number;
  readonly favourite: boolean;
  /** ISO 8601. */
  readonly at: string;
}

export interface ShelfPage {
  readonly sets: readonly ShelfSet[];
  /** Where the next page begins; null when this is the last. */
  readonly next: string | null;
}
