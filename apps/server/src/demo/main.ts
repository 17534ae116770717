import { serve } from '../serve.ts';
import { openLibrary } from './library.ts';
import { loadDemo } from './load.ts';

// The server with the demo projects, and with a made-up web of pictures in place of the outside world.
const { LIBRARY_ROOT } = process.env;
await serve({
  prepare: (database) => loadDemo(database, LIBRARY_ROOT),
  ...(LIBRARY_ROOT ? { outside: await openLibrary(LIBRARY_ROOT) } : {}),
});
