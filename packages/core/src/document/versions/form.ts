/** A thing of an earlier form: an object whose keys its step knows. */
export type Form = Readonly<Record<string, unknown>>;
