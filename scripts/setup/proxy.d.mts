export function ensureProxy(): string;
