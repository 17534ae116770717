import type { Form } from '../form.ts';

/**
 * A document of version 5 as one of version 6, in which gradients can paint roles, lie in groups and be favourites. All of
 * that may be left out.
 */
export const document = (old: Form): Form => ({ ...old, version: 6 });
