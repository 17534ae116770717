/// <reference path="./css-tree-parts.d.ts" />
import type { Block, CssNode, Declaration, Rule } from 'css-tree';
import parse from 'css-tree/parser';
import { balanced } from './balanced.ts';
import { type AtRule, askedBy, type Device } from './conditions.ts';
import { statements } from './statements.ts';

/** A declaration of a style sheet, with the comments about it. */
export interface SheetDeclaration {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
  /** From 1. */
  readonly line: number;
  /** The last comment that stands on a line of its own before it, in its block. */
  readonly heading: string | null;
  /** The comment after it on its own line. */
  readonly remark: string | null;
  /** Offsets in the text of the rules: all of it, without the sign that ends it, and its value. */
  readonly at: { readonly start: number; readonly end: number; readonly value: number };
}

/** A rule with what it declares itself. */
export interface SheetBlock {
  readonly selectors: readonly string[];
  /** The at-rules that it stands in, the outer ones first. */
  readonly around: readonly AtRule[];
  /** What those ask of who looks at the page. */
  readonly asks: Partial<Device>;
  /** Its cascade layer, by the names of all layers that it is in; null outside of layers. */
  readonly layer: string | null;
  /** The comment right before it. */
  readonly heading: string | null;
  readonly declarations: readonly SheetDeclaration[];
}

