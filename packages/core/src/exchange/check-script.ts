import { describeTarget, effectiveTarget, requiredRatio } from '../contrast/targets.ts';
import { choicesOf } from '../document/delivery/forms.ts';
import { pairName } from '../document/naming/pair-name.ts';
import { opposite, otherScheme, schemeOf } from '../system/delivery/schemes.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';
import type { CssChoices } from './css.ts';
import { type CssNames, cssNames } from './css-names.ts';
import { themeRules } from './css-themes.ts';

/**
 * What the script does, in plain JavaScript without a dependency. It reads what {@link writeCss} writes (custom
 * properties by theme, however it is chosen; hex, rgb(), hsl(), var(), light-dark(), color-mix with transparent) and
 * measures as the core does: composited in 8 bits, WCAG 2.2 ratios, never rounded up.
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

// Every rule with the at-rules that it stands in.
const rules = [];
{
  const open = [];
  let from = 0;
  for (let at = 0; at < css.length; at += 1) {
    if (css[at] === ';') from = open.at(-1)?.body === undefined ? at + 1 : from;
    if (css[at] === '{') {
      const head = css.slice(from, at).trim();
      open.push(head.startsWith('@') ? { head } : { head, body: at + 1 });
      from = at + 1;
    }
    if (css[at] === '}') {
      const { head, body } = open.pop() ?? {};
      if (body !== undefined)
        rules.push({
          selectors: head.split(',').map((one) => one.trim()),
          around: open.map((one) => one.head),
          declarations: [...css.slice(body, at).matchAll(/(--[^\s:;]+)\s*:\s*([^;]+)/g)].map(([, name, value]) => [name, value.trim()]),
        });
      from = at + 1;
    }
  }
}
// What a page has in a theme. Layers for newer browsers are passed over, since they paint the same colours.
const propertiesOf = ({ selector, scheme, contrast }) => {
  const isAsked = (atRule) =>
    atRule.replace(/\s+/g, '') ===
    (atRule.includes('contrast') ? contrast && '@media(prefers-contrast:more)' : '@media(prefers-color-scheme:' + scheme + ')');
  const isMet = (one) => one === ':root' || one === selector || (selector === null && one.startsWith(':root:not('));
  return new Map(
    rules
      .filter(({ around, selectors }) => around.every(isAsked) && selectors.some(isMet))
      .flatMap(({ declarations }) => declarations),
  );
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

const alphaOf = (text) => (text === undefined ? 1 : text.endsWith('%') ? parseFloat(text) / 100 : Number(text));

class OnGradient extends Error {}

function colorOf(value, properties, scheme, seen = []) {
  const text = value.trim();
  const variable = /^var\(\s*(--[^\s,)]+)\s*\)$/.exec(text);
  if (variable) {
    const name = variable[1];
    if (seen.includes(name) || !properties.has(name)) throw new Error(name + ' has no colour');
    return colorOf(properties.get(name), properties, scheme, [...seen, name]);
  }
  const hex = /^#([\da-f]{3,8})$/i.exec(text)?.[1];
  if (hex) {
    const long = hex.length < 6 ? [...hex].map((d) => d + d).join('') : hex;
    const at = (i) => parseInt(long.slice(i, i + 2), 16);
    return { r: at(0), g: at(2), b: at(4), alpha: long.length === 8 ? at(6) / 255 : 1 };
  }
  const rgb = /^rgba?\(\s*([\d.]+)[\s,]+([\d.]+)[\s,]+([\d.]+)(?:\s*[/,]\s*([\d.]+%?))?\s*\)$/i.exec(text);
  if (rgb) {
    return { r: Number(rgb[1]), g: Number(rgb[2]), b: Number(rgb[3]), alpha: alphaOf(rgb[4]) };
  }
  const hsl = /^hsla?\(\s*(none|[\d.]+)(?:deg)?[\s,]+([\d.]+)%[\s,]+([\d.]+)%(?:\s*[/,]\s*([\d.]+%?))?\s*\)$/i.exec(text);
  if (hsl) {
    const [hue, strength, light] = [(parseFloat(hsl[1]) || 0) / 30, Number(hsl[2]) / 100, Number(hsl[3]) / 100];
    const channel = (n) => {
      const k = (n + hue) % 12;
      return Math.round((light - strength * Math.min(light, 1 - light) * Math.max(-1, Math.min(k - 3, 9 - k, 1))) * 255);
    };
    return { r: channel(0), g: channel(8), b: channel(4), alpha: alphaOf(hsl[4]) };
  }
  const schemes = /^light-dark\(([^]*)\)$/i.exec(text);
  if (schemes) return colorOf(split(schemes[1])[scheme === 'dark' ? 1 : 0], properties, scheme, seen);
  const mix = /^color-mix\(\s*in srgb\s*,([^]*)\)$/i.exec(text);
  if (mix) {
    const [first, second] = split(mix[1]);
    const share = /^([^]*?)\s+([\d.]+)%$/.exec(first);
    if (share && second === 'transparent') {
      const color = colorOf(share[1], properties, scheme, seen);
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
  const properties = propertiesOf(theme);
  const painted = (name) => colorOf('var(' + name + ')', properties, theme.scheme);
  const white = { r: 255, g: 255, b: 255, alpha: 1 };
  for (const pair of PAIRS) {
    let told;
    try {
      const page = GROUND ? over(painted(GROUND), white) : white;
      const bare = over(painted(pair.ground), page);
      const ground = pair.veil ? over(painted(pair.veil), bare) : bare;
      const text = over(painted(pair.text), ground);
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

/** How a page comes to each theme that the CSS reaches. */
function waysToThemes(system: System, names: CssNames, choices: CssChoices) {
  const first = [...system.themes.values()][0];
  if (!first) return { ways: [], unreached: [] };
  const own = schemeOf(system, first);
  const second = otherScheme(system, choices.other);
  const { rules, unreached } = themeRules(system, names, choices);
  const isReached = ({ theme }: ResolvedTheme) => !unreached.some((one) => one.theme.id === theme.id);
  const ways = [...system.themes.values()].filter(isReached).map((one) => {
    const { theme } = one;
    const selector = rules
      .filter((rule) => rule.theme === one && !rule.media)
      .flatMap(({ selectors }) => selectors)
      .find((each) => each !== ':root');
    const scheme = !selector && second === one ? opposite(own) : own;
    const contrast = !selector && one !== first && one !== second;
    return { name: theme.name, selector: selector ?? null, scheme, contrast };
  });
  return { ways, unreached };
}

