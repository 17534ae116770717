import type { SvgElement } from '@mint-lamp/core/exchange/svg-gradients';

/** Elements of a file that are read; what lies beyond is left out. */
const MOST_ELEMENTS = 20_000;

/** An SVG file, or a piece of one, as its elements; null where it is not well-formed. Nothing of it is shown or run. */
export function readSvg(text: string): SvgElement | null {
  const whole = /<svg[\s>]/.test(text)
    ? text
    : `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink">${text}</svg>`;
  const parsed = new DOMParser().parseFromString(whole.trim(), 'image/svg+xml');
  if (parsed.querySelector('parsererror')) return null;
  let left = MOST_ELEMENTS;
  const read = (element: Element): SvgElement => {
    left -= 1;
    return {
      name: element.localName,
      attributes: Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value])),
      children: left > 0 ? [...element.children].map(read) : [],
    };
  };
  return read(parsed.documentElement);
}
