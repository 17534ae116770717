import { workOf } from '@mint-lamp/core/document/commands/command';
import type { Sender } from '@mint-lamp/core/wire/may-send';
import { type CommitAnswer, MOST_IN_REQUEST, type SentCommand } from '@mint-lamp/core/wire/projects';

/** One sender's commands, waiting for their turn. */
export interface Waiting {
  readonly sender: Sender;
  /** The revision that the sender has seen. */
  readonly known: number;
  readonly sent: readonly SentCommand[];
  readonly answer: (answer: CommitAnswer | null) => void;
  readonly fail: (error: unknown) => void;
}

const workOfAll = ({ sent }: Waiting) => sent.reduce((sum, { command }) => sum + workOf(command), 0);

type Commit = (projectId: string, group: readonly Waiting[]) => Promise<void>;

/**
 * Puts the senders of each project in a row. Those who wait while a transaction runs are committed together in the
 * next one, so that many senders cost little more than one.
 */
export class CommitQueue {
  private readonly waiting = new Map<string, Waiting[]>();
  private readonly commit: Commit;

  constructor(commit: Commit) {
    this.commit = commit;
  }

  add(id: string, one: Omit<Waiting, 'answer' | 'fail'>): Promise<CommitAnswer | null> {
    return new Promise((answer, fail) => {
      const line = this.waiting.get(id);
      if (line) line.push({ ...one, answer, fail });
      else {
        const begun = [{ ...one, answer, fail }];
        this.waiting.set(id, begun);
        void this.run(id, begun);
      }
    });
  }

  private async run(id: string, line: Waiting[]): Promise<void> {
    while (line.length) {
      // About as much goes into one transaction as one request may hold.
      let count = 0;
      let commands = 0;
      while (count < line.length && (count === 0 || commands + workOfAll(line[count]!) <= MOST_IN_REQUEST))
        commands += workOfAll(line[count++]!);
      const group = line.splice(0, count);
      await this.commit(id, group).catch((error: unknown) => {
        for (const { fail } of group) fail(error);
      });
    }
    // In the same breath as the line is seen to be empty, so that nobody joins one that has ended.
    this.waiting.delete(id);
  }
}
