let region: HTMLElement | null = null;

/** Says something to whoever listens to the page: what a drag has come to, as it is not read by itself. */
export function announce(text: string): void {
  if (!region) {
    region = document.createElement('div');
    region.setAttribute('aria-live', 'polite');
    region.className = 'sr-only';
    region.dataset.announced = '';
    document.body.append(region);
  }
  region.textContent = text;
}
