import { cleanSvg } from '../svg/clean-svg.ts';

/** Drawings of the ferry company as they were handed over: with classes, gradients and parts that are used. */

export const FERRY_DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 240 160">
<style>.hull{fill:#123f4a}.band{fill:#e2552b}.glass{fill:#bfe3e4}</style>
<defs><linearGradient id="sky" x2="0" y2="1"><stop stop-color="#f3e7cf"/><stop offset="1" stop-color="#bcdcdd"/></linearGradient><g id="window"><rect width="14" height="10" rx="2" class="glass"/></g></defs>
<rect width="240" height="160" rx="12" fill="url(#sky)"/>
<circle cx="186" cy="44" r="20" fill="#e9b23c"/>
<path d="M0 92c30-16 52-20 84-8s52 6 84-10 48-8 72 4v50H0z" fill="#7fa9a6"/>
<path d="M0 116h240v32a12 12 0 0 1-12 12H12a12 12 0 0 1-12-12z" fill="#2c7580"/>
<path d="M44 96h150l-16 30H60z" class="hull"/><path d="M48 102h142l-3 6H52z" class="band"/>
<path d="M74 74h84v22H74z" fill="#f7f4ec"/><path d="M96 56h40v18H96z" fill="#f7f4ec"/><path d="M108 38h14v18h-14z" class="band"/>
<use href="#window" x="80" y="80"/><use href="#window" x="100" y="80"/><use href="#window" x="120" y="80"/><use href="#window" x="140" y="80"/><use href="#window" x="108" y="60"/>
<path d="M30 134q10-6 20 0t20 0 20 0 20 0 20 0 20 0 20 0 20 0" fill="none" stroke="#bfe3e4" stroke-width="3"/>
</svg>`;

export const LAMP_HOUSE_DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 160">
<path d="M0 132c20-12 44-16 62-10s38 4 58-4v42H0z" fill="#5b6f5a"/>
<path d="M50 40h24l8 90H42z" fill="#f7f4ec"/><path d="M48.600 58h27l1.600 18H47zM45.700 90h33l1.600 18H44z" fill="#b8234a"/>
<path d="M46 40h32v-8H46z" fill="#2d3436"/><path d="M52 18h20v14H52z" fill="#e9b23c"/><path d="M48 18h28L62 6z" fill="#2d3436"/>
<path d="M72 22l44-12v30zM52 22L8 10v30z" fill="#e9b23c" opacity="0.35"/>
<path d="M58 112h8v18h-8z" style="fill:#123f4a"/>
</svg>`;

/** A drawing as a project keeps it. Throws where it is none. */
export function cleanDrawing(text: string): string {
  const cleaned = cleanSvg(text);
  if (!cleaned.ok) throw new Error(cleaned.reason);
  return cleaned.svg;
}
