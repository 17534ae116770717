import { type BaseQueryFn, createApi } from '@reduxjs/toolkit/query/react';
import { ask, ServerError } from './ask.ts';

/** A request: an address below `/api`, got unless it says otherwise. */
interface Asked {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly address: string;
  readonly body?: unknown;
}

/** Why there is no answer, as plain data. */
type ServerFault = Pick<ServerError, 'status' | 'code' | 'message' | 'path' | 'away'>;

function plainFault(error: unknown): ServerFault {
  if (!(error instanceof ServerError)) throw error;
  const { status, code, message, path, away } = error;
  return { status, code, message, path, away };
}

const throughAsk: BaseQueryFn<Asked, unknown, ServerFault> = async ({ method = 'GET', address, body }) => {
  try {
    return { data: (await ask<unknown>(method, address, body)) ?? null };
  } catch (error) {
    return { error: plainFault(error) };
  }
};

/**
 * What the server has, as far as it was asked for: the cache of its answers, and what makes them out of date. Each area
 * puts its own requests in. The document of the open project is not among them; see `store/saving-middleware.ts`.
 */
export const api = createApi({
  reducerPath: 'server',
  baseQuery: throughAsk,
  tagTypes: ['Projects', 'Removed'],
  // What others change meanwhile is seen by whoever comes back.
  refetchOnMountOrArgChange: true,
  endpoints: () => ({}),
});

/** Why a request did not succeed, in words. */
export function reasonOf(error: unknown): string {
  const { message } = (error ?? {}) as { message?: unknown };
  return typeof message === 'string' && message ? message : 'That did not work.';
}
