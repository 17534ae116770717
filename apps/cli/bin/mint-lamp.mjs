#!/usr/bin/env node
import { existsSync } from 'node:fs';

const main = new URL('../dist/main.js', import.meta.url);
if (!existsSync(main)) {
  console.error('mint-lamp is not built yet: run "npm run build" in the repository first.');
  process.exit(2);
}
await import(main.href);
