/** The channel on which every server process on this database hears of changed projects. */
export const CHANNEL = 'project_changed';

export interface ChangedProject {
  readonly id: string;
  readonly revision: number;
}
