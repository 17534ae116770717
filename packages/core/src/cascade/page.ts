import { parseColor } from '../color/parse.ts';
import { type Device, isThere } from './conditions.ts';
import type { SheetBlock, SheetDeclaration, SheetRules } from './rules.ts';
import {
  bySpecificity,
  type Mark,
  type PageElement,
  type PageSelector,
  readPageSelector,
  type Specificity,
} from './selectors.ts';
import { type Computed, computedProperties, type Registry } from './substituted.ts';

/** What the root of a page has on it, and who looks at it. */
export interface PageState {
  readonly marks: readonly Mark[];
  readonly device: Device;
}

/** A custom property as a page has it. */
export interface PageProperty {
  /** With all variables put in. */
  readonly value: string;
  /** As it is declared where it comes from. */
  readonly declaration: SheetDeclaration;
  readonly block: SheetBlock;
}

/** What a style sheet's rules come to on the root and the body of a page. */
export interface PageValues {
  readonly properties: ReadonlyMap<string, PageProperty>;
  /** The side of `light-dark()` that counts (CSS Color Adjustment 1 §2). */
  readonly scheme: 'light' | 'dark';
}

interface Candidate {
  readonly declaration: SheetDeclaration;
  readonly block: SheetBlock;
  readonly layer: readonly number[];
  readonly specificity: Specificity;
  readonly order: number;
}

/** A rule that means the root or the body of some pages. */
interface PageRule {
  readonly block: SheetBlock;
  readonly selectors: readonly PageSelector[];
  readonly layer: readonly number[];
  readonly order: number;
}

const OUTSIDE = Number.POSITIVE_INFINITY;

/** A layer as places among its like, from the outermost: what is in no inner layer comes behind those that are. */
function layerOrder(layers: readonly string[]): (name: string | null) => readonly number[] {
  const places = new Map(layers.map((name, i) => [name, i]));
  return (name) => {
    if (name === null) return [OUTSIDE];
    const path: number[] = [];
    const parts = name.split('.');
    for (let n = 1; n <= parts.length; n++) {
      const outer = parts.slice(0, n).join('.');
      path.push(places.get(outer) ?? layers.findIndex((one) => one.startsWith(`${outer}.`)));
    }
    return [...path, OUTSIDE];
  };
}

function byLayer(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < Math.max(a.length, b.length); i++) {
    const [x, y] = [a[i] ?? OUTSIDE, b[i] ?? OUTSIDE];
    if (x !== y) return x < y ? -1 : 1;
  }
  return 0;
}

/** Whether a declaration wins over another (CSS Cascade 5 §6). */
function wins(a: Candidate, b: Candidate): boolean {
  const important = a.declaration.important;
  if (important !== b.declaration.important) return important;
  const layered = byLayer(a.layer, b.layer);
  // Of what is important the first layer wins.
  if (layered) return important ? layered < 0 : layered > 0;
  return (bySpecificity(a.specificity, b.specificity) || a.order - b.order) > 0;
}

const NOTHING: Computed = { values: new Map(), invalid: new Set() };

const SCHEMES = /\b(?:light|dark)\b/gi;
const matters = ({ property }: SheetDeclaration) =>
  property.startsWith('--') || property.toLowerCase() === 'color-scheme';

/** Works out what a style sheet's custom properties come to on pages, as a browser does. */
export function pageOf({ blocks, registered, layers }: SheetRules): (state: PageState) => PageValues {
  const layerOf = layerOrder(layers);
  const rules = blocks.flatMap((block, order): PageRule[] => {
    if (!block.declarations.some(matters)) return [];
    const selectors = block.selectors.flatMap((selector) => readPageSelector(selector) ?? []);
    return selectors.length ? [{ block, selectors, layer: layerOf(block.layer), order }] : [];
  });
  const initial = (name: string) => registered.get(name)?.initial ?? null;
  const isTyped = (name: string) => (registered.get(name)?.syntax ?? '*') !== '*';
  const isValid = (name: string, value: string) =>
    registered.get(name)?.syntax !== '<color>' || parseColor(value).ok || /^currentcolor$/i.test(value);

  const registry: Registry = { initial, isTyped, isValid };

  return ({ marks, device }) => {
    const root: PageElement = {
      tag: 'html',
      classes: new Set(marks.flatMap((mark) => (mark.kind === 'class' ? mark.value : []))),
      attributes: new Map(
        marks.flatMap((mark) => (mark.kind === 'attribute' ? [[mark.name, mark.value] as const] : [])),
      ),
    };
    const body: PageElement = { tag: 'body', classes: new Set(), attributes: new Map() };
    const winners = (element: PageElement) => {
      const best = new Map<string, Candidate>();
      for (const { block, selectors, layer, order } of rules) {
        if (!block.around.every((one) => isThere(one, device))) continue;
        let specificity: Specificity | null = null;
        for (const selector of selectors)
          if (
            selector.matches(element, root) &&
            (specificity === null || bySpecificity(selector.specificity, specificity) > 0)
          )
            specificity = selector.specificity;
        if (specificity === null) continue;
        for (const declaration of block.declarations) {
          if (!matters(declaration)) continue;
          const one: Candidate = { declaration, block, layer, specificity, order };
          const before = best.get(declaration.property);
          // Of one rule the last counts.
          if (!before || !wins(before, one)) best.set(declaration.property, one);
        }
      }
      return best;
    };
    const declaredBy = (best: ReadonlyMap<string, Candidate>) =>
      new Map(
        [...best].flatMap(([name, { declaration }]) =>
          name.startsWith('--') ? [[name, declaration.value] as const] : [],
        ),
      );
    const onRoot = winners(root);
    const onBody = winners(body);
    const ofRoot = computedProperties(declaredBy(onRoot), NOTHING, registry);
    const isInherited = (name: string) => registered.get(name)?.inherits !== false;
    const inherited = {
      values: new Map([...ofRoot.values].filter(([name]) => isInherited(name))),
      invalid: new Set([...ofRoot.invalid].filter(isInherited)),
    };
    const { values, invalid } = computedProperties(declaredBy(onBody), inherited, registry, ofRoot);
    const properties = new Map<string, PageProperty>();
    for (const [name, value] of values) {
      const from = onBody.get(name) ?? onRoot.get(name);
      if (from) properties.set(name, { value, declaration: from.declaration, block: from.block });
    }
    // What nobody sets is what it was registered with.
    for (const [name, { initial: value, block }] of registered)
      if (!values.has(name) && !invalid.has(name) && value !== null && block)
        properties.set(name, { value, declaration: block.declarations[0]!, block });
    const schemes =
      (onBody.get('color-scheme') ?? onRoot.get('color-scheme'))?.declaration.value.match(SCHEMES) ?? [];
    const known = schemes.map((one) => one.toLowerCase());
    const scheme = known.includes(device.scheme) ? device.scheme : known[0] === 'dark' ? 'dark' : 'light';
    return { properties, scheme };
  };
}
