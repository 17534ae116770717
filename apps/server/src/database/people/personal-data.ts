import type { DataSource } from 'typeorm';
import { rowsOf } from './queries.ts';

/** What is kept of a person in what belongs to others. */
interface PersonalData {
  readonly sets: readonly unknown[];
  /** Notes under their name, as the log has them. */
  readonly notes: readonly unknown[];
  /** How many edits they made, by project. */
  readonly edits: readonly { readonly project: string; readonly edits: number }[];
}

/** A jsonpath of what somebody says in a command. */
const SAYS =
  '$.** ? (@.type == "addNote" || @.type == "setNote" || @.type == "answerNote" || @.type == "setAnswer")';

export interface PersonalDataStore {
  of(person: string): Promise<PersonalData>;
}

export function personalDataStore(source: DataSource): PersonalDataStore {
  return {
    async of(person) {
      const sets = await rowsOf(
        source,
        `SELECT s.name, s.words, s.content, s.colors, s.at, t.name AS team
         FROM shelf_set s LEFT JOIN owner t ON t.id = s.team_id WHERE s.owner_id = $1 ORDER BY s.at`,
        [person],
      );
      const others = `
        SELECT l.* FROM log_entry l JOIN project p ON p.id = l.project_id
        WHERE p.owner_id <> $1 AND l.author_id = $1`;
      const notes = await rowsOf(
        source,
        `SELECT p.name AS project, l.at, jsonb_path_query_array(l.command,
           '${SAYS}') AS notes
         FROM (${others}) AS l JOIN project p ON p.id = l.project_id
         WHERE jsonb_path_exists(l.command, '${SAYS}') ORDER BY l.at`,
        [person],
      );
      const edits = await rowsOf<{ project: string; edits: number }>(
        source,
        `SELECT p.name AS project, count(*)::int AS edits FROM (${others}) AS l
         JOIN project p ON p.id = l.project_id GROUP BY p.id, p.name ORDER BY p.name`,
        [person],
      );
      return { sets, notes, edits };
    },
  };
}
