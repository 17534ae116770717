import { ofThisPerson } from './ask.ts';

/** Tells the server something while the page is being left, when nothing else is sent to its end. */
export function sayLeaving(address: string, body: object): void {
  void fetch(`/api${address}`, {
    method: 'POST',
    keepalive: true,
    headers: { ...ofThisPerson(), 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => {});
}
