import type { Form } from '../form.ts';

/** A command of version 4 as one of version 5: none has changed, some have come. */
export const command = (old: Form): Form => old;
