import type { Form } from '../form.ts';

/** A colour of the tray with the group and the time that it has since version 3. */
export const swatch = (old: Form): Form => ({ ...old, group: '', added: 0 });
