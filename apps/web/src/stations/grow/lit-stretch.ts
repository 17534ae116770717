/** What stretch of the light axis passes a mark: below `to`, and above `from`, in L*. */
export interface LitStretch {
  readonly to: number | null;
  readonly from: number | null;
}
