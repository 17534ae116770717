import { describe, expect, it } from 'vitest';
import { emptyDocument } from './document.ts';
import { documentSchema } from './document-schema.ts';

describe('an empty document', () => {
  it('is valid', () => {
    expect(
      documentSchema.validate(emptyDocument('New', [{ id: 'light', name: 'Light' }])).error,
    ).toBeUndefined();
  });
});
