import type { SvgElement } from '@mint-lamp/core/exchange/svg-element';

/** Gradients of a file that are read, and stops of one; what lies beyond is left out. */
const MOST_GRADIENTS = 20_000;
const MOST_STOPS = 1000;

const attributesOf = (element: Element): Record<string, string> =>
  Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value]));

/** What `currentColor` is for an element, as far as attributes and styles of it and those around it say. */
function currentColorOf(element: Element): string | null {
  for (let one: Element | null = element; one; one = one.parentElement) {
    const styled = /(?:^|;)\s*color\s*:\s*([^;]+)/.exec(one.getAttribute('style') ?? '')?.[1];
    const color = styled?.trim() ?? one.getAttribute('color');
    if (color && color !== 'inherit') return color;
  }
  return null;
}

function readGradient(element: Element): SvgElement {
  const stops = [...element.children].filter(({ localName }) => localName === 'stop').slice(0, MOST_STOPS);
  const color = currentColorOf(element);
  return {
    name: element.localName,
    attributes: { ...attributesOf(element), ...(color ? { color } : {}) },
    children: stops.map((stop) => ({ name: 'stop', attributes: attributesOf(stop), children: [] })),
  };
}

/**
 * The gradients of an SVG file, or of a piece of one, with its styles, beneath its root; null where it is not
 * well-formed. Nothing of it is shown or run.
 */
export function readSvg(text: string): SvgElement | null {
  const whole = /<svg[\s>]/.test(text)
    ? text
    : `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink">${text}</svg>`;
  const parsed = new DOMParser().parseFromString(whole.trim(), 'image/svg+xml');
  if (parsed.querySelector('parsererror')) return null;
  const root = parsed.documentElement;
  const gradients = [...parsed.querySelectorAll('linearGradient, radialGradient')].slice(0, MOST_GRADIENTS);
  const styles = [...parsed.querySelectorAll('style')].map((style) => style.textContent ?? '');
  return {
    name: root.localName,
    attributes: attributesOf(root),
    children: [
      ...styles.map((css) => ({ name: 'style', attributes: {}, children: [], text: css })),
      ...gradients.map(readGradient),
    ],
  };
}
