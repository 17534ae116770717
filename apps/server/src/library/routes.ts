import type { LibraryAnswer } from '@mint-lamp/core/wire/pictures';
import type { FastifyInstance } from 'fastify';
import { needs } from '../access/needs.ts';

/** What stands for the outside world on a machine that is not to ask it; only a demo or a test brings such. */
export interface Outside {
  /** Names of the outside, with the port of this computer that answers for each. */
  readonly standIns: ReadonlyMap<string, number>;
  /** Pictures that can be fetched there. */
  readonly pictures: LibraryAnswer['pictures'];
  /** Drawings and pages that can be fetched there. */
  readonly artworks: LibraryAnswer['artworks'];
  /** The address of a page that follows a live style sheet; null where there is none. */
  readonly prototype?: LibraryAnswer['prototype'];
}

export const NO_STAND_INS: Outside = { standIns: new Map(), pictures: [], artworks: [] };

/** `/api/library`: the pictures, drawings and pages that can be fetched without the outside world. */
export async function libraryRoutes(
  app: FastifyInstance,
  { pictures, artworks, prototype = null }: Pick<Outside, 'pictures' | 'artworks' | 'prototype'>,
) {
  app.get('/', needs('person'), async (): Promise<LibraryAnswer> => ({ pictures, artworks, prototype }));
}
