/** Style sheets of a page that are fetched. */
export const MOST_SHEETS = 12;

const LINK = /<link\b[^>]{0,2000}>/gi;
const attribute = (tag: string, name: string): string =>
  new RegExp(`\\s${name}\\s*=\\s*(?:"([^"]*)"|'([^']*)'|([^\\s>]+))`, 'i')
    .exec(tag)
    ?.slice(1)
    .find((one) => one !== undefined) ?? '';

/** The addresses of the style sheets that a page of HTML asks for, in their order, as they stand there. */
export const stylesheetsOf = (html: string): string[] =>
  [...html.matchAll(LINK)].flatMap(([tag]) => {
    const href = attribute(tag, 'href').replaceAll('&amp;', '&');
    return /\bstylesheet\b/i.test(attribute(tag, 'rel')) && href ? [href] : [];
  });

const IMPORT =
  /@import\s+(?:url\(\s*(?:"([^"]*)"|'([^']*)'|([^)\s]*))\s*\)|"([^"]*)"|'([^']*)')[^;{}]{0,300};/gi;

/** The addresses of the sheets that a sheet takes in at its beginning, in their order, as they stand there. */
export const importsOf = (css: string): string[] =>
  [
    ...css
      .slice(0, 20_000)
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .matchAll(IMPORT),
  ].flatMap(([, ...found]) => found.find((one) => one !== undefined) || []);
