import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { ROOT } from './setup/run.mjs';

// The layers of docs/architecture.md, as rules about who may import what. Prints each breach and fails on any.

// Tests; and the one file that holds a script for Node as the text that it writes.
const NO_CORE = /\.test\.ts$|exchange\/(?:check|changes\/rename)-script\.ts$/;

const DOCUMENT = 'packages/core/src/document/';
/** A file of a kind of thing: a folder of the document with a `kind.ts`. */
const KIND = new RegExp(
  `^${DOCUMENT}(${readdirSync(join(ROOT, DOCUMENT))
    .filter((name) => existsSync(join(ROOT, DOCUMENT, name, 'kind.ts')))
    .join('|')})/`,
);

const RULES = [
  {
    says: 'the core knows no DOM, Node, React or network',
    in: /^packages\/core\/src\//,
    not: NO_CORE,
    forbids: (target) =>
      /^(node:|react|fastify|typeorm|pg$|comlink)/.test(target) || target.startsWith('apps/'),
  },
  {
    says: 'in the core, only color/ imports the colour library',
    in: /^packages\/core\/src\/(?!color\/)/,
    not: /\.test\.ts$/,
    forbids: (target) => /^(culori|colorjs\.io)/.test(target),
  },
  {
    says: 'apps use the core and not the colour library',
    in: /^apps\//,
    forbids: (target) => /^(culori|colorjs\.io)/.test(target),
  },
  {
    says: 'in the web app, only ui/ imports Radix',
    in: /^apps\/web\/src\/(?!ui\/)/,
    forbids: (target) => /^(radix-ui|@radix-ui)/.test(target),
  },
  {
    says: 'in the server, only database/ imports TypeORM as more than a type',
    in: /^apps\/server\/src\/(?!database\/)/,
    forbids: (target, statement) => /^(typeorm|pg)$/.test(target) && !/^import type/.test(statement),
  },
  {
    says: 'web and server do not import each other',
    in: /^apps\//,
    forbids: (target, _statement, file) =>
      /^apps\//.test(target) && target.split('/')[1] !== file.split('/')[1],
  },
  {
    says: 'stations do not import each other',
    in: /^apps\/web\/src\/stations\/\w+\//,
    forbids: (target, _statement, file) => {
      const station = /^apps\/web\/src\/stations\/(\w+)\//;
      const [, own] = station.exec(file);
      const [, other] = station.exec(target) ?? [];
      return other !== undefined && other !== own;
    },
  },
  {
    says: 'a kind of thing knows links, names and ids of others, and no more of them',
    in: KIND,
    not: /\.test\.ts$/,
    forbids: (target, _statement, file) =>
      target.startsWith(DOCUMENT) &&
      !/document\/((naming|links|schema)\/|commands\/(definition|lists|refusal)\.|(kind|limits|same)\.)/.test(
        target,
      ) &&
      KIND.exec(target)?.[1] !== KIND.exec(file)[1],
  },
  {
    says: 'what all kinds are made of knows none of them',
    in: /^packages\/core\/src\/document\/((naming|links)\/|schema\/(?!of-kinds)|(kind|limits|same)\.)/,
    not: /\.test\.ts$/,
    forbids: (target) => KIND.test(target) || /document\/(document|kinds|document-schema)\./.test(target),
  },
];

/**
 * The layers of the core and of the web app, from the bottom up: a folder imports from those above it in its list and
 * from its own, never from those below. What lies in src/ itself is named with its file. Tests may look anywhere.
 */
const CORE_LAYERS = [
  ['in-parts', 'numbers'],
  ['color'],
  ['contrast', 'cascade'],
  ['vision', 'gradient'],
  ['harmony', 'family', 'picture', 'names', 'svg'],
  ['page'],
  ['document'],
  ['system'],
  ['judged'],
  ['edits'],
  ['exchange'],
  ['sheet', 'shelf'],
  ['moving', 'read-back'],
  ['wire'],
  ['share'],
  ['demo'],
];
const WEB_LAYERS = [
  ['addresses.ts', 'shortcuts.ts', 'look', 'person'],
  ['ui'],
  ['fetching', 'storing'],
  ['store'],
  ['jobs', 'pixels', 'dragging', 'offline'],
  ['help'],
  ['links', 'scene', 'seeing', 'comparing'],
  ['kinds'],
  ['notes'],
  ['lamp', 'tray', 'readout', 'finder', 'people', 'guest'],
  ['projects', 'pocket'],
  ['frame'],
  ['stations', 'checkpoints'],
  ['begin', 'parts'],
  ['parts-ahead.ts'],
  ['load-parts.ts'],
  ['routes.tsx'],
  ['main.tsx'],
];
const HOUSES = [
  { under: 'packages/core/src/', layers: CORE_LAYERS },
  { under: 'apps/web/src/', layers: WEB_LAYERS },
];

