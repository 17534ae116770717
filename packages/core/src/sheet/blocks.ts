/// <reference path="./css-tree-parts.d.ts" />
import type { Block, CssNode, Declaration, Rule } from 'css-tree';
import parse from 'css-tree/parser';
import { balanced } from './balanced.ts';

/** A declaration of a style sheet, with the comments about it. */
export interface SheetDeclaration {
  readonly property: string;
  readonly value: string;
  /** From 1. */
  readonly line: number;
  /** The last comment that stands on a line of its own before it, in its block. */
  readonly heading: string | null;
  /** The comment after it on its own line. */
  readonly remark: string | null;
}

/** A rule with what it declares itself. */
export interface SheetBlock {
  readonly selectors: readonly string[];
  /** Of `@media (prefers-color-scheme: …)` around it. */
  readonly scheme: 'light' | 'dark' | null;
  /** The comment right before it. */
  readonly heading: string | null;
  readonly declarations: readonly SheetDeclaration[];
}

interface Comment {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

const SCHEME = /prefers-color-scheme\s*:\s*(light|dark)/i;

/** Splits a selector list at its commas, those in brackets and quotes aside. */
function splitSelectors(text: string): string[] {
  const parts = text.match(/(?:[^,([\]"']|\([^)]*\)|\[[^\]]*\]|"[^"]*"|'[^']*')+/g) ?? [];
  return parts.map((part) => part.trim().replace(/\s+/g, ' ')).filter(Boolean);
}

/**
 * The rules of a style sheet in order, nested ones after those around them, however broken the sheet is. Time is
 * linear in its length.
 */
export function readBlocks(text: string): SheetBlock[] {
  const comments: Comment[] = [];
  const css = balanced(text);
  if (css === null) return [];
  const sheet = parse(css, {
    positions: true,
    parseValue: false,
    parseCustomProperty: false,
    parseAtrulePrelude: false,
    parseRulePrelude: false,
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
  const read = (
    block: Block,
    around: readonly string[],
    scheme: SheetBlock['scheme'],
    heading: string | null,
  ) => {
    const declarations: SheetDeclaration[] = [];
    const inner: (() => void)[] = [];
    let title: string | null = null;
    let seen = block.loc!.start.offset;
    for (const node of block.children) {
      const { start, end } = node.loc!;
      // Comments on lines of their own, since the declaration before.
      for (let i = firstFrom(comments, seen); i < comments.length && comments[i]!.end <= start.offset; i++)
        title = comments[i]!.text;
      seen = end.offset;
      if (node.type === 'Declaration') {
        const remark = afterOnLine(end.offset);
        if (remark) seen = remark.end;
        declarations.push(declarationOf(node, title, remark?.text ?? null));
      } else inner.push(() => visit(node, around, scheme));
    }
    if (declarations.length || !inner.length)
      blocks.push({ selectors: around, scheme, heading, declarations });
    for (const visitInner of inner) visitInner();
  };
  const visit = (node: CssNode, around: readonly string[], scheme: SheetBlock['scheme']) => {
    if (node.type === 'Rule')
      read(node.block, selectorsOf(node, around), scheme, rightBefore(node.loc!.start.offset)?.text ?? null);
    else if (node.type === 'Atrule' && node.block) {
      const prelude = node.prelude?.type === 'Raw' ? node.prelude.value : '';
      const own = /^media$/i.test(node.name) ? SCHEME.exec(prelude)?.[1]?.toLowerCase() : undefined;
      const inside = own === 'light' || own === 'dark' ? own : scheme;
      // A nested at-rule may hold declarations of the rule around it.
      if (around.length) read(node.block, around, inside, null);
      else for (const child of node.block.children) visit(child, around, inside);
    }
  };
  if (sheet.type === 'StyleSheet') for (const node of sheet.children) visit(node, [], null);
  return blocks;
}

function declarationOf(node: Declaration, heading: string | null, remark: string | null): SheetDeclaration {
  const value = node.value.type === 'Raw' ? node.value.value : '';
  return {
    property: node.property,
    value: value.replace(/\/\*[\s\S]*?\*\//g, ' ').trim(),
    line: node.loc!.start.line,
    heading,
    remark,
  };
}

function selectorsOf(rule: Rule, around: readonly string[]): string[] {
  const own = splitSelectors(rule.prelude.type === 'Raw' ? rule.prelude.value : '');
  if (!around.length) return own;
  // What a nested rule means exactly does not matter here: it is no theme unless it says so itself.
  return own.map((selector) => selector.replaceAll('&', around[0]!));
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
