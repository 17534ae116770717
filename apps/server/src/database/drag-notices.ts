import type { Command } from '@mint-lamp/core/document/commands/command';
import type { DataSource } from 'typeorm';

/** The channel on which every server process hears what somebody is dragging. */
export const DRAG_CHANNEL = 'project_dragged';

/** What somebody drags at this moment: what letting go would make of the project; null once it is given back. */
export interface Dragged {
  readonly project: string;
  /** The revision that whoever drags has. */
  readonly revision: number;
  readonly command: Command | null;
}

/** Bytes that a notice of PostgreSQL holds. */
const MOST_BYTES = 7900;

/** Tells every server process; what is too large for a notice is not told, and seen once it is let go. */
export async function tellDrag(source: DataSource, dragged: Dragged): Promise<void> {
  const payload = JSON.stringify(dragged);
  if (Buffer.byteLength(payload) > MOST_BYTES) return;
  await source.query('SELECT pg_notify($1, $2)', [DRAG_CHANNEL, payload]);
}
