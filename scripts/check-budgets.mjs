import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT } from './setup/run.mjs';

// What each route loads first, from the build's own manifest: script, gzipped, with all that it imports before it can
// run. Prints what each comes to, and fails where one is over its budget, or where files need each other.
const DIST = join(ROOT, 'apps/web/dist');
const STATIONS = ['gather', 'grow', 'assign', 'check', 'fade', 'stage', 'deliver'];
const BUDGETS = { 'the list of projects': 165, 'an open project': 290 };
/** What a station may add to an open project, kB; Gather reads whatever is pasted. */
const STATION_BUDGET = 60;
const STATION_BUDGETS = { gather: 90 };

const manifest = JSON.parse(readFileSync(join(DIST, '.vite/manifest.json'), 'utf8'));
const sizes = new Map();
function sizeOf(file) {
  if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(join(DIST, file))).length / 1000);
  return sizes.get(file);
}

/** The files of some entries of the manifest with all that they import. */
function filesOf(keys, files = new Set(), seen = new Set()) {
  for (const key of keys) {
    if (seen.has(key)) continue;
    seen.add(key);
    const entry = manifest[key];
    if (!entry) throw new Error(`The build has no ${key}; see scripts/check-budgets.mjs.`);
    files.add(entry.file);
    filesOf(entry.imports ?? [], files, seen);
  }
  return files;
}

const sum = (files) => [...files].reduce((total, file) => total + sizeOf(file), 0);
const MAIN = 'index.html';
const FRAME = 'src/frame/frame.tsx';
const project = filesOf([MAIN, FRAME]);
const routes = {
  'the list of projects': filesOf([MAIN, 'src/projects/projects-page.tsx']),
  'an open project': project,
};

const breaches = [];

// Files that need each other run in an order that depends on which of them arrives first.
const state = new Map();
function visit(key, path) {
  if (state.get(key) === 'done') return;
  const at = path.indexOf(key);
  if (at !== -1) {
    const files = [...path.slice(at), key].map((one) => manifest[one].file);
    breaches.push(`files of the build need each other: ${files.join(' → ')}`);
    return;
  }
  for (const next of manifest[key].imports ?? []) visit(next, [...path, key]);
  state.set(key, 'done');
}
for (const key of Object.keys(manifest)) visit(key, []);

for (const [name, files] of Object.entries(routes)) {
  const kB = sum(files);
  console.log(`${name}: ${kB.toFixed(1)} of ${BUDGETS[name]} kB`);
  if (kB <= BUDGETS[name]) continue;
  const largest = [...files].sort((a, b) => sizeOf(b) - sizeOf(a)).slice(0, 6);
  breaches.push(
    `${name} is over its budget; its largest: ${largest.map((file) => `${file} ${sizeOf(file).toFixed(1)}`).join(', ')}`,
  );
}
for (const station of STATIONS) {
  const key = `src/stations/${station}/${station}.tsx`;
  const own = [...filesOf([key])].filter((file) => !project.has(file));
  if (!own.includes(manifest[key].file)) breaches.push(`${station} is loaded with every open project`);
  const kB = sum(own);
  const most = STATION_BUDGETS[station] ?? STATION_BUDGET;
  console.log(`  ${station}, beside it: ${kB.toFixed(1)} of ${most} kB`);
  if (kB > most) breaches.push(`${station} is over its budget: ${own.join(', ')}`);
}
if (breaches.length) {
  console.error(breaches.join('\n'));
  process.exit(1);
}
