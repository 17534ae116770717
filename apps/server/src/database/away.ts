const CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ENOENT',
  // Shut down, or too many connections.
  '57P01',
  '57P02',
  '57P03',
  '53300',
  // Given up: a query or a transaction took too long.
  '57014',
  '25P03',
]);

/** Whether an error means that there is no room left on a disk, the database's or the server's own. */
export function isDiskFull(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code, cause, driverError } = error as Error & {
    code?: string;
    cause?: unknown;
    driverError?: unknown;
  };
  if (code === '53100' || code === 'ENOSPC') return true;
  return [cause, driverError].some((inner) => inner !== error && isDiskFull(inner));
}

/** Whether a query was given up because nothing answered it. */
export const isLateAnswer = (error: unknown): boolean =>
  error instanceof Error && error.message === 'Query read timeout';

/** Whether an error means that PostgreSQL cannot be reached now, and not that a query was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code, cause, errors, driverError } = error as Error & {
    code?: string;
    cause?: unknown;
    errors?: unknown[];
    driverError?: unknown;
  };
  if (isLateAnswer(error)) return true;
  // A connection that is cut in the middle of a transaction takes its query runner with it.
  if (/^QueryRunner(Provider)?AlreadyReleasedError$/.test(error.name)) return true;
  if (code && (CODES.has(code) || code.startsWith('08'))) return true;
  if (
    /Connection terminated|Client has encountered a connection error|timeout exceeded when trying to connect|not queryable|Driver not Connected/i.test(
      error.message,
    )
  )
    return true;
  return [cause, driverError, ...(errors ?? [])].some((inner) => inner !== error && isDatabaseAway(inner));
}
