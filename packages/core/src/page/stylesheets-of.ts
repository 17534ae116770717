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
