import { describe, expect, it, test } from 'vitest';
import { cleanSvg } from './clean-svg.ts';
import { paintSvg, svgColors, svgPieces } from './svg-colors.ts';

const NS = 'xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"';
const inSvg = (inner: string, more = '') => `<svg ${NS} viewBox="0 0 9 9" ${more}>${inner}</svg>`;
const SHAPE = '<path d="M0 0h9v9z" fill="#123456"/>';

function cleaned(text: string) {
  const result = cleanSvg(text);
  if (!result.ok) throw new Error(result.reason);
  // Cleaned once is clean.
  expect(cleanSvg(result.svg)).toEqual({ ok: true, svg: result.svg, removed: [] });
  return result;
}

/** Nothing in it runs, fetches, or is another kind of content. */
const HARMFUL =
  /<script|<foreign|<iframe|<animate|<set\b|<a\b|\son\w+=|javascript:|vbscript:|@import|@font-face|expression\(|https?:\/\/(?!www\.w3\.org\/2000\/svg")|url\(\s*["']?(?!["']?#)|href="(?!#|data:image\/)|<!ENTITY|<!DOCTYPE|xml-stylesheet|behavior:/i;

describe('a drawing', () => {
  test.each<[what: string, svg: string, removed: RegExp | null]>([
    ['a script', `<script>alert(1)</script>${SHAPE}`, /scripts/],
    ['a script in a namespace', `<svg:script>alert(1)</svg:script>${SHAPE}`, /scripts/],
    ['a script from elsewhere', `<script xlink:href="https://a.example/x.js"/>${SHAPE}`, /scripts/],
    ['an event', `<g onload="alert(1)" ONCLICK="x()">${SHAPE}</g>`, /event handlers/],
    ['a link with a script', `<a xlink:href="javascript:alert(1)">${SHAPE}</a>`, /links/],
    [
      'foreign content',
      `<foreignObject><body onload="x()"><iframe src="//a.example"/></body></foreignObject>${SHAPE}`,
      /foreign/,
    ],
    ['a picture from elsewhere', `<image href="https://a.example/x.png"/>${SHAPE}`, /outside/],
    ['a drawing in a picture', `<image href="data:image/svg+xml;base64,PHN2Zz4="/>${SHAPE}`, /outside/],
    ['a use of another file', `<use xlink:href="https://a.example/x.svg#a"/>${SHAPE}`, /outside/],
    ['a filter from elsewhere', `<g filter="url(https://a.example/f.svg#f)">${SHAPE}</g>`, /outside/],
    [
      'a filter of a picture',
      `<filter id="f"><feImage href="https://a.example/x.png"/></filter>${SHAPE}`,
      /outside/,
    ],
    [
      'a paint from elsewhere',
      `<path fill="url( 'https://a.example/#g') red" d="M0 0h9"/>${SHAPE}`,
      /outside/,
    ],
    ['an import', `<style>@import url(https://a.example/x.css); .a{fill:red}</style>${SHAPE}`, /outside/],
    [
      'an import in capitals and comments',
      `<style>/* */@IMPORT "https://a.example/x.css";</style>${SHAPE}`,
      /outside/,
    ],
    ['a font', `<style>@font-face{font-family:x;src:url(https://a.example/x.woff)}</style>${SHAPE}`, /fonts/],
    [
      'a background that fetches',
      `<g style="background:url(https://a.example/x.png);fill:red">${SHAPE}</g>`,
      /outside/,
    ],
    ['an escaped address', `<g style="fill:u\\72l(https://a.example/x.png)">${SHAPE}</g>`, null],
    ['an expression', `<g style="width:expression(alert(1))">${SHAPE}</g>`, /scripts/],
    [
      'an animation of a link',
      `<a><set attributeName="xlink:href" to="javascript:alert(1)"/>${SHAPE}</a>`,
      /animations/,
    ],
    ['an animation', `<path d="M0 0"><animate attributeName="d" to="M1 1"/></path>${SHAPE}`, /animations/],
    ['another base', `<g xml:base="https://a.example/">${SHAPE}</g>`, /outside/],
    ['film', `<video src="https://a.example/x.mp4"/>${SHAPE}`, /video/],
    [
      'a filter that takes long',
      `<filter id="f"><feGaussianBlur stdDeviation="9999"/></filter>${SHAPE}`,
      /slow/,
    ],
    [
      'other programs’ notes',
      `<sodipodi:namedview xmlns:sodipodi="x"><x/></sodipodi:namedview><metadata>m</metadata>${SHAPE}`,
      null,
    ],
    [
      'an unclosed comment in a style',
      `<style>.a{fill:red}/* @import url(https://a.example)</style>${SHAPE}`,
      null,
    ],
  ])('loses %s, and says so', (_, inner, removed) => {
    const result = cleaned(inSvg(inner));
    expect(result.svg).not.toMatch(HARMFUL);
    expect(result.svg).toContain('M0 0h9v9z');
    if (removed) expect(result.removed.join(', ')).toMatch(removed);
    else expect(result.removed).toEqual([]);
  });

  test.each<[what: string, text: string, reason: RegExp]>([
    ['no XML', 'hello', /no sound SVG|no SVG/],
    ['a page', '<html><body/></html>', /begins with no svg element/],
    ['nothing', '', /no sound SVG|no svg element/],
    ['what is not closed', `<svg ${NS}><g>`, /line 1, column \d+/],
    ['depth', inSvg('<g>'.repeat(5000) + '</g>'.repeat(5000)), /more than 200 deep/],
    ['size', `<svg ${NS}>${' '.repeat(20_000_001)}</svg>`, /at most 20/],
    ['many shapes', inSvg('<path d="M0 0h9"/>'.repeat(20_000)), /more than 200 kB/],
    [
      'entities in entities',
      `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]><svg ${NS}><text>&b;</text></svg>`,
      /undefined entity|no sound SVG/,
    ],
    [
      'itself, again and again',
      inSvg(
        `<g id="a0"><path d="M0 0"/></g>${Array.from({ length: 30 }, (__, i) => `<g id="a${i + 1}"><use href="#a${i}"/><use href="#a${i}"/></g>`).join('')}<use href="#a30"/>`,
      ),
      /uses parts of itself/,
    ],
    [
      'a long chain of parts',
      inSvg(
        `<g id="a0"><path d="M0 0"/></g>${Array.from({ length: 3000 }, (__, i) => `<g id="a${i + 1}"><use href="#a${i}"/></g>`).join('')}`,
      ),
      /uses parts of itself/,
    ],
  ])('of %s is refused with the reason, in no time', (_, text, reason) => {
    const result = cleanSvg(text);
    expect(result).toMatchObject({ ok: false });
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('keeps what it is made of: gradients, patterns, clips, classes, text, parts that it uses', () => {
    const inner = `<defs><linearGradient id="g"><stop offset="0" stop-color="red"/></linearGradient><pattern id="p"><path d="M0 0"/></pattern><clipPath id="c"><path d="M0 0"/></clipPath><g id="u"><path d="M1 1"/></g></defs><style>.a,.b > path{fill:#abc}@media (prefers-color-scheme: dark){.a{fill:#fff}}</style><g class="b" clip-path="url(#c)"><use xlink:href="#u" fill="url(#g)"/><text x="1">A &amp; B</text></g>`;
    const { svg } = cleaned(inSvg(inner));
    for (const part of [
      'linearGradient id="g"',
      'pattern id="p"',
      'clip-path="url(#c)"',
      'href="#u"',
      'A &amp; B',
      '@media (prefers-color-scheme: dark)',
    ])
      expect(svg).toContain(part);
  });

  it('that uses itself in a circle is taken: browsers draw that as nothing', () => {
    cleaned(inSvg(`<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>${SHAPE}`));
  });
});

describe('colours of a drawing', () => {
  const svg = cleaned(
    inSvg(
      `<style>.a{fill:#ABC;stroke:rgb(1, 2, 3)}.b{--ink:tomato;fill:var(--ink)}</style><path class="a" d="M0 0"/><path fill="#aabbcc" stroke="none" d="M0 0"/><path style="fill:hsl(120 50% 50% / 0.5);stroke:currentColor" d="M0 0"/><stop stop-color="navy"/><path fill="url(#red) #0f0" d="M0 0"/><g id="green" font-family="red"/>`,
    ),
  ).svg;

  it('are found in attributes, styles, sheets and custom properties, each once, and nowhere else', () => {
    expect([...svgColors(svg)].sort()).toEqual(
      ['#000000', '#aabbcc', '#010203', '#ff6347', 'hsl(120 50% 50% / 0.5)', '#000080', '#00ff00'].sort(),
    );
  });

  it('are painted otherwise without any other change', () => {
    const pieces = svgPieces(svg);
    const other = paintSvg(pieces, () => '#112233');
    expect(svgColors(other)).toEqual(['#112233']);
    expect(svgPieces(other).texts).toEqual(pieces.texts);
    // Painted as it was, it is what it was but for how its colours are spelt.
    expect(svgColors(paintSvg(pieces, (color) => color))).toEqual(svgColors(svg));
    expect(cleanSvg(paintSvg(pieces, () => 'var(--ink, #112233)'))).toMatchObject({ ok: true, removed: [] });
  });

  it('say what is painted without being written: shapes are black', () => {
    expect(svgColors(cleaned(inSvg('<path d="M0 0"/>')).svg)).toEqual(['#000000']);
    expect(svgColors(cleaned(inSvg('<path d="M0 0"/>', 'fill="#fff"')).svg)).toEqual(['#ffffff', '#000000']);
  });
});
