import { randomUUID } from 'node:crypto';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { Said } from '@mint-lamp/core/document/notes/note';
import type { DataSource, EntityManager } from 'typeorm';
import { tryLockInTransaction } from './advisory-lock.ts';
import type { FreshEntry } from './log.ts';
import type { Letter } from './people/letter-store.ts';
import { rowsOf } from './people/queries.ts';

/** Somebody named in a note, or in an answer to it. */
interface Naming {
  readonly note: string;
  readonly said: string;
  readonly person: string;
}

/** Those of one person in one project who were not told yet, the oldest first. */
export interface Untold {
  readonly project: string;
  readonly person: { readonly id: string; readonly name: string; readonly email: string };
  readonly namings: readonly (Omit<Naming, 'person'> & { readonly from: string | null })[];
}

export interface MentionStore {
  /**
   * Takes somebody who is to be told of what is at least so many seconds old, where the last letter about that project is
   * longer ago than `pause`, and writes the letter that `letterFor` makes of it, once, by whichever process. What it
   * leaves out is forgotten: said again, it counts again. False when nobody is to be told now.
   */
  tellNext(
    seconds: number,
    pause: number,
    letterFor: (
      untold: Untold,
    ) => Promise<{ readonly letter: Letter | null; readonly told: readonly string[] }>,
  ): Promise<boolean>;
}

const namedBy = (note: string, { id, mentions = [] }: Pick<Said, 'id' | 'mentions'>): Naming[] =>
  mentions.map((person) => ({ note, said: id, person }));

function namingsOf(command: SimpleCommand): Naming[] {
  switch (command.type) {
    case 'addNote':
      return [command.note, ...command.note.answers].flatMap((said) => namedBy(command.note.id, said));
    case 'setNote':
      return namedBy(command.note, { id: command.note, ...command.change });
    case 'answerNote':
      return namedBy(command.note, command.answer);
    case 'setAnswer':
      return namedBy(command.note, { ...command, id: command.answer });
    default:
      return [];
  }
}

const allOf = (command: Command): Naming[] =>
  command.type === 'batch' ? command.commands.flatMap(namingsOf) : namingsOf(command);

/** Notes whom fresh entries of a log name, each once for each note or answer, however often it is said. */
export async function noteMentions(
  manager: EntityManager,
  projectId: string,
  fresh: readonly FreshEntry[],
): Promise<void> {
  const rows = fresh.flatMap(({ command, author }) =>
    allOf(command)
      .filter(({ person }) => person !== author)
      .map((naming) => ({ ...naming, author })),
  );
  if (!rows.length) return;
  await manager.query(
    `INSERT INTO mention (project_id, said_id, note_id, person_id, from_id)
     SELECT DISTINCT ON (r.said, p.id) $1::uuid, r.said, r.note, p.id, r.author
     FROM jsonb_to_recordset($2::jsonb) AS r (note text, said text, person text, author uuid)
     JOIN person p ON p.id::text = r.person
     ON CONFLICT DO NOTHING`,
    [projectId, JSON.stringify(rows)],
  );
}

/** Who was named and has not been told yet, in PostgreSQL. */
export function mentionStore(source: DataSource): MentionStore {
  return {
    tellNext: (seconds, pause, letterFor) =>
      source.transaction(async (manager) => {
        // Two who tell at once would each write a letter to the same person.
        if (!(await tryLockInTransaction(manager, 'mentions'))) return false;
        const [first] = await rowsOf<{ project: string; person: string }>(
          manager,
          `SELECT m.project_id AS project, m.person_id AS person FROM mention m
           WHERE m.told_at IS NULL AND m.at <= now() - make_interval(secs => $1)
             AND NOT EXISTS (
               SELECT 1 FROM mention o WHERE o.person_id = m.person_id AND o.project_id = m.project_id
                 AND o.told_at > now() - make_interval(secs => $2))
           ORDER BY m.at LIMIT 1`,
          [seconds, pause],
        );
        if (!first) return false;
        const { project, person } = first;
        const [who] = await rowsOf<Untold['person']>(
          manager,
          'SELECT p.id, o.name, p.email FROM person p JOIN owner o ON o.id = p.id WHERE p.id = $1',
          [person],
        );
        const namings = await rowsOf<Untold['namings'][number]>(
          manager,
          `SELECT m.note_id AS note, m.said_id AS said, o.name AS "from" FROM mention m
           LEFT JOIN owner o ON o.id = m.from_id
           WHERE m.project_id = $1 AND m.person_id = $2 AND m.told_at IS NULL
           ORDER BY m.at, m.said_id`,
          [project, person],
        );
        const { letter, told } = await letterFor({ project, person: who!, namings });
        const those = [project, person, namings.map(({ said }) => said), told];
        await manager.query(
          `DELETE FROM mention WHERE project_id = $1 AND person_id = $2 AND said_id = ANY($3) AND NOT said_id = ANY($4)`,
          those,
        );
        await manager.query(
          `UPDATE mention SET told_at = now() WHERE project_id = $1 AND person_id = $2
           AND said_id = ANY($3) AND said_id = ANY($4)`,
          those,
        );
        if (letter)
          await manager.query('INSERT INTO letter (id, recipient, subject, body) VALUES ($1, $2, $3, $4)', [
            randomUUID(),
            letter.to,
            letter.subject,
            letter.text,
          ]);
        return true;
      }),
  };
}
