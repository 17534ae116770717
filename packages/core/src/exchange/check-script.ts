import { describeTarget, effectiveTarget, requiredRatio } from '../contrast/targets.ts';
import { pairName } from '../document/naming/pair-name.ts';
import type { System } from '../system/resolve.ts';
import { cssNames } from './css-names.ts';

/**
 * What the script does, in plain JavaScript without a dependency. It reads what {@link writeCss} writes (custom
 * properties by theme; hex, rgb(), var(), color-mix with transparent) and measures as the core does: composited in 8
 * bits, WCAG 2.2 ratios, never rounded up.
 */
const BODY = String.raw`
import { readFileSync } from 'node:fs';

const file = process.argv[2];
if (!file) {
  console.error('Usage: node check-contrast.mjs colours.css');
  process.exit(2);
}
let css;
try {
  css = readFileSync(file, 'utf8').replace(/\/\*[^]*?\*\//g, '');
} catch (error) {
  console.error(file + ' cannot be read: ' + error.message);
  process.exit(2);
}

// The declarations of each theme: those of :root, and over them its own.
const blocks = [...css.matchAll(/([^{}]+)\{([^{}]*)\}/g)].map(([, selectors, body]) => ({
  selectors: selectors.split(',').map((one) => one.trim()),
  declarations: [...body.matchAll(/(--[^\s:;]+)\s*:\s*([^;]+)/g)].map(([, name, value]) => [name, value.trim()]),
}));
const propertiesOf = (theme) => {
  const own = '[data-theme="' + theme + '"]';
  const plain = blocks.filter((one) => one.selectors.includes(':root') && !one.selectors.some((s) => s.startsWith('[data-theme')));
  const first = blocks.filter((one) => one.selectors.includes(':root') && one.selectors.some((s) => s.startsWith('[data-theme')));
  const mine = blocks.filter((one) => one.selectors.includes(own));
  return new Map([...plain, ...first, ...mine].flatMap((one) => one.declarations));
};

// Parts between commas that are in no brackets.
const split = (text) => {
  const parts = [];
  let depth = 0;
  let part = '';
  for (const sign of text) {
    if (sign === '(') depth += 1;
    if (sign === ')') depth -= 1;
    if (sign === ',' && depth === 0) {
      parts.push(part.trim());
      part = '';
    } else part += sign;
  }
  return [...parts, part.trim()];
};

class OnGradient extends Error {}

function colorOf(value, properties, seen = []) {
  const text = value.trim();
  const variable = /^var\(\s*(--[^\s,)]+)\s*\)$/.exec(text);
  if (variable) {
    const name = variable[1];
    if (seen.includes(name) || !properties.has(name)) throw new Error(name + ' has no colour');
    return colorOf(properties.get(name), properties, [...seen, name]);
  }
  const hex = /^#([\da-f]{3,8})$/i.exec(text)?.[1];
  if (hex) {
    const long = hex.length < 6 ? [...hex].map((d) => d + d).join('') : hex;
    const at = (i) => parseInt(long.slice(i, i + 2), 16);
    return { r: at(0), g: at(2), b: at(4), alpha: long.length === 8 ? at(6) / 255 : 1 };
  }
  const rgb = /^rgba?\(\s*([\d.]+)[\s,]+([\d.]+)[\s,]+([\d.]+)(?:\s*[/,]\s*([\d.]+%?))?\s*\)$/i.exec(text);
  if (rgb) {
    const alpha = rgb[4] === undefined ? 1 : rgb[4].endsWith('%') ? parseFloat(rgb[4]) / 100 : Number(rgb[4]);
    return { r: Number(rgb[1]), g: Number(rgb[2]), b: Number(rgb[3]), alpha };
  }
  const mix = /^color-mix\(\s*in srgb\s*,([^]*)\)$/i.exec(text);
  if (mix) {
    const [first, second] = split(mix[1]);
    const share = /^([^]*?)\s+([\d.]+)%$/.exec(first);
    if (share && second === 'transparent') {
      const color = colorOf(share[1], properties, seen);
      return { ...color, alpha: (color.alpha * Number(share[2])) / 100 };
    }
  }
  if (/-gradient\(/.test(text)) throw new OnGradient();
  throw new Error('"' + text + '" is no colour that this script reads');
}

// As it is painted: in 8 bits.
const over = (top, beneath) => {
  const alpha = Math.round(top.alpha * 255);
  const byte = (v) => Math.round(Math.min(255, Math.max(0, v)));
  const paint = (o, u) => Math.min(255, Math.round((byte(o) * alpha) / 255) + ((byte(u) * (256 - alpha)) >> 8));
  return { r: paint(top.r, beneath.r), g: paint(top.g, beneath.g), b: paint(top.b, beneath.b), alpha: 1 };
};
const linear = (v) => (v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4);
const light = (c) => 0.2126 * linear(c.r) + 0.7152 * linear(c.g) + 0.0722 * linear(c.b);
const ratioOf = (a, b) => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

let failing = 0;
let elsewhere = 0;
for (const theme of THEMES) {
  const properties = propertiesOf(theme.value);
  const white = { r: 255, g: 255, b: 255, alpha: 1 };
  for (const pair of PAIRS) {
    let told;
    try {
      const page = GROUND ? over(colorOf('var(' + GROUND + ')', properties), white) : white;
      const bare = over(colorOf('var(' + pair.ground + ')', properties), page);
      const ground = pair.veil ? over(colorOf('var(' + pair.veil + ')', properties), bare) : bare;
      const text = over(colorOf('var(' + pair.text + ')', properties), ground);
      const ratio = ratioOf(light(text), light(ground));
      if (ratio + 1e-11 < pair.needs)
        told = (Math.floor((ratio + 1e-11) * 100) / 100).toFixed(2) + ', needs ' + pair.needs + ' (' + pair.target + ')';
    } catch (error) {
      if (error instanceof OnGradient) {
        elsewhere += 1;
        continue;
      }
      told = error.message;
    }
    if (!told) continue;
    failing += 1;
    console.error('FAILS  ' + pair.name + ' in ' + theme.name + ': ' + told);
  }
}
const all = PAIRS.length * THEMES.length - elsewhere;
if (elsewhere) console.log(elsewhere + ' more are painted by gradients, which are measured in the report and not here.');
if (failing) {
  console.error(failing + ' of ' + all + ' measurements fail.');
  process.exit(1);
}
console.log('All ' + all + ' measurements pass.');
`;

