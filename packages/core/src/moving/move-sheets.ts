import type { SheetBlock, SheetDeclaration, SheetRules } from '../cascade/rules.ts';
import { readRules } from '../cascade/rules.ts';
import { readPageSelector } from '../cascade/selectors.ts';
import { readColor } from '../color/parse.ts';
import { choicesOf } from '../document/delivery/forms.ts';
import type { ProjectDocument } from '../document/document.ts';
import { comment } from '../exchange/css-blocks.ts';
import { type CssNames, cssNames } from '../exchange/css-names.ts';
import { CssSheet } from '../exchange/css-sheet.ts';
import type { Adoption } from '../sheet/adopt.ts';
import { useOf, withinTheme } from '../sheet/rule-uses.ts';
import { joinedSheets, type SheetFile } from '../sheet/sheet-files.ts';
import type { SheetSystem } from '../sheet/sheet-system.ts';
import { themesOf } from '../sheet/theme-blocks.ts';
import { resolveSystem } from '../system/resolve.ts';
import { keptNames, type NewName, newNames } from './new-names.ts';
import { rewrittenValue } from './rewritten-value.ts';

/** What of a sheet is written otherwise now. */
export interface Replacement {
  /** A custom property, or a colour as it is written out. */
  readonly from: string;
  readonly to: string;
  /** How often. */
  readonly count: number;
  /** Some of the selectors there. */
  readonly selectors: readonly string[];
}

/** Sheets that use a system's custom properties. */
export interface MovedSheets {
  /** The file with the colours, to be loaded before the others. */
  readonly colors: SheetFile;
  readonly files: readonly SheetFile[];
  readonly replacements: readonly Replacement[];
  /** Custom properties that keep their names. */
  readonly kept: readonly string[];
}

const MOST_SELECTORS = 4;
/** At-rules in which what is said of a page can stand in another file. */
const PORTABLE = new Set(['media', 'supports', 'layer', 'container']);

/** Where something is replaced, counted. */
class Replaced {
  private readonly found = new Map<string, { to: string; count: number; selectors: Set<string> }>();

  add(from: string, to: string, selectors: readonly string[]): void {
    const one = this.found.get(from) ?? { to, count: 0, selectors: new Set<string>() };
    this.found.set(from, one);
    one.count += 1;
    for (const selector of selectors) if (one.selectors.size < MOST_SELECTORS) one.selectors.add(selector);
  }

  list(renamed: ReadonlyMap<string, NewName>): Replacement[] {
    const unused = [...renamed].filter(([from]) => !this.found.has(from));
    return [
      ...[...this.found].map(([from, { to, count, selectors }]) => ({
        from,
        to,
        count,
        selectors: [...selectors],
      })),
      ...unused.map(([from, { property }]) => ({ from, to: property, count: 0, selectors: [] })),
    ].sort((a, b) => b.count - a.count || (a.from < b.from ? -1 : 1));
  }
}

/** A system's custom properties that are the same in all of a page: shades, and roles with one value. */
class Constants {
  private readonly values = new Map<string, string>();
  private readonly used = new Set<string>();
  private readonly names: CssNames;
  private readonly adoption: Adoption;
  private readonly barred: ReadonlySet<string>;
  private readonly plainRoles: ReadonlyMap<string, string>;

  constructor(
    document: ProjectDocument,
    names: CssNames,
    adoption: Adoption,
    system: SheetSystem,
    barred: ReadonlySet<string>,
  ) {
    this.names = names;
    this.adoption = adoption;
    this.barred = barred;
    const sheet = new CssSheet(resolveSystem(document), choicesOf({}, 'css'), names);
    const [first] = sheet.themes();
    for (const { property, value } of [...sheet.shades().declarations, ...(first?.declarations ?? [])])
      this.values.set(property, value);
    this.plainRoles = new Map(
      system.roles.flatMap(({ property, sources }) => {
        const id = adoption.roles.get(property);
        const all = new Set([...sources.values()].map((one) => JSON.stringify(one)));
        return id !== undefined && !property.startsWith('--') && all.size === 1
          ? [[property, names.role(id)] as const]
          : [];
      }),
    );
  }

  private usable(property: string | undefined): string | null {
    if (property === undefined || this.barred.has(property) || !this.values.has(property)) return null;
    this.used.add(property);
    return `var(${property})`;
  }

  shadeOf(color: string): string | null {
    const at = this.adoption.colors.get(color);
    return at ? this.usable(this.names.shade(at.family, at.shade)) : null;
  }

  /** The role that a colour has for a use, where that is the same in every theme. */
  roleOf(use: string, color: string): string | null {
    return this.usable(this.plainRoles.get(`${use} ${color}`));
  }

