/** A thing of an earlier form: an object whose keys its step knows. */
export type Stored = Readonly<Record<string, unknown>>;
