import { hashOf, newToken } from '../access/token.ts';
import { openDatabase } from '../database/data-source.ts';
import { invitationStore } from '../database/people/invitation-store.ts';
import { personStore } from '../database/people/person-store.ts';
import { resetStore } from '../database/people/reset-store.ts';
import { endAll } from '../database/people/session-store.ts';
import { INVITATION_DAYS } from '../letters/send-invitation.ts';
import { invitationAddress, passphraseAddress } from '../letters/texts.ts';
import { readSettings, SettingsFault } from '../settings/settings.ts';

// npm run person -- …: what who runs a server does for its people, by the settings that the server has. Addresses with a
// secret are printed here and nowhere else.

const USAGE = `npm run person -- invite ADDRESS            prints where somebody makes an account and looks after the server
npm run person -- passphrase ADDRESS        prints where somebody sets a new passphrase
npm run person -- without-factor ADDRESS    removes somebody's second factor, and signs them out`;

/** For how long a printed address works by which a passphrase is set anew. */
const RESET_MINUTES = 60;

async function run([what, address]: readonly string[]): Promise<string> {
  const email = address?.trim().toLowerCase() ?? '';
  if (!what || !/^[^\s@]+@[^\s@]+$/.test(email)) throw new SettingsFault(USAGE);
  const { databaseUrl, people: options } = readSettings(process.env);
  const database = await openDatabase(databaseUrl);
  try {
    const token = newToken();
    const people = personStore(database);
    if (what === 'invite') {
      if (await people.credentials(email)) throw new SettingsFault(`${email} has an account here already.`);
      await invitationStore(database).send(
        hashOf(token),
        { email, team: null, access: null, administrator: true, from: null },
        INVITATION_DAYS,
      );
      return invitationAddress(options.publicAddress, token);
    }
    const found = await people.credentials(email);
    if (!found) throw new SettingsFault(`Nobody has an account here with ${email}.`);
    if (what === 'passphrase') {
      await resetStore(database).begin(email, hashOf(token), RESET_MINUTES);
      return passphraseAddress(options.publicAddress, token);
    }
    if (what !== 'without-factor') throw new SettingsFault(USAGE);
    await people.dropFactor(found.id);
    await endAll(database, found.id);
    return `${email} signs in with the passphrase alone now, and was signed out everywhere.`;
  } finally {
    await database.destroy();
  }
}

try {
  console.log(await run(process.argv.slice(2)));
} catch (error) {
  console.error(error instanceof SettingsFault ? error.message : error);
  process.exit(1);
}
