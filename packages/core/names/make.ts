import { readFileSync, writeFileSync } from 'node:fs';
import { format, plainNames } from './plain.ts';

/** `npm run names`: writes the list of plain names that ships with the app. */
writeFileSync(new URL('../src/names/plain-names.ts', import.meta.url), format(plainNames()));
const size = readFileSync(new URL('../src/names/plain-names.ts', import.meta.url)).length;
process.stdout.write(`${plainNames().length} names, ${Math.round(size / 1000)} kB\n`);
