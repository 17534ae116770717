import { describe, expect, it, test } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { matchPage } from '../edits/artworks/match-page.ts';
import { paintArtwork } from '../system/painted-artwork.ts';
import { resolveSystem } from '../system/resolve.ts';
import { cleanPage } from './clean-page.ts';
import { pageColors, pagePieces, paintPage } from './page-colors.ts';

const HELLO = '<p class="a">Hello</p>';

function cleaned(text: string, sheets: readonly string[] = []) {
  const result = cleanPage(text, sheets);
  if (!result.ok) throw new Error(result.reason);
  return result;
}

/** Nothing in it runs, fetches, sends, or leads elsewhere. */
const HARMFUL =
  /<script|<iframe|<frame|<object|<embed|<meta http|<base|<link|<template|\son[a-z]+\s*=|javascript:|vbscript:|@import|@font-face|expression\(|https?:|\/\/outside|url\(\s*["']?(?!["']?#)|\s(src|srcset|action|formaction|ping|poster|background)="(?!data:image\/(png|jpeg|gif|webp);base64)|\shref="(?!#)/i;

describe('a page', () => {
  test.each<[what: string, html: string, removed: RegExp | null]>([
    ['scripts', `<script>alert(1)</script><script src="//outside.example/x.js"></script>${HELLO}`, /scripts/],
    ['events', `<body onload="x()"><div onclick='x()' ONERROR=x()>${HELLO}</div>`, /event handlers/],
    [
      'forms that are sent',
      `<form action="https://outside.example"><input formaction="//outside.example"><button>Go</button></form>${HELLO}`,
      /form targets/,
    ],
    ['a refresh', `<meta http-equiv="refresh" content="0;url=https://outside.example">${HELLO}`, /redirects/],
    [
      'frames',
      `<iframe srcdoc="<script>x()</script>" src="//outside.example"></iframe><object data="//outside.example"></object><embed src="//outside.example">${HELLO}`,
      /frames/,
    ],
    [
      'imports',
      `<style>@import url("https://outside.example/a.css"); .a{color:red}</style>${HELLO}`,
      /outside/,
    ],
    [
      'fonts',
      `<style>@font-face{font-family:x;src:url(https://outside.example/x.woff2)}</style>${HELLO}`,
      /fonts/,
    ],
    [
      'pictures from outside',
      `<img src="https://outside.example/x.png" srcset="//outside.example/2x.png 2x" alt="x"><div style="background:url(//outside.example/b.png)"></div>${HELLO}`,
      /pictures/,
    ],
    [
      'links',
      `<a href="javascript:alert(1)">a</a><a href="https://outside.example" ping="//outside.example">b</a>${HELLO}`,
      /scripts/,
    ],
    ['another base', `<base href="https://outside.example/">${HELLO}`, null],
    [
      'what visited links would tell',
      `<style>a:visited{background:url(https://outside.example/v)}</style>${HELLO}`,
      /outside/,
    ],
    [
      'templates and what is shown without scripts',
      `<template><script>x()</script></template><noscript><img src="//outside.example/x"></noscript>${HELLO}`,
      /scripts/,
    ],
    [
      'drawings with scripts',
      `<svg><script>x()</script><image href="//outside.example/x.png"/><use href="//outside.example/x.svg#a"/><foreignObject><iframe></iframe></foreignObject><path d="M0 0"/></svg>${HELLO}`,
      /scripts/,
    ],
    [
      'an end that comes too soon',
      `<style>.a{color:red}</style></style><script>x()</script>${HELLO}<!-- <script>x()</script> -->`,
      /scripts/,
    ],
    [
      'film',
      `<video src="//outside.example/x.mp4" poster="//outside.example/p.png"></video>${HELLO}`,
      /video/,
    ],
    [
      'a style that ends the sheet',
      `<style>.a{color:red;content:"</style><script>x()</script>"}</style>${HELLO}`,
      /scripts/,
    ],
    [
      'formulas that hide what they are',
      `<math><mi><style><img src=x onerror=x()></style></mi></math>${HELLO}`,
      /formulas/,
    ],
  ])('loses %s, and says so', (_, html, removed) => {
    const result = cleaned(html);
    expect(result.html).not.toMatch(HARMFUL);
    expect(result.html).toContain('Hello');
    if (removed) expect(result.removed.join(', ')).toMatch(removed);
  });

  test.each<[what: string, html: string, reason: RegExp]>([
    ['text', 'Just a text.', /no HTML/],
    ['depth', '<div>'.repeat(3000), /more than 250 deep/],
    ['many elements', '<p>a</p>'.repeat(20_000), /more than 8000 elements/],
    ['size', `<p>${'a'.repeat(8_000_001)}</p>`, /at most 8/],
    ['many words', `<p>${'word '.repeat(100_000)}</p>`, /more than 400 kB/],
  ])('of %s is refused with the reason', (_, html, reason) => {
    const result = cleanPage(html);
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('keeps its classes, sheets, conditions and nesting, and names the sheets that are not there', () => {
    const { html, missing, removed } = cleaned(
      `<html class="dark" data-theme="x"><head><link rel="stylesheet" href="a.css"><link rel="stylesheet" href="b.css"><style>@layer base{.a{color:#123456;&:hover{color:#654321}}}@media (min-width:1px){a:link{color:navy}}</style></head><body class="b"><p class="a" style="color:tomato;--x:#fff">x &amp; y</p></body></html>`,
      ['.c > .d{background:#abcdef}'],
    );
    for (const part of [
      'class="dark" data-theme="x"',
      '.c > .d{background:#abcdef}',
      '@layer base{.a{color:#123456;&:hover{color:#654321}}}',
      'a:not(:visited){color:navy}',
      '<body class="b">',
      'style="color:tomato;--x:#fff"',
      'x &amp; y',
    ])
      expect(html).toContain(part);
    expect([missing, removed]).toEqual([['b.css'], []]);
    expect(cleaned(html).html).toBe(html);
  });
});

describe('colours of a page', () => {
  const { html } = cleaned(
    `<style>:root{--body-bg:#fffdf8;--ink:#12262b}body{background:var(--body-bg);color:var(--ink)}.a{color:#123456;background:linear-gradient(red, #123456);border:1px solid silver;box-shadow:0 1px 2px rgb(0 0 0 / .2)}.grid{display:grid;grid-area:red}</style><p class="a" style="color:#123456">red tan</p>`,
  );

  it('are called by their custom property, or by what they paint', () => {
    expect(pageColors(html).map(({ key }) => key)).toEqual([
      '--body-bg',
      '--ink',
      'text #123456',
      'ground #ff0000',
      'ground #123456',
      'line #c0c0c0',
      'shadow #00000033',
    ]);
  });

  it('are painted otherwise without any other change', () => {
    const other = paintPage(pagePieces(html), () => '#010203');
    expect(new Set(pageColors(other).map(({ color }) => color))).toEqual(new Set(['#010203']));
    expect(pagePieces(other).texts).toEqual(pagePieces(html).texts);
  });

  it('go to roles by name and by what they paint, and follow the themes', () => {
    const system = resolveSystem(SKERRY_LINE);
    const [day, night] = [...system.themes.values()];
    const links = matchPage(system, day!, pageColors(html));
    expect(links.get('--body-bg')).toEqual({ to: 'role', role: 'page-ground' });
    const use = (key: string) => links.get(key) as { role: string };
    expect(SKERRY_LINE.roles.find(({ id }) => id === use('text #123456').role)!.name).toMatch(
      /main|text|link|quiet/,
    );
    expect(use('line #c0c0c0').role).toMatch(/^line|focus/);
    expect(links.has('shadow #00000033')).toBe(false);
    const artwork = { kind: 'page', content: html, links: Object.fromEntries(links) } as const;
    const [inDay, inNight] = [day!, night!].map((theme) => paintArtwork(system, theme, artwork));
    expect(inDay).toContain(`--body-bg:${day!.roles.get('page-ground')!.color!.css}`);
    expect(inNight).not.toBe(inDay);
  });
});
