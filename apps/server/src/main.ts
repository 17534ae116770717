import { serve } from './serve.ts';

// The server as a team runs it.
await serve();
