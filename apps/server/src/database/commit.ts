import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { previewOf } from '@mint-lamp/core/system/preview';
import { type SaidBefore, type Sender, whyNotFrom, wordsOfOthers } from '@mint-lamp/core/wire/may-send';
import type { CommandOutcome, SentCommand } from '@mint-lamp/core/wire/projects';
import { type EntityManager, In } from 'typeorm';
import { CHANNEL } from '../live/channel.ts';
import { Turns } from '../turns.ts';
import { applyInTurns } from './apply-in-turns.ts';
import type { Waiting } from './commit-queue.ts';
import { documentAt } from './documents.ts';
import type { ProjectRow } from './entities.ts';
import { type KnownDocument, type KnownDocuments, knownAfter } from './known-documents.ts';
import { append, type FreshEntry, revisionsOf, wasSaid } from './log.ts';
import { noteMentions } from './mention-store.ts';
import { ProjectPicture } from './picture-entities.ts';

/** What became of one sender's commands. */
interface Committed {
  readonly one: Waiting;
  readonly outcomes: readonly CommandOutcome[];
}

export interface GroupResult {
  readonly now: KnownDocument;
  readonly row: Pick<ProjectRow, 'id' | 'logSize'>;
  readonly committed: readonly Committed[];
}

/** Applies commands one after the other, each of them once; others are answered meanwhile, however much it is. */
class Run {
  document: ProjectDocument;
  revision: number;
  size: number;
  readonly fresh: FreshEntry[] = [];
  private readonly turns = new Turns();
  private readonly revisions: Map<string, number>;
  private readonly wasSaid: (said: SaidBefore) => Promise<boolean>;

  constructor(
    known: KnownDocument,
    size: number,
    revisions: Map<string, number>,
    wasSaid: (said: SaidBefore) => Promise<boolean>,
  ) {
    this.document = known.document;
    this.revision = known.revision;
    this.size = size;
    this.revisions = revisions;
    this.wasSaid = wasSaid;
  }

  /** Words come back under somebody's name only as they once stood in the log. */
  private async whyForged(sender: Sender, command: SentCommand['command']): Promise<string | null> {
    for (const said of wordsOfOthers(sender, command))
      if (!(await this.wasSaid(said)))
        return `You ${said.kind === 'note' ? 'write notes' : 'answer'} under your own name only.`;
    return null;
  }

  async take(sender: Sender, { id, command }: SentCommand): Promise<CommandOutcome> {
    const before = this.revisions.get(id);
    if (before !== undefined) return { id, status: 'known', revision: before };
    const why = whyNotFrom(sender, this.document.notes, command) ?? (await this.whyForged(sender, command));
    if (why) return { id, status: 'refused', reason: why };
    const result = await applyInTurns(this.document, command, this.turns);
    if (!result.ok) return { id, status: 'refused', reason: result.reason };
    this.document = result.document;
    this.revision += 1;
    this.size += JSON.stringify(command).length;
    this.revisions.set(id, this.revision);
    const { revision, size: sizeTo } = this;
    this.fresh.push({ id, revision, command, sizeTo, author: sender.id });
    return { id, status: 'applied', revision };
  }
}

/** Notes which of the project's pictures its log names from now on. */
async function markNamed(manager: EntityManager, projectId: string, fresh: readonly FreshEntry[]) {
  const contents = fresh
    .flatMap(({ command }) => (command.type === 'batch' ? command.commands : [command]))
    .flatMap((command) => (command.type === 'addPicture' ? [command.picture.content] : []));
  if (contents.length)
    await manager.getRepository(ProjectPicture).update({ projectId, content: In(contents) }, { named: true });
}

/**
 * Commits the commands of some senders to a project, in one transaction whose row is locked. A sender that is
 * ahead of the project saw another life of it, and nothing of it is applied.
 */
export async function commitGroup(
  manager: EntityManager,
  row: ProjectRow,
  group: readonly Waiting[],
  memory: KnownDocuments,
): Promise<GroupResult> {
  const known = await documentAt(manager, row, memory);
  const fitting = group.filter((one) => one.known <= row.revision);
  const sent = fitting.flatMap((one) => one.sent);
  const revisions = sent.length ? await revisionsOf(manager, row.id, sent) : new Map<string, number>();
  const run = new Run(known, Number(row.logSize), revisions, (said) => wasSaid(manager, row.id, said));
  const committed: Committed[] = [];
  for (const one of group) {
    const outcomes: CommandOutcome[] = [];
    if (one.known <= row.revision)
      for (const command of one.sent) outcomes.push(await run.take(one.sender, command));
    committed.push({ one, outcomes });
  }
  if (!run.fresh.length) return { now: known, row, committed };
  const preview = JSON.stringify(previewOf(run.document));
  await markNamed(manager, row.id, run.fresh);
  await noteMentions(manager, row.id, run.fresh);
  await append(manager, CHANNEL, row.id, run.fresh, {
    name: run.document.name,
    preview: preview === known.preview ? null : preview,
  });
  const entries = run.fresh.map(({ id, revision, command, sizeTo }) => ({
    entry: { id, revision, command },
    sizeTo,
  }));
  const now = knownAfter(known, run.document, entries, preview);
  return { now, row: { id: row.id, logSize: String(run.size) }, committed };
}
