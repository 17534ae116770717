/** What one can ask about: what it is, and why one would want it, each in a sentence. */
export interface HelpEntry {
  readonly id: string;
  readonly title: string;
  readonly what: string;
  readonly why: string;
  /** Other words by which it is found. */
  readonly also?: string;
  /** A picture where that says more. */
  readonly picture?: 'complement' | 'shares' | 'sizes' | 'spaces' | 'axis';
}
