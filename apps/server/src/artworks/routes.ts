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

/** Fetches a page with its style sheets, or a drawing, by its address, as text. Nothing of it is kept. */
function artworkFetcher(fetching: FetchOptions) {
  const textOf = async (address: string, wanted: Wanted, left: AbortSignal) => {
    const { url, incoming } = await fetchFromWeb(address, wanted, fetching, left);
    try {
      return { url, text: await readFile(incoming.file, 'utf8') };
    } finally {
      await incoming.remove();
    }
  };
  return async (asked: string, left: AbortSignal): Promise<FetchedArtwork> => {
    const { url, text } = await textOf(asked, PAGE, left);
    // A sheet stands for itself; what a sheet takes in comes before it, as it does on a page.
    const isPage = /<[a-z!]/i.test(text);
    const found: { address: string; text: string }[] = [];
    const seen = new Set<string>(isPage ? [] : [url.href]);
    const take = async (address: string, depth: number): Promise<void> => {
      if (seen.has(address) || seen.size >= MOST_SHEETS) return;
      seen.add(address);
      // One that cannot be had leaves the others; the page says that it is not there.
      const sheet = await textOf(address, SHEET, left).then(
        (one) => one.text,
        () => '',
      );
      if (depth < DEEPEST_IMPORT)
        for (const inner of resolvedAt(importsOf(sheet), address)) await take(inner, depth + 1);
      found.push({ address, text: sheet });
    };
    const first = isPage ? resolvedAt(stylesheetsOf(text), url.href) : resolvedAt(importsOf(text), url.href);
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
  };
}

/** `/api/projects/:id/artworks`: what is at an address, for a project. */
export async function artworkRoutes(
  app: FastifyInstance,
  { fetching }: { fetching: FetchOptions },
): Promise<void> {
  const fetched = artworkFetcher(fetching);
  app.post<OfOne>(
    '/fetched',
    { ...needs({ project: 'edit' }), schema: { params: projectParams, body: fetchBody } },
    ({ body: { address } }, reply) => fetched(address, leftSignal(reply)),
  );
}

/** `/api/artworks`: the same before there is a project, which may begin with it. */
export async function artworksToBeginRoutes(
  app: FastifyInstance,
  { fetching }: { fetching: FetchOptions },
): Promise<void> {
  const fetched = artworkFetcher(fetching);
  app.post<Pick<OfOne, 'Body'>>(
    '/fetched',
    { ...needs('person'), schema: { body: fetchBody } },
    ({ body: { address } }, reply) => fetched(address, leftSignal(reply)),
  );
}
