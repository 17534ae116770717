/** The appearance of the application itself, not of the project that is being coloured. Its colours are a project of ours
 * too (`demo/interface.ts`), whose themes are called dresses. */
export type Appearance = 'light' | 'dark';

const KEY = 'mint-lamp/dress';

export function currentAppearance(): Appearance {
  return document.documentElement.dataset.theme === 'dark-dress' ? 'dark' : 'light';
}

export function setAppearance(appearance: Appearance): void {
  document.documentElement.dataset.theme = `${appearance}-dress`;
  try {
    localStorage.setItem(KEY, appearance);
  } catch {
    // Without storage it lasts until the page is closed.
  }
}

const SURROUND = 'mint-lamp/surround';

/** Whether the station lies on mid-grey (L* 50), for judging colour. */
export function surroundIsOn(): boolean {
  try {
    return localStorage.getItem(SURROUND) === 'on';
  } catch {
    return false;
  }
}

export function rememberSurround(on: boolean): void {
  try {
    localStorage.setItem(SURROUND, on ? 'on' : 'off');
  } catch {
    // Without storage it lasts until the page is closed.
  }
}
