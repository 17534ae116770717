import type { Given } from '../jobs/work/begin-system.ts';

/** What a way in has come to: what the system is made of, and what of it comes along to the project. */
export interface ToBeginWith {
  readonly given: Given;
  /** A name for the project where nobody gives one. */
  readonly name?: string;
  /** The text that it came from, which lies at Gather then. */
  readonly text?: string;
  /** The picture that it came from, which comes along. */
  readonly picture?: File;
}

export interface WayProps {
  /** Tells what there is to begin with by now; null while there is nothing. */
  readonly onGiven: (found: ToBeginWith | null) => void;
}
