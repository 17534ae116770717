const KEY = 'mint-lamp/person';

function recall(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

/** As it was when the page was loaded: in another tab somebody else may sign in, and this page stays whose it is. */
let ofPage = recall();

/** Whom this page takes itself to be of, by their id; null for nobody, and for the one person of a demo's computer. */
export const personOfPage = (): string | null => ofPage;

/** Whom the next page of this browser is of. False where the browser keeps nothing. */
export function rememberPerson(id: string | null): boolean {
  try {
    if (id === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, id);
    return true;
  } catch {
    return false;
  }
}

/** Has this page be of whom the server says, where the browser keeps nothing that could have said it before. */
export function adoptPerson(id: string): void {
  ofPage = id;
}

/** The beginning of what is kept for a person in this browser: what one has not sent is nobody else's to send. */
export const keptFor = (what: string): string =>
  ofPage === null ? `mint-lamp/${what}/` : `mint-lamp/of/${ofPage}/${what}/`;
