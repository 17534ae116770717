/** What goes over the wire about pictures; written once for both ends. */

/** A picture that the server keeps for a project now. */
export interface KeptAnswer {
  /** SHA-256 of the file as it is kept, hex. */
  readonly content: string;
  /** px, upright. */
  readonly width: number;
  readonly height: number;
}

/** The name of the made-up picture library; `.example` leads nowhere outside (RFC 2606). */
export const LIBRARY_HOST = 'pictures.skerry-line.example';

export interface LibraryAnswer {
  readonly pictures: readonly { readonly title: string; readonly address: string }[];
  /** Drawings and pages. */
  readonly artworks: readonly { readonly title: string; readonly address: string }[];
  /** A developer's page that follows a live style sheet, which is told behind its `#`; null where there is none. */
  readonly prototype: string | null;
}
