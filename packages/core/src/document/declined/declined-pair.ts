/** A pair that was suggested and is not wanted, with the reason. Role ids. */
export interface DeclinedPair {
  readonly id: string;
  readonly foreground: string;
  readonly background: string;
  readonly reason: string;
}

export const MOST_DECLINED = 4000;
