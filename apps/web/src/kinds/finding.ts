import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import type { StationId } from '../addresses.ts';

/** Something that the finder can go to or do. */
export interface Finding {
  readonly key: string;
  readonly name: string;
  readonly note?: string;
  /** Words besides its name by which it is found. */
  readonly also?: string;
  /** A colour or gradient to show beside the name, worked out when it is shown; null is a broken link. */
  readonly css?: () => string | null;
  readonly act: () => void;
}

export interface FindingGroup {
  readonly title: string;
  readonly findings: readonly Finding[];
  /** Whether it is too much to be listed before something is typed. */
  readonly whenTyped?: boolean;
}

/** What the things of a kind are found with. */
export interface FindingTools {
  readonly system: System;
  readonly theme: ResolvedTheme;
  /** Goes to a station, or to a thing at it. */
  readonly go: (station: StationId, ...parts: readonly string[]) => () => void;
}
