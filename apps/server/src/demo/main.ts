import { LOOPBACK_NAMES } from '../hosts/hosts.ts';
import { fail, serve } from '../serve.ts';
import { openLibrary } from './library.ts';
import { loadDemo } from './load.ts';

// The server with the demo projects, for the one person of this computer, and with a made-up web of pictures in place of
// the outside world. Letters stay in a mailbox that is opened here.
const { DATABASE_URL, PORT = '5170', WEB_ROOT, LOG_LEVEL = 'info', HOST_NAMES, LIBRARY_ROOT } = process.env;
if (!DATABASE_URL) fail('DATABASE_URL is not set: start the demo with "npm run demo".');

await serve(
  {
    databaseUrl: DATABASE_URL,
    host: '127.0.0.1',
    port: Number(PORT),
    logLevel: LOG_LEVEL,
    webRoot: WEB_ROOT,
    app: {
      names: HOST_NAMES ? HOST_NAMES.split(/[\s,]+/).filter(Boolean) : LOOPBACK_NAMES,
      people: {
        local: true,
        secret: 'the one person of this computer',
        publicAddress: `http://127.0.0.1:${PORT}`,
        sessions: { hours: 24 * 90, idleHours: 24 * 14 },
      },
      mail: { way: 'mailbox' },
    },
  },
  {
    prepare: (database) => loadDemo(database, LIBRARY_ROOT),
    ...(LIBRARY_ROOT ? { outside: await openLibrary(LIBRARY_ROOT) } : {}),
  },
);
