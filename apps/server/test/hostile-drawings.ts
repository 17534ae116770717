/** A drawing made to cost much, or to be read wrongly, from parts that are drawn by a number. */
export interface HostileDrawing {
  /** What was put into it. */
  readonly parts: readonly string[];
  readonly text: string;
}

class Dice {
  private state: number;
  constructor(seed: number) {
    this.state = (seed * 2654435761 + 12345) >>> 0;
    for (let i = 0; i < 4; i++) this.next();
  }
  /** From 0 to below 1. */
  next(): number {
    this.state = (Math.imul(this.state, 1664525) + 1013904223) >>> 0;
    return (this.state >>> 4) / 2 ** 28;
  }
  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.next() * from.length)]!;
  }
  /** A whole number, small ones as likely as each size of large ones. */
  upTo(most: number): number {
    return Math.floor(most ** this.next());
  }
}

const PNG =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';
const SHAPE = '<rect width="90%" height="90%" fill="teal"/>';

/** Each gives what stands in `<defs>` and what is drawn. */
const PARTS: Readonly<Record<string, (dice: Dice) => readonly [string, string]>> = {
  noise: (dice) => [
    `<filter id="noise" ${dice.pick(['', 'x="-500%" y="-500%" width="1100%" height="1100%"'])}><feTurbulence type="${dice.pick(['fractalNoise', 'turbulence'])}" baseFrequency="${dice.next()}" numOctaves="${dice.upTo(1e9)}" stitchTiles="stitch"/></filter>`,
    '<rect width="100%" height="100%" filter="url(#noise)"/>',
  ],
  filters: (dice) => {
    const one = dice.pick([
      `<feGaussianBlur stdDeviation="${dice.upTo(1e6)}"/>`,
      `<feMorphology operator="dilate" radius="${dice.upTo(1e5)}"/>`,
      `<feConvolveMatrix order="${dice.upTo(60)}" kernelMatrix="${'1 '.repeat(dice.upTo(3600))}"/>`,
      '<feDisplacementMap in="SourceGraphic" in2="SourceGraphic" scale="9e9"/>',
      '<feSpecularLighting surfaceScale="9" specularExponent="99"><fePointLight x="9" y="9" z="9"/></feSpecularLighting>',
      `<feTile/><feOffset dx="${dice.upTo(1e9)}"/>`,
      `<feImage href="${PNG}"/><feComposite operator="arithmetic" in2="SourceGraphic" k1="9e30"/>`,
    ]);
    return [
      `<filter id="filters">${one.repeat(dice.upTo(80))}</filter>`,
      `<g filter="url(#filters)">${SHAPE}</g>`,
    ];
  },
  groups: (dice) => {
    const open = dice.pick([
      '<g opacity=".9">',
      '<g style="mix-blend-mode:multiply;isolation:isolate">',
      '<g transform="rotate(1) scale(1.01)" clip-path="circle(40%)">',
      '<svg width="99%" height="99%">',
      '<switch><g>',
    ]);
    const close = open.startsWith('<sw') ? '</g></switch>' : `</${open.slice(1).split(/[ >]/)[0]}>`;
    const deep = dice.upTo(4000);
    return ['', `${open.repeat(deep)}${SHAPE}${close.repeat(deep)}`];
  },
  shapes: (dice) => [
    '',
    dice
      .pick([
        '<rect width="900" height="900" opacity=".5"/>',
        '<circle r="500" cx="300" cy="300" fill="none" stroke="red" stroke-width="300" stroke-dasharray=".01 .01"/>',
        '<text x="9" y="99" font-size="90" textLength="9999">Quay Quay Quay</text>',
        `<image href="${PNG}" width="900" height="900"/>`,
      ])
      .repeat(dice.upTo(60_000)),
  ],
  bomb: (dice) => {
    const [wide, deep] = [2 + dice.upTo(30), dice.upTo(30)];
    const levels = Array.from(
      { length: deep },
      (_, i) => `<g id="u${i + 1}">${`<use href="#u${i}"/>`.repeat(wide)}</g>`,
    );
    return [`<rect id="u0" width="9" height="9"/>${levels.join('')}`, `<use href="#u${deep}"/>`];
  },
  circles: (dice) => [
    dice.pick([
      '<g id="c"><use href="#c"/></g><g id="d"><use href="#e"/></g><g id="e"><use href="#d"/></g>',
      '<mask id="c"><rect width="9" height="9" mask="url(#c)"/></mask>',
      '<clipPath id="c" clip-path="url(#c)"><use href="#c"/></clipPath>',
      '<pattern id="c" width="1" height="1"><rect width="9" height="9" fill="url(#c)"/></pattern>',
      '<marker id="c"><path d="M0 0L9 9" marker-end="url(#c)"/></marker>',
      '<linearGradient id="c" href="#d"/><linearGradient id="d" href="#c"/>',
    ]),
    '<use href="#c"/><rect width="99" height="99" fill="url(#c)" mask="url(#c)" clip-path="url(#c)" marker-start="url(#c)"/><use href="#d"/>',
  ],
  masks: (dice) => {
    const n = dice.upTo(400);
    const kind = dice.pick(['mask', 'clipPath']);
    const by = kind === 'mask' ? 'mask' : 'clip-path';
    const chain = Array.from(
      { length: n },
      (_, i) => `<${kind} id="m${i}"><circle r="400" fill="white" ${by}="url(#m${i + 1})"/></${kind}>`,
    );
    return [chain.join(''), `<g ${by}="url(#m0)">${SHAPE}</g>`];
  },
  patterns: (dice) => {
    const n = dice.upTo(40);
    const size = 1 / dice.upTo(1e5);
    const nested = Array.from(
      { length: n },
      (_, i) =>
        `<pattern id="p${i}" width="${size}" height="${size}" patternUnits="${dice.pick(['userSpaceOnUse', 'objectBoundingBox'])}"><rect width="100%" height="100%" fill="url(#p${i + 1})"/></pattern>`,
    );
    return [
      `${nested.join('')}<pattern id="p${n}" width=".1" height=".1">${SHAPE}</pattern>`,
      '<rect width="100%" height="100%" fill="url(#p0)"/>',
    ];
  },
  gradients: (dice) => {
    const n = dice.upTo(20_000);
    const chain = Array.from(
      { length: n },
      (_, i) =>
        `<linearGradient id="g${i}" href="#g${i + 1}" x2="${dice.next()}"><stop offset="${i % 3}"/><stop offset="1" stop-color="red"/></linearGradient>`,
    );
    return [chain.join(''), '<rect width="100%" height="100%" fill="url(#g0)"/>'];
  },
  deepGradients: (dice) => {
    const deep = dice.upTo(4000);
    const many = '<linearGradient><stop stop-color="currentColor"/><stop offset="1"/></linearGradient>';
    return [`${'<g>'.repeat(deep)}${many.repeat(dice.upTo(20_000))}${'</g>'.repeat(deep)}`, SHAPE];
  },
  stops: (dice) => [
    `<radialGradient id="s" spreadMethod="${dice.pick(['repeat', 'reflect', 'pad'])}" r="${dice.pick(['1e-9', '0', '-1', '9e99', 'NaN'])}">${'<stop offset=".5" stop-color="#fff"/><stop offset=".1"/>'.repeat(dice.upTo(20_000))}</radialGradient>`,
    '<rect width="100%" height="100%" fill="url(#s)"/>',
  ],
  paths: (dice) => {
    const step = dice.pick([
      () => `L${dice.upTo(1000)} ${dice.upTo(1000)}`,
      () => 'A1e9 1e-9 45 1 0 9 9',
      () => 'c1e30-1e30 1e30 1e30 0 0',
      () => `h${dice.next()}v1`,
    ]);
    const d = Array.from({ length: dice.upTo(100_000) }, step).join('');
    return [
      '',
      `<path d="M0 0${d}" stroke="navy" stroke-width="${dice.upTo(1e4)}" stroke-dasharray="${dice.pick(['', '.001', '1e-30 1e-30'])}" stroke-linejoin="round"/>`,
    ];
  },
  styles: (dice) => [
    `<style>${Array.from({ length: dice.upTo(8000) }, (_, i) => `.a${i} rect:not(.b) > * ~ g, rect:nth-child(${i}n + 1) { fill: rgb(${i} 0 0 / ${dice.next()}) }`).join('\n')}</style>`,
    SHAPE.repeat(dice.upTo(400)),
  ],
  outside: (dice) => {
    const address = dice.pick([
      'file:///etc/passwd',
      'http://127.0.0.1:5432/',
      'http://outside.invalid/a.png',
      'data:image/svg+xml;base64,PHN2Zy8+',
      '#',
      '/proc/self/environ',
    ]);
    return [
      `<style>@import url("${address}"); rect { fill: url("${address}#x") }</style><script href="${address}">for(;;);</script>`,
      `<image href="${address}" width="99" height="99"/><use href="${address}#x"/><foreignObject width="99" height="99"><iframe xmlns="http://www.w3.org/1999/xhtml" src="${address}"/></foreignObject>`,
    ];
  },
  odd: (dice) => [
    '',
    dice.pick([
      `<rect ${Array.from({ length: dice.upTo(5000) }, (_, i) => `a${i}="${i}"`).join(' ')} width="9" height="9"/>`,
      `<g ${'x'.repeat(dice.upTo(100_000))}="1"/>`,
      `<!--${'-'.repeat(dice.upTo(100_000))}`,
      `<![CDATA[${']]'.repeat(dice.upTo(100_000))}]]>`,
      '<rect width="1e308" height="1e308" transform="scale(1e308) skewX(90)"/>',
      '<rect width="NaN" height="-5" rx="1e99" fill="rgb(1e999 0 0)"/>',
      `<text>${'&#x1F3F3;\u202e\u0301'.repeat(dice.upTo(3000))}</text>`,
      '<animate attributeName="width" values="1;9e9" dur="1ms" repeatCount="indefinite"/>',
    ]),
  ],
};

