import { hashOf, newToken } from './access/token.ts';
import { INVITATION_DAYS } from './letters/send-invitation.ts';
import { invitationAddress } from './letters/texts.ts';
import { fail, serve } from './serve.ts';
import { checkSettings } from './settings/check.ts';
import { readSettings, type Settings, SettingsFault } from './settings/settings.ts';

/** The settings, or the end with a sentence that says which of them is wrong. */
function settingsOrEnd(): Settings {
  try {
    return readSettings(process.env);
  } catch (error) {
    if (error instanceof SettingsFault) fail(error.message);
    throw error;
  }
}

// The server as a team runs it; with --check it tries what it is told, and ends.
const settings = settingsOrEnd();
if (process.argv.includes('--check')) process.exit((await checkSettings(settings)) ? 0 : 1);

const { databaseUrl, connections, replicaUrl, pictures, host, port, logLevel, ...rest } = settings;
const { names, people, mail, trustProxy, grace, metrics } = rest;
await serve(
  {
    databaseUrl,
    connections,
    replicaUrl,
    pictures,
    host,
    port,
    logLevel,
    webRoot: process.env.WEB_ROOT,
    app: { names, people, mail, trustProxy, grace, metrics },
  },
  {
    async listening(app) {
      const token = newToken();
      if (await app.invitations.first(hashOf(token), INVITATION_DAYS))
        // Beside the log and not in it: who reads logs is not who begins.
        console.error(
          `Nobody has an account here yet. The first person makes one at\n\n  ${invitationAddress(people.publicAddress, token)}\n\nIt works until somebody is there, for ${INVITATION_DAYS} days; each start prints one.\n`,
        );
    },
  },
);
