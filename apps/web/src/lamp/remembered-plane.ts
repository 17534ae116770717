import { lasting } from '../storing/storage.ts';

const KEY = 'mint-lamp/plane';

/** Whether lightness and chroma are shown as a plane, as last chosen in this browser. */
export const planeIsOpen = (): boolean => lasting.read(KEY) === 'open';

export const rememberPlane = (open: boolean): void => {
  lasting.write(KEY, open ? 'open' : 'closed');
};
