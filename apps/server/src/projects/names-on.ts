import type { NameOf } from '@mint-lamp/core/document/notes/signed-notes';
import type { FastifyInstance } from 'fastify';

/** What the people of a project are called. */
export async function namesOn({ teams }: FastifyInstance, id: string): Promise<NameOf> {
  const { people } = await teams.onProject(id);
  const names = new Map(people.map((one) => [one.id, one.name]));
  return (author) => names.get(author) ?? null;
}
