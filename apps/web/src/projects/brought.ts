/** What was pasted or dropped where projects are listed, on its way to where one begins with it. */
export type Brought =
  | { readonly from: 'text'; readonly text: string }
  | { readonly from: 'picture'; readonly picture: File }
  | { readonly from: 'sheet'; readonly files: readonly File[] };

let waiting: Brought | null = null;

/** What of a paste or a drop one can begin with; null where there is nothing like that. */
export function broughtBy(data: DataTransfer | null): Brought | null {
  const files = [...(data?.files ?? [])];
  const picture = files.find(({ type }) => type.startsWith('image/'));
  if (picture) return { from: 'picture', picture };
  if (files.length) return { from: 'sheet', files };
  const text = data?.getData('text/plain') ?? '';
  return text.trim() ? { from: 'text', text } : null;
}

/** Lays something aside until it is asked for, once. */
export function bring(thing: Brought): void {
  waiting = thing;
}
export function takeBrought<F extends Brought['from']>(from: F): Extract<Brought, { from: F }> | null {
  const thing = waiting;
  if (thing?.from !== from) return null;
  waiting = null;
  return thing as Extract<Brought, { from: F }>;
}
