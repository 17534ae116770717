import { readFile } from 'node:fs/promises';
import { importsOf, MOST_SHEETS, stylesheetsOf } from '@mint-lamp/core/page/stylesheets-of';
import type { FetchedArtwork } from '@mint-lamp/core/wire/artworks';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { type FetchOptions, fetchFromWeb, type Wanted } from '../fetching/from-web.ts';
import { leftSignal } from '../left.ts';
import { params as projectParams } from '../projects/schemas.ts';

/** Bytes of a page or a drawing, and of one of its style sheets. */
const MOST_BYTES = 4_000_000;

const tooLarge = () =>
  new ApiError(
    'TOO_LARGE',
    `It is larger than ${MOST_BYTES / 1e6} MB, which is the most that is fetched.`,
    'body',
  );

const PAGE: Wanted = {
  one: 'page',
  many: 'pages',
  accept: 'text/html, image/svg+xml, text/css',
  bytes: MOST_BYTES,
  tooLarge,
};
const SHEET: Wanted = {
  one: 'style sheet',
  many: 'style sheets',
  accept: 'text/css',
  bytes: MOST_BYTES,
  tooLarge,
};

/** Sheets in sheets that are fetched. */
const DEEPEST_IMPORT = 3;

const resolvedAt = (hrefs: readonly string[], base: string): string[] =>
  hrefs.flatMap((href) => (URL.canParse(href, base) ? [new URL(href, base).href] : []));

const fetchBody = Joi.object({ address: Joi.string().trim().min(1).max(2000).required() }).required();

interface OfOne {
  Params: { id: string };
  Body: { address: string };
}

/** `/api/projects/:id/artworks`: fetches a page with its style sheets, or a drawing, by its address, as text. Nothing of it is kept. */
export async function artworkRoutes(
  app: FastifyInstance,
  { fetching }: { fetching: FetchOptions },
): Promise<void> {
  const textOf = async (address: string, wanted: Wanted, left: AbortSignal) => {
    const { url, incoming } = await fetchFromWeb(address, wanted, fetching, left);
    try {
      return { url, text: await readFile(incoming.file, 'utf8') };
    } finally {
      await incoming.remove();
    }
  };
  app.post<OfOne>(
    '/fetched',
    { ...needs({ project: 'edit' }), schema: { params: projectParams, body: fetchBody } },
    async ({ body: { address } }, reply): Promise<FetchedArtwork> => {
      const left = leftSignal(reply);
      const { url, text } = await textOf(address, PAGE, left);
      // A sheet stands for itself; what a sheet takes in comes before it, as it does on a page.
      const isPage = /<[a-z!]/i.test(text);
      const found: { address: string; text: string }[] = [];
      const asked = new Set<string>(isPage ? [] : [url.href]);
      const take = async (address: string, depth: number): Promise<void> => {
        if (asked.has(address) || asked.size >= MOST_SHEETS) return;
        asked.add(address);
        // One that cannot be had leaves the others; the page says that it is not there.
        const sheet = await textOf(address, SHEET, left).then(
          (one) => one.text,
          () => '',
        );
        if (depth < DEEPEST_IMPORT)
          for (const inner of resolvedAt(importsOf(sheet), address)) await take(inner, depth + 1);
        found.push({ address, text: sheet });
      };
      const first = isPage
        ? resolvedAt(stylesheetsOf(text), url.href)
        : resolvedAt(importsOf(text), url.href);
      for (const address of first) await take(address, 0);
      const sheets = found.map((one) => one.text);
      const addresses = found.map((one) => one.address);
      return {
        text,
        sheets,
        addresses,
        name:
          url.pathname
            .split('/')
            .pop()
            ?.replace(/\.\w+$/, '') || url.hostname,
      };
    },
  );
}
