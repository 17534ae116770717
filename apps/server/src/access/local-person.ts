import type { SignedIn } from '@mint-lamp/core/wire/people';
import type { DataSource } from 'typeorm';
import { Owner } from '../database/entities.ts';

/** The one person of a demo's computer, who has no account and does not sign in. */
export const LOCAL_PERSON: SignedIn = {
  id: '00000000-0000-4000-8000-000000000001',
  name: 'This computer',
  email: '',
  administrator: true,
};

/** Makes sure that they are there. */
export async function ensureLocalPerson(database: DataSource): Promise<void> {
  const { id, name } = LOCAL_PERSON;
  await database.createQueryBuilder().insert().into(Owner).values({ id, name }).orIgnore().execute();
}
