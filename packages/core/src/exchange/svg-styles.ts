import type { SvgElement } from './svg-element.ts';

/** Declarations of one simple selector: a name, a class, an id, or a name with one of them. */
interface StyleRule {
  readonly name: string | null;
  readonly className: string | null;
  readonly id: string | null;
  readonly declarations: ReadonlyMap<string, string>;
}

/** Rules of a file that are looked at. */
const MOST_RULES = 5000;
const RULE = /([^{}]{1,2000})\{([^{}]{0,20000})\}/g;
const SIMPLE = /^([a-z][\w-]*)?(?:\.([\w-]+)|#([\w-]+))?$/i;

function declarationsOf(text: string): Map<string, string> {
  const found = new Map<string, string>();
  for (const one of text.split(';')) {
    const at = one.indexOf(':');
    if (at > 0)
      found.set(
        one.slice(0, at).trim().toLowerCase(),
        one
          .slice(at + 1)
          .replace(/!important\s*$/i, '')
          .trim(),
      );
  }
  return found;
}

/**
 * What the styles of an SVG file say of its elements: rules whose selector is a name, a class or an id, as drawing
 * programs write them; others are passed over. Gives what holds for a property of an element: its own `style` first, then
 * rules by id, class and name, then its attribute.
 */
export function svgStyles(
  css: readonly string[],
): (element: SvgElement, property: string) => string | undefined {
  const rules: StyleRule[] = [];
  for (const text of css)
    for (const [, selectors = '', body = ''] of text.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(RULE)) {
      const declarations = declarationsOf(body);
      for (const selector of selectors.split(',')) {
        const simple = SIMPLE.exec(selector.trim());
        if (!simple || !selector.trim() || rules.length >= MOST_RULES) continue;
        const [, name = null, className = null, id = null] = simple;
        rules.push({ name, className, id, declarations });
      }
    }
  const byKey = new Map<string, StyleRule[]>();
  for (const rule of rules) {
    const key = rule.id ? `#${rule.id}` : rule.className ? `.${rule.className}` : (rule.name ?? '');
    const list = byKey.get(key);
    if (list) list.push(rule);
    else byKey.set(key, [rule]);
  }
  const latest = (keys: readonly string[], element: SvgElement, property: string) => {
    const all = keys.flatMap((key) => byKey.get(key) ?? []);
    return all
      .filter((rule) => (!rule.name || rule.name === element.name) && rule.declarations.has(property))
      .at(-1)
      ?.declarations.get(property);
  };
  return (element, property) => {
    const { attributes, name } = element;
    const own = attributes.style ? declarationsOf(attributes.style).get(property) : undefined;
    const classes = (attributes.class ?? '').split(/\s+/).filter(Boolean);
    return (
      own ??
      (attributes.id ? latest([`#${attributes.id}`], element, property) : undefined) ??
      latest(
        classes.map((one) => `.${one}`),
        element,
        property,
      ) ??
      latest([name], element, property) ??
      attributes[property]?.trim()
    );
  };
}
