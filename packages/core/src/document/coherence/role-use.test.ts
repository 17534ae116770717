import { describe, expect, it, test } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { nearShades } from '../../system/near-shades.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { after } from '../commands/after.fixture.ts';
import type { ProjectDocument } from '../document.ts';
import { findTargets } from '../naming/find-targets.ts';
import { meetingOf, usageOf } from './role-use.ts';

const useIn = (doc: ProjectDocument, id: string) =>
  usageOf(doc.roles.find((role) => role.id === id)!, doc.pairs);

describe('what a role is for', () => {
  test.each([
    ['page-ground', 'ground'],
    ['page-sunken', 'ground'],
    ['text-quiet', 'text'],
    ['text-link', 'text'],
    ['line-soft', 'line'],
    ['action-fill', 'fill'],
    ['action-hover', 'fill'],
    ['action-text', 'text'],
    ['focus-ring', 'ring'],
    ['hero-veil', 'ground'],
    ['notice-delay-ground', 'ground'],
    ['notice-delay-text', 'text'],
    // Neither name says anything: it stands on a ground as text does.
    ['board-quiet', 'text'],
  ])('%s is %s by its name or its pairs', (id, use) => {
    expect(useIn(SKERRY_LINE, id)).toBe(use);
  });

  it('can be set, and taken back', () => {
    const set = after(SKERRY_LINE, { type: 'setUse', role: 'board-quiet', use: 'line' });
    expect(useIn(set, 'board-quiet')).toBe('line');
    expect(useIn(after(set, { type: 'setUse', role: 'board-quiet', use: null }), 'board-quiet')).toBe('text');
  });

  it('is known with what it meets', () => {
    expect(meetingOf(SKERRY_LINE.pairs, 'action-fill')).toMatchObject({
      ground: 'page-ground',
      text: 'action-text',
      isGraphics: true,
    });
    expect(meetingOf(SKERRY_LINE.pairs, 'page-sunken')).toMatchObject({
      ground: null,
      text: null,
      pairs: [],
    });
  });
});

describe('typed targets', () => {
  test.each([
    ['dee 7', 'Deepwater 700'],
    ['deepwater 50', 'Deepwater 50'],
    ['dee b', 'Deepwater base'],
    ['LAN 3', 'Lantern 300'],
    ['text ma', 'text.main'],
    ['notice.delay.text', 'notice.delay.text'],
    ['shingle', 'Shingle base'],
  ])('%s is %s', (text, name) => {
    expect(findTargets(SKERRY_LINE, text)[0]?.name).toBe(name);
  });

  it('are none where a word fits nothing, and few otherwise', () => {
    expect(findTargets(SKERRY_LINE, 'dee quiet')).toEqual([]);
    expect(findTargets(SKERRY_LINE, '  ')).toEqual([]);
    expect(findTargets(SKERRY_LINE, 'e')).toHaveLength(8);
  });
});

it('shades near a plain colour come nearest first, with their distance', () => {
  const system = resolveSystem(SKERRY_LINE);
  const near = nearShades(system, '#0c606c');
  expect(near[0]).toMatchObject({ name: 'Deepwater base', link: { to: 'base', family: 'deepwater' } });
  expect(near.map(({ difference }) => difference)).toEqual(
    near.map(({ difference }) => difference).toSorted((a, b) => a - b),
  );
  expect(nearShades(system, '#ff00ff')).toEqual([]);
  expect(nearShades(system, 'rgb(11 95 107 / 0.5)')).toEqual([]);
});