/**
 * A script for a developer's build: run with Node.js on the delivered CSS, which was written with the same `choices`, it
 * measures every pair of the system in every theme that the CSS reaches, names those that fail, and ends with 1 where there
 * are some; with 2 where the file cannot be read.
 */
export function writeCheckScript(system: System, choices: CssChoices = choicesOf({}, 'css')): string {
  const { document } = system;
  const names = cssNames(document, choices.prefix);
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
  const { ways, unreached } = waysToThemes(system, names, choices);
  return `// Contrast of ${document.name.replace(/\s+/g, ' ')}, as a check for a build, written by Mint Lamp.
// Run it on the delivered CSS: node check-contrast.mjs colours.css
${elsewhere ? `// ${elsewhere} ${elsewhere === 1 ? 'pair lies' : 'pairs lie'} on gradients or pictures, which are measured in the report and not here.\n` : ''}${unreached.length ? `// Not in that CSS, and so not measured: ${unreached.map(({ theme }) => theme.name.replace(/\s+/g, ' ')).join(', ')}.\n` : ''}
/** What lies beneath the page; white where it is null. */
const GROUND = ${JSON.stringify(document.ground ? names.role(document.ground) : null)};
const THEMES = ${JSON.stringify(ways, null, 2)};
const PAIRS = ${JSON.stringify(pairs, null, 2)};
${BODY}`;
}
