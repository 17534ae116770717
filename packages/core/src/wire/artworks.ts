/** A page or a drawing as it was fetched by its address. */
export interface FetchedArtwork {
  readonly text: string;
  /** The style sheets that it asks for, in their order; empty where one could not be had. */
  readonly sheets: readonly string[];
  /** Where those are. */
  readonly addresses: readonly string[];
  /** What it is called at its address. */
  readonly name: string;
}