  use(property: string): void {
    this.used.add(property);
  }

  /** Declarations of all that is used, and of what that needs. */
  declarations(own: (property: string) => boolean): string[] {
    const all = new Set<string>();
    const add = (property: string) => {
      const value = this.values.get(property);
      // What the sheets say themselves, under this name, stands where they say it.
      if (value === undefined || all.has(property) || !own(property) || this.barred.has(property)) return;
      for (const [, inner] of value.matchAll(/var\(\s*(--[^\s,()]+)/g)) add(inner!);
      all.add(property);
    };
    for (const property of this.used) add(property);
    return [...all].map((property) => `  ${property}: ${this.values.get(property)};`);
  }
}

/** Values that make a colour of another, which what is put in its place changes where it is not just the same. */
const DERIVES = /\bfrom\s+|color-mix\(/i;
const USED = /var\(\s*(--[^\s,()]+)/g;

/** Custom properties that others are derived from, by way of others too. */
function derivedFrom({ blocks }: SheetRules): Set<string> {
  const uses = new Map<string, Set<string>>();
  const found = new Set<string>();
  for (const { declarations } of blocks)
    for (const { property, value } of declarations) {
      if (!value.includes('var(')) continue;
      const names = [...value.matchAll(USED)].map(([, name]) => name!);
      if (DERIVES.test(value)) for (const name of names) found.add(name);
      if (property.startsWith('--')) {
        const own = uses.get(property) ?? new Set<string>();
        uses.set(property, own);
        for (const name of names) own.add(name);
      }
    }
  // What is added meanwhile is gone through too.
  for (const name of found) for (const next of uses.get(name) ?? []) found.add(next);
  return found;
}

/** Notations of just the 8 bits that are painted. */
const IN_BYTES = /^(?:#|[a-z]+$|rgba?\(\s*\d+\s*[\s,]\s*\d+\s*[\s,]\s*\d+\s*\)$)/i;

const isOfPage = (selector: string) => readPageSelector(selector) !== null;

/**
 * The blocks whose declarations can stand in another file, before the rest: all that they mean is a page or what has a class
 * of its own, and nothing else says the same of that. `stuck` are properties of which others say something too.
 */
function hooksOf(
  { blocks }: SheetRules,
  renamed: ReadonlyMap<string, NewName>,
): { readonly hooks: ReadonlySet<SheetBlock>; readonly stuck: ReadonlySet<string> } {
  const hooks = new Set<SheetBlock>();
  const stuck = new Set<string>();
  for (const block of blocks) {
    const own = block.declarations.filter(({ property }) => renamed.has(property));
    if (!own.length) continue;
    const isPortable =
      block.around.every(({ name }) => PORTABLE.has(name)) && !(block.layer ?? '').includes('(');
    if (isPortable && block.selectors.every(isOfPage)) hooks.add(block);
    else if (block.selectors.some(isOfPage)) for (const { property } of own) stuck.add(property);
  }
  return { hooks, stuck };
}

function wrapped(block: SheetBlock, lines: readonly string[]): string {
  const inner = `${block.selectors.join(',\n')} {\n${lines.join('\n')}\n}`;
  return [...block.around]
    .reverse()
    .reduce(
      (text, { name, prelude }) =>
        `@${name}${prelude ? ` ${prelude}` : ''} {\n${text.replace(/^(?=.)/gm, '  ')}\n}`,
      inner,
    );
}

/** An edit of a text: what stands from one offset to another becomes something else. */
interface Edit {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

/** A part of a text, from one offset to another, with the edits in it. */
function edited(text: string, from: number, to: number, edits: readonly Edit[]): string {
  let out = '';
  for (const { start, end, text: put } of [...edits].sort((a, b) => a.start - b.start)) {
    out += text.slice(from, start) + put;
    from = end;
  }
  return out + text.slice(from, to);
}

/**
 * Sheets rewritten to use the custom properties of the system that they were taken into, painted as before: what they say of
 * the page in each theme goes, under new names, into a file of its own with the shades, under the selectors that they have for
 * themes; elsewhere variables are renamed, and colours that are written out become the role or the shade that they are.
 * `document` is the one that holds what was taken, `system` and `adoption` say what that was.
 */
export function moveSheets(
  sheets: readonly SheetFile[],
  document: ProjectDocument,
  system: SheetSystem,
  adoption: Adoption,
): MovedSheets {
  const joined = joinedSheets(sheets);
  const rules = readRules(joined.text);
  const names = cssNames(document, choicesOf(document.delivery.choices, 'css').prefix);
  const renamed = newNames(rules, adoption, names);
  const kept = keptNames(rules, renamed);
  const keys = new Set(adoption.themes.keys());
  const themes = themesOf(rules.blocks).filter(({ key }) => keys.has(key));
  const { hooks, stuck } = hooksOf(rules, renamed);
  const constants = new Constants(document, names, adoption, system, kept);
  const replaced = new Replaced();
  const derived = derivedFrom(rules);
  const ofThemes = new Set(themes.flatMap(({ blocks }) => blocks));
  const [, ...others] = themes;
  const isThemed = ({ asks, selectors }: SheetBlock) =>
    asks.scheme !== undefined ||
    asks.contrast !== undefined ||
    selectors.some((selector) => others.some((theme) => withinTheme(selector, theme) !== null));

  const rewrite = (block: SheetBlock, declaration: SheetDeclaration, ofPage: boolean) => {
    const { property, at } = declaration;
    const raw = rules.text.slice(at.value, at.end);
    const isOwn = property.startsWith('--');
    const use = useOf(declaration);
    const themed = ofPage || isThemed(block);
    return rewrittenValue(raw, {
      renamed: (name) => {
        const to = renamed.get(name)?.property ?? null;
        if (to === null) return null;
        constants.use(to);
        if (!ofPage) replaced.add(name, to, block.selectors);
        return to;
      },
      standsFor: (color, written) => {
        if ((derived.has(property) || DERIVES.test(raw)) && !IN_BYTES.test(written)) return null;
        const role = !themed && use ? constants.roleOf(use, color) : null;
        const to = role ?? (readColor(color).alpha === 1 ? constants.shadeOf(color) : null);
        if (to !== null && !ofPage)
          replaced.add(use && role ? `${color} (${use})` : color, to.slice(4, -1), block.selectors);
        return to;
      },
      colors: !/progid|expression\(/i.test(raw) && (use !== null || (isOwn && raw.length < 2000)),
      words: !isOwn || /^\s*[a-z]+\s*$/i.test(raw),
    });
  };

  const moved: string[] = [];
  const edits: Edit[] = [];
  const declared = new Set<string>();
  for (const block of rules.blocks) {
    const isHook = hooks.has(block);
    const lines: string[] = [];
    for (const declaration of block.declarations) {
      const { property, at } = declaration;
      const own = renamed.get(property);
      if (isHook && own && !stuck.has(property)) {
        // Shades stand on the root once and for all; what is said of them elsewhere, as for print, stays said.
        if (own.of === 'shade' && ofThemes.has(block)) constants.use(own.property);
        else {
          lines.push(`  ${own.property}: ${rewrite(block, declaration, true).trim()};`);
          declared.add(own.property);
        }
        edits.push({ ...lineOf(rules.text, at.start, at.end), text: '' });
        continue;
      }
      if (own) edits.push({ start: at.start, end: at.start + property.length, text: own.property });
      const value = rewrite(block, declaration, false);
      if (value !== rules.text.slice(at.value, at.end))
        edits.push({ start: at.value, end: at.end, text: value });
    }
    if (lines.length) moved.push(wrapped(block, lines));
  }
  const onRoot = constants.declarations((property) => !declared.has(property));
  const order = rules.layers.filter((name) => !name.includes('('));
  const head = comment(
    `${document.name}: colours and themes as the sheets had them, written by Mint Lamp; load it before them`,
  );
  const colors = [
    head,
    ...(order.length ? [`@layer ${order.join(', ')};`] : []),
    ...(onRoot.length ? [`:root {\n${onRoot.join('\n')}\n}`] : []),
    ...moved,
  ].join('\n\n');
  return {
    colors: { name: 'colours.css', text: `${colors}\n` },
    files: joined.parts.map(({ name, start }, i) => {
      const end = joined.parts[i + 1]?.start ?? joined.text.length;
      const own = edits.filter((edit) => edit.start >= start && edit.start < end);
      return { name, text: edited(joined.text, start, end, own) };
    }),
    replacements: replaced.list(renamed),
    kept: [...kept].filter((name) => system.unfixed.some(({ property }) => property === name)),
  };
}

/** A declaration with the sign that ends it, and with its line where it stands alone on it. */
function lineOf(text: string, start: number, end: number): { start: number; end: number } {
  const after = /^\s*;?/.exec(text.slice(end, end + 40))![0];
  let last = end + (after.endsWith(';') ? after.length : 0);
  const before = /[ \t]*$/.exec(text.slice(Math.max(0, start - 200), start))![0];
  const first = start - before.length;
  const lineBreak = /^[ \t]*\r?\n/.exec(text.slice(last, last + 40))?.[0];
  if ((first === 0 || text[first - 1] === '\n') && lineBreak) last += lineBreak.length;
  else return { start, end: last };
  return { start: first, end: last };
}
