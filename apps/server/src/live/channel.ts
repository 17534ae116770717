import type { LoggedCommand } from '@mint-lamp/core/wire/projects';

/** The channel on which every server process on this database hears of changed projects. */
export const CHANNEL = 'project_changed';

export interface ChangedProject {
  readonly id: string;
  readonly revision: number;
  /** What happened up to it, where it is little and of this version. */
  readonly entries?: readonly LoggedCommand[];
}
