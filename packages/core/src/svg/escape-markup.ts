/** A text as it may stand in XML and HTML, in an element or in an attribute in double quotes. */
export const escapeMarkup = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
