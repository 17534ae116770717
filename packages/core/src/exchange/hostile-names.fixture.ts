import { SKERRY_LINE } from '../demo/skerry-line.ts';
import type { ProjectDocument } from '../document/document.ts';
import { freeName, slug } from '../document/naming/names.ts';

/** Names that end a string, a comment, a tag or a path somewhere, run in a spreadsheet, or mean something in a language. */
const PARTS = [
  '"; alert(1) //',
  "'); DROP TABLE x; --",
  '</style><script>alert(1)</script>',
  '</title><img src=x onerror=alert(1)>',
  '*/ body { display: none } /*',
  '<!-- x -->',
  '=cmd|"/c calc"!A1',
  '+1+1',
  '-2',
  '@SUM(A1)',
  '../../etc/passwd',
  'a/b\\c',
  'C:\\con',
  // biome-ignore lint/suspicious/noTemplateCurlyInString: that is the name
  '${process.exit(1)}',
  '#{1 + 1}',
  '`x`',
  '{family.Deepwater}',
  '$type',
  '$value',
  '$root',
  '__proto__',
  'constructor',
  'toString',
  'class',
  'default',
  'return',
  'initial',
  'inherit',
  'null',
  'true',
  '0',
  '1e5',
  '12 px',
  'שלום עולם',
  'مرحبا بالعالم',
  'Ελληνικά',
  'Глубокая вода',
  '深い海',
  'ทะเล',
  'éàü ß',
  'a\u0301b',
  'x\u200by',
  'x\u2028y',
  'x\u2029y',
  `${'🐋'.repeat(39)}a`,
  '👩‍👩‍👧‍👦 kin',
  'a'.repeat(80),
  '  wide   space  ',
  '%s %d %n',
  '&amp;&lt;',
  'url(javascript:alert(1))',
  'expression(alert(1))',
  '!important',
  ';',
  '@import "x"',
  '\\"',
  '\\a9 ',
  '//',
  '--x',
  'var(--x)',
] as const;

/** Each name by itself, and each before and behind a plain word: about 300, for every place that has a name. */
const HOSTILE_NAMES: readonly string[] = PARTS.flatMap((part) => [
  part,
  `x ${part}`,
  `${part} x`,
  `9${part}`,
  `${part}${part}`,
])
  .map((name) =>
    [...name.trim()]
      .join('')
      .slice(0, 80)
      .trim()
      .replace(/[\ud800-\udbff]$/, ''),
  )
  .filter((name) => slug(name).length > 0);

const names = (from: number, count: number, taken: Set<string>) =>
  Array.from({ length: count }, (_, i) =>
    freeName(HOSTILE_NAMES[(from + i) % HOSTILE_NAMES.length]!.slice(0, 76), taken),
  );

/** What a name of a role or a group may be: without dots, spaces and the signs of the token format. */
const roleName = (name: string) =>
  name
    .replace(/[\s.{}/$\p{Cc}\p{Cs}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 30) || 'x';

/** The demo with hostile names for everything that has one. */
export const HOSTILE: ProjectDocument = (() => {
  const count = 60;
  const family = SKERRY_LINE.families[0]!;
  const taken = {
    family: new Set<string>(),
    gradient: new Set<string>(),
    theme: new Set<string>(),
    role: new Set<string>(),
  };
  const familyNames = names(0, count, taken.family);
  const themes = names(17, 3, taken.theme).map((name, i) => ({ id: `t${i}`, name }));
  const families = familyNames.map((name, i) => ({
    ...family,
    id: `f${i}`,
    name,
    growth: {
      ...family.growth,
      labels: ['50', '=1+1', `</b>${i % 3}`, '"', '700', '*/'],
    } as typeof family.growth,
    handSet: {},
  }));
  const gradients = names(90, 20, taken.gradient).map((name, i) => ({
    ...SKERRY_LINE.gradients[0]!,
    id: `g${i}`,
    name,
  }));
  const roles = HOSTILE_NAMES.slice(0, 200).flatMap((name, i) => {
    const own = roleName(name);
    const role = { id: `r${i}`, group: [roleName(HOSTILE_NAMES[i % 40]!)], name: `${own}${i}` };
    return slug(own)
      ? [
          {
            ...role,
            about: name,
            links: Object.fromEntries(
              themes.map(({ id }, k) => [
                id,
                { to: 'shade' as const, family: `f${(i + k) % count}`, shade: '700' },
              ]),
            ),
          },
        ]
      : [];
  });
  const shades = gradients.map((gradient, i) => ({
    ...gradient,
    stops: gradient.stops.map((item) =>
      item.kind === 'stop'
        ? { ...item, color: { to: 'shade' as const, family: `f${i}`, shade: '50' } }
        : item,
    ),
  }));
  return {
    ...SKERRY_LINE,
    name: '</title>=cmd " */ 🐋 ../x',
    ground: null,
    themes,
    families,
    roles,
    gradients: shades,
    pairs: [],
    declined: [],
    scenes: { cast: {}, words: {} },
    notes: [
      {
        id: 'n',
        on: { kind: 'role', role: roles[0]!.id },
        text: '</blockquote><script>alert(1)</script>',
        by: '"><b>',
        at: 0,
        settled: false,
        answers: [],
        forClient: true,
      },
    ],
  };
})();
