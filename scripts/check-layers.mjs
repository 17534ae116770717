import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { ROOT } from './setup/run.mjs';

// The layers of docs/architecture.md, as rules about who may import what. Prints each breach and fails on any.

const RULES = [
  {
    says: 'the core knows no DOM, Node, React or network',
    in: /^packages\/core\/src\//,
    not: /\.test\.ts$/,
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
];

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

const breaches = [];
for (const folder of ['packages', 'apps', 'e2e'])
  for (const path of sources(join(ROOT, folder))) {
    const file = relative(ROOT, path);
    const text = readFileSync(path, 'utf8');
    for (const match of text.matchAll(IMPORT)) {
      const name = match[1] ?? match[2] ?? match[3];
      const target = name.startsWith('.') ? relative(ROOT, resolve(dirname(path), name)) : name;
      for (const rule of RULES)
        if (rule.in.test(file) && !rule.not?.test(file) && rule.forbids(target, match[0].trim(), file))
          breaches.push(`${file} imports ${name}: ${rule.says}`);
    }
    if (/^packages\/core\/src\//.test(file) && !/\.test\.ts$/.test(file)) {
      const code = text.replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '');
      const used = GLOBALS.exec(code);
      if (used) breaches.push(`${file} uses ${used[0]}: the core knows no DOM, Node, React or network`);
    }
  }

if (breaches.length) {
  console.error(breaches.join('\n'));
  process.exit(1);
}
console.log('layers hold');
