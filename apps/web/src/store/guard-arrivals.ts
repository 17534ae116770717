import type { AppStore } from './store.ts';

/** Asks before the page is closed while pictures are on their way: they are nowhere but in this page. */
export function guardArrivals(store: AppStore): void {
  addEventListener('beforeunload', (event) => {
    if (store.getState().arrivals.some(({ fault }) => fault === null)) event.preventDefault();
  });
}
