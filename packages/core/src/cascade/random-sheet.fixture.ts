import fc from 'fast-check';

const NAMES = ['--a', '--b', '--c', '--d', '--e'] as const;
const name = fc.constantFrom(...NAMES);
const channel = fc.integer({ min: 0, max: 255 });
const hex = fc
  .tuple(channel, channel, channel)
  .map((rgb) => `#${rgb.map((v) => v.toString(16).padStart(2, '0')).join('')}`);
const share = fc.integer({ min: 0, max: 100 });
const plain = fc.oneof(
  hex,
  fc.constantFrom('rebeccapurple', 'WHITE', 'transparent'),
  fc.tuple(channel, channel, channel, share).map(([r, g, b, a]) => `rgb(${r} ${g} ${b} / ${a}%)`),
  fc.tuple(fc.integer({ min: 0, max: 359 }), share, share).map(([h, s, l]) => `hsl(${h}, ${s}%, ${l}%)`),
  fc.tuple(share, share, fc.integer({ min: 0, max: 359 })).map(([l, c, h]) => `oklch(${l}% ${c / 400} ${h})`),
  fc.tuple(channel, channel).map(([r, g]) => `rgb(calc(${r} / 2) ${g} calc(10 + 20 * 3))`),
);
const variable = fc.oneof(
  name.map((one) => `var(${one})`),
  fc.tuple(name, hex).map(([one, other]) => `var(${one}, ${other})`),
  fc.tuple(name, name, hex).map(([a, b, c]) => `var(--none-${a.slice(2)}, var(${b}, ${c}))`),
);
const part = fc.oneof(plain, variable);
const value = fc.oneof(
  { weight: 4, arbitrary: plain },
  { weight: 3, arbitrary: variable },
  fc.tuple(part, part, share).map(([a, b, n]) => `color-mix(in srgb, ${a} ${n}%, ${b})`),
  fc.tuple(part, part).map(([a, b]) => `color-mix(in oklab, ${a}, ${b})`),
  fc.tuple(part, part).map(([a, b]) => `light-dark(${a}, ${b})`),
  fc.tuple(part, share).map(([a, n]) => `rgb(from ${a} r g b / ${n}%)`),
  fc.tuple(part, share).map(([a, n]) => `rgb(from ${a} calc(r / 2) g calc(255 - b) / ${n / 100})`),
  fc.tuple(share, share).map(([s, l]) => `hsl(var(--h) ${s}% calc(${l}% - var(--step)))`),
  fc.constantFrom('initial', 'inherit', 'unset', '', 'nonsense', 'not a colour', '12px'),
);
const declaration = fc
  .tuple(name, value, fc.boolean(), fc.boolean())
  .map(([one, text, a, b]) => `${one}: ${text}${a && b ? ' !important' : ''};`);
const block = fc.array(declaration, { minLength: 1, maxLength: 5 }).map((all) => all.join(' '));
const selector = fc.constantFrom(
  ':root',
  'html',
  'body',
  '.dark',
  '[data-theme="dark"]',
  ':root.dark',
  ':where(:root)',
  ':where(.dark, .night)',
  ':is(:root, .dark)',
  'html:not(.dark)',
  'html.dark body',
  '.dark > body',
  '*',
  ':root, .other',
  'p',
  '.dark p',
);
const rule = fc.oneof(
  { weight: 3, arbitrary: fc.tuple(selector, block).map(([one, inner]) => `${one} { ${inner} }`) },
  fc
    .tuple(selector, block, block, fc.constantFrom('&.dark', '.dark &', '& body', '&:where(.dark)', 'body'))
    .map(([one, inner, nested, by]) => `${one} { ${inner} ${by} { ${nested} } }`),
  fc
    .tuple(selector, block, block)
    .map(([one, inner, nested]) => `${one} { ${inner} @media (prefers-color-scheme: dark) { ${nested} } }`),
);
const around = fc.constantFrom(
  '',
  '',
  '@media (prefers-color-scheme: dark)',
  '@media screen and (prefers-color-scheme: light)',
  '@media (prefers-contrast: more)',
  '@media not all and (prefers-color-scheme: dark)',
  '@media (min-width: 600px) and (max-width: 5000px)',
  '@media print',
  '@layer first',
  '@layer second',
  '@layer first.inner',
  '@supports (color: oklch(50% 0.1 20))',
  '@supports not (color: oklch(50% 0.1 20))',
  '@supports (color: nonsense) or (display: grid)',
);

const registered = fc
  .tuple(name, fc.constantFrom('<color>', '*'), fc.boolean(), hex)
  .map(
    ([one, syntax, inherits, color]) =>
      `@property ${one} { syntax: "${syntax}"; inherits: ${inherits}; initial-value: ${color} }`,
  );

/** Style sheets of all that the cascade knows, as far as it has to do with custom properties of a page. */
export const anySheet = fc
  .tuple(
    fc.constantFrom('', '@layer second, first;'),
    fc.array(registered, { maxLength: 2 }),
    fc.constantFrom('', ':root { color-scheme: light dark }', ':root { color-scheme: dark }'),
    fc.array(fc.tuple(around, rule), { minLength: 2, maxLength: 9 }),
  )
  .map(([order, properties, scheme, rules]) =>
    [
      order,
      ...properties,
      ':root { --h: 210; --step: 5%; }',
      scheme,
      ...rules.map(([at, text]) => (at ? `${at} { ${text} }` : text)),
    ].join('\n'),
  );
