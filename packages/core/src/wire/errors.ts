/** Every error that the API answers with, by code, with its HTTP status. */
export const ERROR_CODES = {
  BAD_REQUEST: 400,
  /** Asked for under a name, or by a page of a name, that is none of the server's own. */
  FOREIGN_HOST: 403,
  /** Nobody is signed in, or not any more. */
  NOT_SIGNED_IN: 401,
  /** E-mail address, passphrase or code are not right; which of them is not said. */
  WRONG_SIGN_IN: 401,
  /** The passphrase is right; a code of the second factor is asked for too. */
  FACTOR_NEEDED: 401,
  /** A share that opens with a passphrase, which was not given, or is another. */
  SHARE_LOCKED: 401,
  /** Of what is seen, this may not be done. */
  NOT_ALLOWED: 403,
  /** A change that no page of ours has sent. */
  FOREIGN_PAGE: 403,
  /** The page is of somebody else than who is signed in by now. */
  OTHER_PERSON: 409,
  /** A team or a server would be left with nobody who owns it. */
  LAST_OWNER: 409,
  /** What has something in it is not removed. */
  NOT_EMPTY: 409,
  /** Too short, or too easily guessed. */
  WEAK_PASSPHRASE: 422,
  TOO_OFTEN: 429,
  NOT_FOUND: 404,
  METHOD_NOT_ALLOWED: 405,
  TOO_SLOW: 408,
  TOO_LARGE: 413,
  WRONG_MEDIA_TYPE: 415,
  /** Bytes that are no picture of a kind that can be opened, or a broken one. */
  NOT_A_PICTURE: 422,
  /** A file that takes more time or memory than there is for one. */
  TOO_COSTLY: 422,
  /** More of something than a project may hold. */
  TOO_MANY: 409,
  /** An address that is not fetched from: of this computer or its network, or no web address at all. */
  ADDRESS_REFUSED: 422,
  /** Nothing came from an address, or not what was asked for. */
  ADDRESS_FAILED: 422,
  HEAD_TOO_LARGE: 431,
  REVISION_AHEAD: 409,
  /** A name that something else of the kind has. */
  NAME_TAKEN: 409,
  /** The project was changed by a newer version, whose schema is not known here. */
  FORM_AHEAD: 409,
  // Told as being away, since a page of any age keeps its edits and tries again then.
  PAGE_OUTDATED: 503,
  SERVER_OUTDATED: 503,
  DATABASE_AWAY: 503,
  /** More is waiting than can be kept; trying again shortly helps. */
  BUSY: 503,
  /** There is no room left where the server keeps things; what a page has done stays with it until there is. */
  DISK_FULL: 507,
  INTERNAL: 500,
} as const;

export type ErrorCode = keyof typeof ERROR_CODES;

export interface ErrorAnswer {
  readonly error: {
    readonly code: ErrorCode;
    readonly message: string;
    /** Where in the request; empty for the whole of it. */
    readonly path: string;
  };
}