const ENTITIES = [
  `<!DOCTYPE svg [<!ENTITY a "ha">${Array.from({ length: 12 }, (_, i) => `<!ENTITY ${'abcdefghijklmn'[i + 1]} "${`&${'abcdefghijklmn'[i]};`.repeat(10)}">`).join('')}]>`,
  '<!DOCTYPE svg [<!ENTITY m SYSTEM "file:///etc/passwd"><!ENTITY a "&m;">]>',
  '<!DOCTYPE svg SYSTEM "http://127.0.0.1:5432/x.dtd">',
];

function opening(dice: Dice): string {
  const size = dice.pick([300, 1000, 1000, 2000, 4000, 7000, 16_000, 100_000]);
  const other = dice.pick([size, size, 300, 1]);
  return dice.pick([
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${other}">`,
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size} ${other}">`,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${dice.pick(['1e9', '100%', '3in', '-4', '0', 'x'])}" height="900" viewBox="${dice.pick(['0 0 1 1', '0 0 0 0', '0 0 1e-9 1e9', '-1e9 -1e9 2e9 2e9'])}">`,
    '<svg xmlns="http://www.w3.org/2000/svg">',
  ]);
}

/** The same drawing for the same number, always. */
export function hostileDrawing(seed: number): HostileDrawing {
  const dice = new Dice(seed);
  const names = Object.keys(PARTS);
  const parts = Array.from({ length: 1 + Math.floor(dice.next() * 3) }, () => dice.pick(names));
  const made = parts.map((name) => PARTS[name]!(dice));
  const withEntities = dice.next() < 0.06;
  const entities = withEntities ? dice.pick(ENTITIES) : '';
  const words = withEntities ? `<text y="40">&${dice.pick(['a', 'm', 'n'])};</text>` : '';
  const whole = `${entities}${opening(dice)}<defs>${made.map(([defs]) => defs).join('')}</defs>${made.map(([, drawn]) => drawn).join('')}${words}</svg>`;
  // Some break off in the middle.
  const text = dice.next() < 0.06 ? whole.slice(0, Math.floor(whole.length * dice.next())) : whole;
  return { parts: withEntities ? [...parts, 'entities'] : parts, text };
}
