import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { main, ROOT, run, SetupError } from './setup/run.mjs';

// node scripts/licences.mjs: gathers the licences of everything that ships, from the packages themselves: whole beside the
// built server, which serves them, and as a list in the repository's NOTICES.txt.

/** Development packages of which something ships all the same: names of colours, rules of the style sheet, the loader of parts. */
const SHIPS_TOO = ['color-name-list', 'tailwindcss', 'vite'];
const LICENCE_FILE = /^(licen[cs]e|copying|notice|ofl)([.-].*)?$/i;
/** Licences that ask for no more than to be named with their text. */
const KNOWN =
  /^\(?(0BSD|Apache-2\.0|BlueOak-1\.0\.0|BSD-[23]-Clause|CC-BY-4\.0|CC0-1\.0|ISC|LGPL-3\.0-or-later|MIT|MIT-0|MPL-2\.0|OFL-1\.1|Python-2\.0|Unlicense|Zlib|SEE LICENSE IN .+|AND|OR|\(|\)|\s)+\)?$/;

/** What is written where a package says its licence and brings no text. */
const WITHOUT_TEXT = 'The package brings no text of its licence; it says the name above.';

function textsOf(folder) {
  const files = readdirSync(folder).filter((name) => LICENCE_FILE.test(name));
  return files
    .sort()
    .map((name) => readFileSync(join(folder, name), 'utf8').replaceAll('\r\n', '\n').trim())
    .filter(Boolean);
}

await main(async () => {
  const packages = JSON.parse(
    run(
      'npm',
      ['query', ['*:not(.dev):not(.workspace)', ...SHIPS_TOO.map((name) => `#${name}`)].join(', ')],
      {
        sentence: 'The packages could not be listed.',
      },
    ),
  ).filter(({ name, location }) => name !== 'mint-lamp' && location && !/^@types\//.test(name));
  const byText = new Map();
  for (const { name, version, license, path } of packages) {
    const said = typeof license === 'string' ? license : (license?.type ?? '');
    const texts = existsSync(path) ? textsOf(path) : [];
    if (!texts.length && !said) throw new SetupError(`${name} ${version} says no licence; it cannot ship.`);
    if (said && !KNOWN.test(said))
      throw new SetupError(
        `${name} ${version} is under ${said}, which nobody has looked at; see scripts/licences.mjs.`,
      );
    const text = texts.join('\n\n') || WITHOUT_TEXT;
    const key = `${said}\n${text}`;
    const one = byText.get(key) ?? { said, text, names: new Set() };
    one.names.add(`${name} ${version}`);
    byText.set(key, one);
  }
  const sections = [...byText.values()]
    .map(({ said, text, names }) => ({ said, text, names: [...names].sort() }))
    .sort((a, b) => (a.names[0] < b.names[0] ? -1 : 1));
  const notices = [
    'Mint Lamp is made with the work of others. Of every package, font and list of names that ships with it, this is the licence.',
    ...sections.map(
      ({ said, text, names }) => `${'-'.repeat(80)}\n${names.join('\n')}\n\n${said}\n\n${text}`,
    ),
  ].join('\n\n');
  const beside = join(ROOT, 'apps/server/dist');
  mkdirSync(beside, { recursive: true });
  writeFileSync(join(beside, 'NOTICES.txt'), `${notices}\n`);
  const list = [
    'Mint Lamp is made with the work of others. These packages, fonts and lists of names ship with it, each under the licence',
    'beside it. Their texts, with whose they are, come with the packages ("npm ci" puts them into node_modules); the build',
    'gathers all of them in apps/server/dist/NOTICES.txt, and every server shows that at /api/licences.',
    '',
    ...sections
      .flatMap(({ said, names }) => names.map((name) => `${name}: ${said || 'see its text'}`))
      .sort(),
  ];
  writeFileSync(join(ROOT, 'NOTICES.txt'), `${list.join('\n')}\n`);
  console.log(`${packages.length} packages, ${sections.length} texts`);
});
