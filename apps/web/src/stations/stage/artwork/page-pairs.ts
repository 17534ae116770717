import { isLargeText } from '@mint-lamp/core/contrast/targets';
import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import { pageColors, pagePieces, paintPage } from '@mint-lamp/core/page/page-colors';

/** A page in which every colour is one that says which it is, and the way back from that. */
export function markedPage(html: string): {
  readonly html: string;
  readonly keyOf: (css: string) => string | null;
} {
  const keys = pageColors(html).map(({ key }) => key);
  const place = new Map(keys.map((key, i) => [key, i + 1]));
  const code = (n: number) => `rgb(${n >> 8}, ${n & 255}, 77)`;
  const byCode = new Map(keys.map((key, i) => [code(i + 1), key]));
  return {
    html: paintPage(pagePieces(html), ({ key }) => code(place.get(key)!)),
    keyOf: (css) => byCode.get(css) ?? null,
  };
}

/** A text of a page and what it really stands on, by the keys of their colours. */
export interface PagePlace {
  readonly text: string;
  readonly ground: string;
  readonly size: number;
  readonly weight: number;
  readonly words: string;
}

/** Texts that are looked at. */
const MOST_TEXTS = 4000;

/** Every text of a page that is laid out, where it really stands: on the topmost ground at its middle. Each kind once, its smallest. */
export function placesOn(page: Document, keyOf: (css: string) => string | null): PagePlace[] {
  const view = page.defaultView!;
  const found = new Map<string, PagePlace>();
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  let looked = 0;
  for (let node = walker.nextNode(); node && looked < MOST_TEXTS; node = walker.nextNode()) {
    const words = node.textContent!.trim();
    if (!words) continue;
    looked++;
    const range = page.createRange();
    range.selectNodeContents(node);
    const { left, top, width, height } = range.getBoundingClientRect();
    const style = view.getComputedStyle(node.parentElement!);
    const text = keyOf(style.color);
    if (!width || !height || text === null || style.visibility === 'hidden') continue;
    let ground: string | null = null;
    for (const element of page.elementsFromPoint(left + width / 2, top + height / 2)) {
      const { backgroundColor } = view.getComputedStyle(element);
      if (backgroundColor === 'rgba(0, 0, 0, 0)') continue;
      ground = keyOf(backgroundColor);
      break;
    }
    if (ground === null) continue;
    const [size, weight] = [Number.parseFloat(style.fontSize), Number(style.fontWeight)];
    const key = `${text} on ${ground}`;
    const before = found.get(key);
    if (!before || size < before.size)
      found.set(key, { text, ground, size, weight, words: words.slice(0, 60) });
  }
  return [...found.values()];
}

/** Pairs that the places of a page make, where both colours are roles and the project has no such pair; `newId` makes ids. */
export function pairsOf(
  places: readonly PagePlace[],
  { links }: Artwork,
  pairs: readonly Pair[],
  newId: () => string,
): Pair[] {
  const known = new Set(pairs.map(({ foreground, background }) => `${foreground} ${background}`));
  return places.flatMap(({ text, ground, size, weight }) => {
    const [front, back] = [links[text], links[ground]];
    if (front?.to !== 'role' || back?.to !== 'role' || front.role === back.role) return [];
    const key = `${front.role} ${back.role}`;
    if (known.has(key)) return [];
    known.add(key);
    const [px, bold] = [
      Math.max(6, Math.round(size)),
      Math.min(900, Math.max(100, Math.round(weight / 100) * 100)),
    ];
    return [
      {
        id: newId(),
        foreground: front.role,
        background: back.role,
        target: { level: 'AA', content: isLargeText(px, bold) ? 'large' : 'body' } as const,
        size: px,
        weight: bold,
      },
    ];
  });
}
