/** What is asked about: an entry of the list of help, and the control that was asked at. */
export interface Asked {
  readonly id: string;
  /** What the control is called; empty where none was asked at, or where the entry is its own. */
  readonly control: string;
  /** What its hint says; empty where it has none. */
  readonly says: string;
}

const CONTROL =
  'button, input, select, textarea, summary, a[href], [role=slider], [role=gridcell], [role=button], [contenteditable=true]';
const MOST_NAME = 60;

const short = (text: string | null | undefined) => (text ?? '').replace(/\s+/g, ' ').trim();

/** What a control is called, as far as a page knows it. */
function nameOf(control: HTMLElement): string {
  const labels = 'labels' in control ? (control.labels as NodeListOf<HTMLElement> | null) : null;
  const name =
    short(control.getAttribute('aria-label')) ||
    short(labels?.[0]?.textContent) ||
    (control instanceof HTMLSelectElement ? '' : short(control.textContent));
  return name.length > MOST_NAME ? `${name.slice(0, MOST_NAME - 1)}…` : name;
}

/** What the hint of a control says beyond its name. */
function hintOf(control: HTMLElement, name: string): string {
  const hint = short(control.dataset.hint ?? control.title);
  return hint === name ? '' : hint;
}

/** What the view that is open is about, by its tabs or its head. */
const ofView = () =>
  ['#station nav[data-help]', '#station header [data-help]']
    .map((at) => document.querySelector<HTMLElement>(at)?.dataset.help)
    .find((id) => id !== undefined);

/**
 * What is asked about where the pointer is, else where the focus is: what is marked with an entry of the list, and
 * within the station what the view is about. Null where neither is on a control or something marked.
 */
export function askedAbout(): Asked | null {
  const over = [...document.querySelectorAll<HTMLElement>(':hover')].at(-1);
  for (const at of [over, document.activeElement]) {
    const control = at?.closest<HTMLElement>(CONTROL);
    const marked = at?.closest<HTMLElement>('[data-help]');
    const id = marked?.dataset.help ?? (control?.closest('#station') ? ofView() : undefined);
    if (!id) continue;
    const name = control ? nameOf(control) : '';
    return { id, control: name, says: control ? hintOf(control, name) : '' };
  }
  return null;
}

/** What is asked about as one word of the interface's state, and back. */
export const wordOf = ({ id, control, says }: Asked): `help:${string}` =>
  `help:${[id, control, says].join('\n')}`;
export function askedIn(word: string): Asked {
  const [id = '', control = '', says = ''] = word.slice('help:'.length).split('\n');
  return { id, control, says };
}
