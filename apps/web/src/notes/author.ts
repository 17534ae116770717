import { lasting } from '../storing/storage.ts';

const KEY = 'mint-lamp/author';

/** What the designer calls themselves in notes, as last said in this browser. */
export const author = (): string => lasting.read(KEY) ?? '';

export const rememberAuthor = (name: string): void => {
  lasting.write(KEY, name);
};