/**
 * A script for a developer's build: run with Node.js on the delivered CSS, it measures every pair of the system in every
 * theme, names those that fail, and ends with 1 where there are some; with 2 where the file cannot be read.
 */
export function writeCheckScript({ document }: System): string {
  const names = cssNames(document);
  const asked = document.pairs.filter(({ exempt }) => !exempt);
  const pairs = asked
    .filter(({ backdrop }) => !backdrop)
    .map((pair) => {
      const { foreground, background, veil, target, size, weight } = pair;
      const real = effectiveTarget(target, size, weight);
      return {
        name: pairName(document, pair),
        text: names.role(foreground),
        ground: names.role(background),
        ...(veil === undefined ? {} : { veil: names.role(veil) }),
        needs: requiredRatio(real),
        target: describeTarget(real),
      };
    });
  const elsewhere = asked.length - pairs.length;
  const themes = document.themes.map(({ id, name }) => ({ name, value: names.theme(id) }));
  return `// Contrast of ${document.name.replace(/\s+/g, ' ')}, as a check for a build, written by Mint Lamp.
// Run it on the delivered CSS: node check-contrast.mjs colours.css
${elsewhere ? `// ${elsewhere} ${elsewhere === 1 ? 'pair lies' : 'pairs lie'} on gradients or pictures, which are measured in the report and not here.\n` : ''}
/** What lies beneath the page; white where it is null. */
const GROUND = ${JSON.stringify(document.ground ? names.role(document.ground) : null)};
const THEMES = ${JSON.stringify(themes, null, 2)};
const PAIRS = ${JSON.stringify(pairs, null, 2)};
${BODY}`;
}
