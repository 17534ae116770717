/** A custom property as it is declared, and what it is declared as where more is known. */
export interface Declaration {
  readonly property: string;
  readonly value: string;
  /** Said behind it. */
  readonly remark?: string;
  /** The same colours in the wider notation, for browsers that know it. */
  readonly wider?: string;
  /** The gradient as it is mixed, for browsers that know how. */
  readonly mixed?: string;
}

/** A rule with custom properties. */
export interface Block {
  readonly heading?: string;
  readonly selectors: readonly string[];
  /** The media query that it stands in. */
  readonly media?: string;
  readonly declarations: readonly Declaration[];
  /** Parts between which a line is left free; places of their first declarations with what stands over each. */
  readonly parts?: ReadonlyMap<number, string>;
}

// Comments hold names that people typed; nothing in them may end the comment.
export const comment = (text: string) => `/* ${text.replaceAll('*/', '* /').replace(/\s+/g, ' ')} */`;

/** How much a sheet says: all, nothing but code, or that with no space in it. */
export type SheetText = 'comments' | 'plain' | 'small';

const indented = (lines: string) => lines.replace(/^(?=.)/gm, '  ');

function ruleText({ heading, selectors, declarations, parts }: Block, text: SheetText, sign: string): string {
  if (text === 'small')
    return `${selectors.join(',')}{${declarations.map(({ property, value }) => `${property}:${value}`).join(';')}}`;
  const says = text === 'comments';
  const lines = declarations.flatMap(({ property, value, remark }, i) => {
    const over = parts?.get(i);
    const line = `  ${property}: ${value};${says && remark ? ` ${comment(remark)}` : ''}`;
    if (over === undefined) return [line];
    return [...(i ? [''] : []), ...(says ? [`  ${comment(over)}`] : []), line];
  });
  const before = says && heading ? `${comment(heading)}\n` : '';
  return `${before}${selectors.join(sign)} {\n${lines.join('\n')}\n}`;
}

/** Rules as text; those that follow each other in one media query stand in it together. */
export function writeBlocks(blocks: readonly Block[], text: SheetText): string[] {
  const out: string[] = [];
  let open: { media: string; rules: string[] } | null = null;
  const close = () => {
    if (!open) return;
    const { media, rules } = open;
    out.push(
      text === 'small' ? `${media}{${rules.join('')}}` : `${media} {\n${indented(rules.join('\n\n'))}\n}`,
    );
    open = null;
  };
  for (const block of blocks) {
    if (!block.declarations.length) continue;
    const rule = ruleText(block, text, ',\n');
    if (block.media !== (open as { media: string } | null)?.media) close();
    if (!block.media) out.push(rule);
    else {
      open ??= { media: block.media, rules: [] };
      (open as { rules: string[] }).rules.push(rule);
    }
  }
  close();
  return out;
}

/**
 * The same rules with nothing but what has another value for browsers that know more, in any of them: a rule that stands
 * later than another of the same weight would else be beaten by what is laid over that.
 */
export function overlaid(blocks: readonly Block[], key: 'wider' | 'mixed'): Block[] {
  const isOther = (one: Declaration) => one[key] !== undefined && one[key] !== one.value;
  const properties = new Set(
    blocks.flatMap(({ declarations }) => declarations.filter(isOther).map(({ property }) => property)),
  );
  return blocks.flatMap(({ selectors, media, declarations }) => {
    const own = declarations
      .filter(({ property }) => properties.has(property))
      .map((one) => ({ property: one.property, value: one[key] ?? one.value }));
    return own.length ? [{ selectors, ...(media ? { media } : {}), declarations: own }] : [];
  });
}
