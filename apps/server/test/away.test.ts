import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { describe, expect, it, test } from 'vitest';
import { isDatabaseAway } from '../src/database/away.ts';
import { DEMO_PROJECTS } from '../src/demo/load.ts';
import { previewOf } from '../src/projects/preview.ts';

const coded = (code: string, message = 'x') => Object.assign(new Error(message), { code });

describe('a database that is away', () => {
  test.each([
    ['refuses connections', coded('ECONNREFUSED')],
    ['is shutting down', coded('57P01')],
    ['is starting up', coded('57P03')],
    ['lost the connection', new Error('Connection terminated unexpectedly')],
    [
      'took a query runner with it',
      Object.assign(new Error('x'), { name: 'QueryRunnerAlreadyReleasedError' }),
    ],
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

describe('the preview of a project', () => {
  it('has the shades of its families and the colours of its roles in each theme', () => {
    const preview = previewOf(SKERRY_LINE);
    expect(preview.families.map((family) => family.name)).toEqual(
      SKERRY_LINE.families.map((family) => family.name),
    );
    expect(preview.families[0]?.shades).toHaveLength(11);
    expect(preview.themes.map((theme) => theme.name)).toEqual(['Day sailing', 'Night sailing']);
    for (const { colors } of preview.themes) expect(colors).toHaveLength(24);
  });

  it('leaves out what is broken, and is small for a large project', () => {
    const families = Array.from({ length: 40 }, (_, i) => ({
      ...SKERRY_LINE.families[0]!,
      id: `f${i}`,
      name: `F${i}`,
    }));
    const preview = previewOf({ ...SKERRY_LINE, families });
    expect(preview.families).toHaveLength(8);
    expect(preview.themes[0]!.colors.length).toBeLessThan(10);
  });

  it('is there for both demo projects', () => {
    for (const { document } of DEMO_PROJECTS) expect(previewOf(document).families.length).toBeGreaterThan(3);
  });
});
