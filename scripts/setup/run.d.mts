export function whyNoSudo(
  result: { readonly error?: Error & { code?: string }; readonly status: number | null },
  packages: readonly string[],
  why: string,
): string | null;
