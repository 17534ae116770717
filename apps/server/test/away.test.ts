import { QueryRunnerAlreadyReleasedError, QueryRunnerProviderAlreadyReleasedError } from 'typeorm';
import { describe, expect, test } from 'vitest';
import { isDatabaseAway } from '../src/database/away.ts';

const coded = (code: string, message = 'x') => Object.assign(new Error(message), { code });

describe('a database that is away', () => {
  test.each([
    ['refuses connections', coded('ECONNREFUSED')],
    ['is shutting down', coded('57P01')],
    ['is starting up', coded('57P03')],
    ['lost the connection', new Error('Connection terminated unexpectedly')],
    ['took a query runner with it', new QueryRunnerAlreadyReleasedError()],
    ['took the one of a transaction with it', new QueryRunnerProviderAlreadyReleasedError()],
    ['is told of by several errors', Object.assign(new Error('x'), { errors: [coded('ECONNREFUSED')] })],
    ['is told of by the driver', Object.assign(new Error('x'), { driverError: coded('08006') })],
  ])('%s', (_, error) => {
    expect(isDatabaseAway(error)).toBe(true);
  });

  test.each([
    ['a wrong query', coded('42601', 'syntax error')],
    ['a broken rule', coded('23505', 'duplicate key')],
    ['any error', new Error('something else')],
    ['no error', 'ECONNREFUSED'],
  ])('is not %s', (_, error) => {
    expect(isDatabaseAway(error)).toBe(false);
  });
});
