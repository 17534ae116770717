/** A collected colour in the tray. */
export interface Swatch {
  readonly id: string;
  readonly name: string;
  readonly color: string;
}

export const MOST_SWATCHES = 1000;
