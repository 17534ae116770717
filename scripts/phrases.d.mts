export function allPhrases(): ReadonlyMap<string, readonly string[]>;
