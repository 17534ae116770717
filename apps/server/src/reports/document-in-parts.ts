import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { Turns } from '../turns.ts';

/** Things of a list that are written at a time. */
const AT_A_TIME = 100;

/**
 * A document as JSON, in parts: the largest have ten million characters, and written in one piece they would keep all
 * other requests waiting.
 */
export async function* documentInParts(document: ProjectDocument): AsyncGenerator<string> {
  const turns = new Turns();
  let before = '{';
  for (const [key, value] of Object.entries(document)) {
    yield `${before}${JSON.stringify(key)}:`;
    before = ',';
    if (!Array.isArray(value)) {
      yield JSON.stringify(value);
      continue;
    }
    yield '[';
    for (let at = 0; at < value.length; at += AT_A_TIME) {
      const part = JSON.stringify(value.slice(at, at + AT_A_TIME)).slice(1, -1);
      yield at ? `,${part}` : part;
      await turns.yieldTurn();
    }
    yield ']';
  }
  yield '}';
}