/** What is wrong with an import inside a house of layers; null when it points down or stays in its folder. */
function upward(file, target) {
  const house = HOUSES.find(({ under }) => file.startsWith(under) && target.startsWith(under));
  if (!house || /\.(test|fixture)\.tsx?$/.test(file)) return null;
  const layerOf = (path) => {
    const part = path.slice(house.under.length).split('/')[0];
    return { part, level: house.layers.findIndex((layer) => layer.includes(part)) };
  };
  const [own, other] = [layerOf(file), layerOf(target)];
  if (own.level === -1) return `${file}: "${own.part}" is in no layer; see scripts/check-layers.mjs`;
  if (own.part === other.part || other.level < own.level) return null;
  return `${file} imports ${target}: the arrow runs back up, from ${own.part} to ${other.part}`;
}

/** Circles among files that import each other, types included; each once, as the files along it. */
function circlesIn(imports) {
  const state = new Map();
  const path = [];
  const circles = [];
  const visit = (file) => {
    if (state.get(file) === 'done') return;
    if (state.get(file) === 'open') {
      circles.push([...path.slice(path.indexOf(file)), file]);
      return;
    }
    state.set(file, 'open');
    path.push(file);
    for (const target of imports.get(file) ?? []) visit(target);
    path.pop();
    state.set(file, 'done');
  };
  for (const file of imports.keys()) visit(file);
  return circles;
}

// Globals that the core must not touch, since it also runs in workers and on the server.
const GLOBALS =
  /\b(document\.(create|get|query)\w+|window\.|localStorage|sessionStorage|fetch\(|process\.|globalThis\.)/;

function* sources(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (name === 'node_modules' || name === 'dist') continue;
    if (statSync(path).isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(name)) yield path;
  }
}

const IMPORT =
  /^\s*(?:import|export)\s[^;]*?from\s*['"]([^'"]+)['"]|import\(\s*['"]([^'"]+)['"]\s*\)|^import\s*['"]([^'"]+)['"]/gm;

const CORE = '@mint-lamp/core/';
const targetOf = (name, path) => {
  if (name.startsWith('.')) return relative(ROOT, resolve(dirname(path), name));
  return name.startsWith(CORE) ? `packages/core/src/${name.slice(CORE.length)}.ts` : name;
};

const breaches = [];
const imports = new Map();
for (const folder of ['packages', 'apps', 'e2e'])
  for (const path of sources(join(ROOT, folder))) {
    const file = relative(ROOT, path);
    const text = readFileSync(path, 'utf8');
    for (const match of text.matchAll(IMPORT)) {
      const name = match[1] ?? match[2] ?? match[3];
      const target = targetOf(name, path);
      if (name.startsWith('.') || name.startsWith(CORE)) {
        imports.set(file, [...(imports.get(file) ?? []), target]);
        const up = upward(file, target);
        if (up) breaches.push(up);
      }
      for (const rule of RULES)
        if (rule.in.test(file) && !rule.not?.test(file) && rule.forbids(target, match[0].trim(), file))
          breaches.push(`${file} imports ${name}: ${rule.says}`);
    }
    if (/^packages\/core\/src\//.test(file) && !NO_CORE.test(file)) {
      const code = text.replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '');
      const used = GLOBALS.exec(code);
      if (used) breaches.push(`${file} uses ${used[0]}: the core knows no DOM, Node, React or network`);
    }
  }

for (const circle of circlesIn(imports)) breaches.push(`a circle of imports: ${circle.join(' → ')}`);

if (breaches.length) {
  console.error(breaches.join('\n'));
  process.exit(1);
}
console.log('layers hold');
