/** A rule of a sheet that this program wrote: where it stands, and what it declares. */
interface Rule {
  /** The at-rules around it and its selector, outermost first. */
  readonly within: readonly string[];
  readonly declarations: Map<string, string>;
}

/** What a sheet declares, by where: of several rules that stand in the same place, together. */
type Declared = ReadonlyMap<string, Rule>;

/** Where a comment or quoted text that begins at a place ends; the place itself where none begins. */
function pastQuoted(css: string, at: number): number {
  if (css.startsWith('/*', at)) return css.indexOf('*/', at) + 2 || css.length;
  const quote = css[at];
  if (quote !== '"' && quote !== "'") return at;
  let end = at + 1;
  while (end < css.length && css[end] !== quote) end += css[end] === '\\' ? 2 : 1;
  return end + 1;
}

/** What a sheet that {@link writeCss} wrote declares, in the order in which it is written. */
export function declaredIn(css: string): Declared {
  const rules = new Map<string, Rule>();
  const open: string[] = [];
  let text = '';
  const declare = () => {
    const colon = text.indexOf(':');
    if (open.length && colon > 0) {
      const key = open.join('{');
      let rule = rules.get(key);
      if (!rule) {
        rule = { within: [...open], declarations: new Map() };
        rules.set(key, rule);
      }
      rule.declarations.set(text.slice(0, colon).trim(), text.slice(colon + 1).trim());
    }
    text = '';
  };
  for (let at = 0; at < css.length; ) {
    const past = pastQuoted(css, at);
    if (past > at) {
      if (!css.startsWith('/*', at)) text += css.slice(at, past);
      at = past;
      continue;
    }
    const sign = css[at]!;
    if (sign === '{') {
      open.push(text.trim().replace(/\s+/g, ' '));
      text = '';
    } else if (sign === '}') {
      declare();
      open.pop();
    } else if (sign === ';') declare();
    else text += sign;
    at += 1;
  }
  return rules;
}

const ruleText = ({ within }: Rule, declarations: Iterable<readonly [string, string]>): string =>
  `${within.map((part) => `${part}{`).join('')}${[...declarations].map(([name, value]) => `${name}:${value}`).join(';')}${'}'.repeat(within.length)}`;

/**
 * What has to be laid over a sheet that {@link writeCss} wrote so that it says what a later one says: rules with the
 * declarations that differ, to stand behind it. Null where something is not there any more, which nothing can be laid over.
 */
export function changesBetween(before: Declared, after: Declared): string | null {
  let changes = '';
  for (const [key, rule] of before) {
    const now = after.get(key)?.declarations;
    if (!now) return null;
    for (const name of rule.declarations.keys()) if (!now.has(name)) return null;
  }
  for (const [key, rule] of after) {
    const then = before.get(key)?.declarations;
    const differing = [...rule.declarations].filter(([name, value]) => then?.get(name) !== value);
    if (!differing.length) continue;
    // A property is registered as a whole.
    changes += ruleText(rule, rule.within.at(-1)!.startsWith('@property') ? rule.declarations : differing);
  }
  return changes;
}
