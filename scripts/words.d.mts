export function renamed(): ReadonlyMap<string, string>;
export function wordsList(): string;