interface Comment {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** Splits a selector list at its commas, those in brackets and quotes aside. */
function splitSelectors(text: string): string[] {
  const parts = text.match(/(?:[^,([\]"']|\([^)]*\)|\[[^\]]*\]|"[^"]*"|'[^']*')+/g) ?? [];
  return parts.map((part) => part.trim().replace(/\s+/g, ' ')).filter(Boolean);
}

/** A custom property that a sheet registers (CSS Properties and Values 1). */
interface Registered {
  readonly syntax: string;
  readonly inherits: boolean;
  readonly initial: string | null;
  /** The rule as one that sets the initial value; null where there is none. */
  readonly block: SheetBlock | null;
}

/** All that is read of a style sheet. */
export interface SheetRules {
  /** What was read: the sheet with all brackets closed. */
  readonly text: string;
  /** In order, nested ones after those around them. */
  readonly blocks: readonly SheetBlock[];
  readonly registered: ReadonlyMap<string, Registered>;
  /** The names of layers in their order, the weakest first. */
  readonly layers: readonly string[];
}

/** The rules of a style sheet, as {@link readRules} reads them. */
export const readBlocks = (text: string): readonly SheetBlock[] => readRules(text).blocks;

/** Values and selectors stay text. */
const PARSING = {
  positions: true,
  parseValue: false,
  parseCustomProperty: false,
  parseAtrulePrelude: false,
  parseRulePrelude: false,
} as const;

/** Nested selectors put together that are longer than this are left as they are. */
const LONGEST_SELECTOR = 2000;

/**
 * The rules of a style sheet in order, nested ones after those around them, however broken the sheet is. Time is
 * linear in its length.
 */
export function readRules(text: string): SheetRules {
  const comments: Comment[] = [];
  const registered = new Map<string, Registered>();
  const layers: string[] = [];
  const css = balanced(text);
  if (css === null) return { text: '', blocks: [], registered, layers };
  const sheet = parse(css, {
    ...PARSING,
    onComment: (value, { start, end }) => {
      comments.push({ text: value.trim().replace(/\s+/g, ' '), start: start.offset, end: end.offset });
    },
  });
  comments.sort((a, b) => a.start - b.start);
  const blank = (from: number, to: number) => /^[\s;]*$/.test(css.slice(from, to));
  const afterOnLine = (end: number): Comment | null => {
    const next = comments[firstFrom(comments, end)];
    return next && next.start - end < 200 && /^[ \t]*;?[ \t]*$/.test(css.slice(end, next.start))
      ? next
      : null;
  };
  const rightBefore = (start: number): Comment | null => {
    const last = comments[firstFrom(comments, start) - 1];
    return last && start - last.end < 200 && blank(last.end, start) ? last : null;
  };

  const blocks: SheetBlock[] = [];
  const layered = (name: string) => {
    if (!layers.includes(name)) layers.push(name);
    return name;
  };
  const read = (
    block: Block,
    around: readonly string[],
    place: Place,
    heading: string | null,
    depth: number,
  ) => {
    const declarations: SheetDeclaration[] = [];
    const inner: (() => void)[] = [];
    let title: string | null = null;
    let seen = block.loc!.start.offset;
    for (const node of wholeNodes(block, css, depth)) {
      const { start, end } = node.loc!;
      // Comments on lines of their own, since the declaration before.
      for (let i = firstFrom(comments, seen); i < comments.length && comments[i]!.end <= start.offset; i++)
        title = comments[i]!.text;
      seen = end.offset;
      if (node.type === 'Declaration') {
        const remark = afterOnLine(end.offset);
        if (remark) seen = remark.end;
        declarations.push(declarationOf(node, title, remark?.text ?? null));
      } else inner.push(() => visit(node, around, place, depth + 1));
    }
    if (declarations.length || !inner.length)
      blocks.push({ selectors: around, ...place, heading, declarations });
    for (const visitInner of inner) visitInner();
  };
  const visit = (node: CssNode, around: readonly string[], place: Place, depth = 0) => {
    if (node.type === 'Rule')
      read(
        node.block,
        selectorsOf(node, around),
        place,
        rightBefore(node.loc!.start.offset)?.text ?? null,
        depth,
      );
    if (node.type !== 'Atrule') return;
    const name = node.name.toLowerCase();
    const prelude = node.prelude?.type === 'Raw' ? node.prelude.value.trim() : '';
    if (!node.block) {
      // Names of layers in the order that they are to have.
      if (name === 'layer')
        for (const one of prelude.split(',')) layered(nestedLayer(place.layer, one.trim()));
      return;
    }
    if (name === 'property') registered.set(prelude, registeredAs(prelude, node.block, place));
    const layer =
      name === 'layer' ? layered(nestedLayer(place.layer, prelude || `(${layers.length})`)) : place.layer;
    const inside = [...place.around, { name, prelude }];
    const own: Place = { around: inside, asks: askedBy(inside), layer };
    // A nested at-rule may hold declarations of the rule around it.
    if (around.length) read(node.block, around, own, null, depth);
    else for (const child of node.block.children) visit(child, around, own, depth);
  };
  const outside: Place = { around: [], asks: {}, layer: null };
  if (sheet.type === 'StyleSheet') for (const node of sheet.children) visit(node, [], outside);
  return { text: css, blocks, registered, layers };
}

/** Rules in rules that are read; deeper ones are left out. */
const DEEPEST = 40;

/**
 * What a block holds. The parser takes a nested rule that begins with a name, such as `body { … }`, for a broken
 * declaration, together with what follows it: that is read once more, piece by piece.
 */
function* wholeNodes(block: Block, css: string, depth: number): Generator<CssNode> {
  for (const node of block.children) {
    const { start, end } = node.loc!;
    const isSwallowed =
      node.type === 'Raw' ||
      (node.type === 'Declaration' &&
        !node.property.startsWith('--') &&
        node.value.type === 'Raw' &&
        node.value.value.includes('{'));
    if (!isSwallowed) {
      yield node;
      continue;
    }
    if (depth > DEEPEST) continue;
    const text = css.slice(start.offset, end.offset);
    for (const { start: from, whole, block: inner } of statements(text)) {
      const begin = from + /^\s*/.exec(whole)![0].length;
      const own = whole.trim().replace(/;$/, '');
      if (!own) continue;
      const node = pieceOf(own, inner === null ? 'declaration' : own.startsWith('@') ? 'atrule' : 'rule', {
        offset: start.offset + begin,
        line: start.line + text.slice(0, begin).split('\n').length - 1,
      });
      if (node) yield node;
    }
  }
}

/** A piece of a block read on its own; null where it is no such thing. */
function pieceOf(text: string, context: string, place: { offset: number; line: number }): CssNode | null {
  try {
    return parse(text, { ...PARSING, context, ...place });
  } catch {
    return null;
  }
}

type Place = Pick<SheetBlock, 'around' | 'asks' | 'layer'>;

const nestedLayer = (outer: string | null, name: string) => (outer === null ? name : `${outer}.${name}`);

function registeredAs(property: string, block: Block, place: Place): Registered {
  const said = new Map<string, SheetDeclaration>();
  for (const node of block.children)
    if (node.type === 'Declaration') said.set(node.property.toLowerCase(), declarationOf(node, null, null));
  const initial = said.get('initial-value');
  return {
    syntax: (said.get('syntax')?.value ?? '').replace(/^["']|["']$/g, '').trim(),
    inherits: said.get('inherits')?.value !== 'false',
    initial: initial?.value ?? null,
    block: initial
      ? {
          selectors: [`@property ${property}`],
          ...place,
          heading: null,
          declarations: [{ ...initial, property }],
        }
      : null,
  };
}

const IMPORTANT = /\s*!\s*important\s*$/i;

function declarationOf(node: Declaration, heading: string | null, remark: string | null): SheetDeclaration {
  const value = node.value.type === 'Raw' ? node.value.value : '';
  return {
    property: node.property,
    value: value
      .replace(/\/\*[\s\S]*?\*\//g, ' ')
      .replace(IMPORTANT, '')
      .trim(),
    important: node.important !== false || IMPORTANT.test(value),
    line: node.loc!.start.line,
    heading,
    remark,
    at: {
      start: node.loc!.start.offset,
      end: node.loc!.end.offset,
      value: node.value.loc?.start.offset ?? node.loc!.end.offset,
    },
  };
}

function selectorsOf(rule: Rule, around: readonly string[]): string[] {
  const own = splitSelectors(rule.prelude.type === 'Raw' ? rule.prelude.value : '');
  if (!around.length) return own;
  const parent = around.length === 1 ? around[0]! : `:is(${around.join(', ')})`;
  return own.map((selector) => {
    // What has parts stands for itself where it does not begin.
    const inner = /[\s>+~]/.test(parent) && !/^&/.test(selector) ? `:is(${parent})` : parent;
    const whole = selector.includes('&') ? selector.replaceAll('&', inner) : `${parent} ${selector}`;
    return whole.length > LONGEST_SELECTOR ? selector : whole;
  });
}

/** Index of the first comment that begins at or after an offset. */
function firstFrom(comments: readonly Comment[], offset: number): number {
  let low = 0;
  let high = comments.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (comments[middle]!.start < offset) low = middle + 1;
    else high = middle;
  }
  return low;
}
