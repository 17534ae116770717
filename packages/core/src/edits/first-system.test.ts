import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { after } from '../document/commands/after.fixture.ts';
import { commandSchema } from '../document/commands/command-schema.ts';
import { emptyDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import { allMeasurements, readoutOf } from '../judged/readout/readout.ts';
import { resolveSystem } from '../system/resolve.ts';
import { type FirstChoices, firstSystem } from './first-system.ts';
import { STARTER_PARTS, type StarterPart } from './roles/starter-parts.ts';

const EMPTY = emptyDocument('Skerry Line', [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
]);
const USUAL: FirstChoices = {
  colors: [{ name: 'Letterhead', color: '#0b5f6b' }],
  leads: 0,
  accent: null,
  calm: 0.5,
  level: 'AA',
  parts: new Set(STARTER_PARTS),
};
const without = (...left: StarterPart[]) => new Set(STARTER_PARTS.filter((part) => !left.includes(part)));
let n = 0;
const newId = () => {
  n += 1;
  return `x${n}`;
};
const made = (choices: Partial<FirstChoices>, doc = EMPTY) => {
  const first = firstSystem(doc, { ...USUAL, ...choices }, newId);
  const next = after(doc, first.command);
  return { ...first, next, readout: readoutOf(resolveSystem(next)) };
};

const channel = fc.integer({ min: 0, max: 255 });
const anyColor = fc
  .oneof(
    { weight: 4, arbitrary: fc.tuple(channel, channel, channel) },
    { weight: 2, arbitrary: channel.map((v) => [v, v, v] as const) },
    { weight: 1, arbitrary: fc.constantFrom([255, 255, 255], [0, 0, 0], [255, 255, 0], [0, 0, 255]) },
    // Near-twins of one another.
    { weight: 1, arbitrary: fc.integer({ min: 0, max: 3 }).map((v) => [11 + v, 95, 107] as const) },
  )
  .map((rgb) => `#${[...rgb].map((v) => v.toString(16).padStart(2, '0')).join('')}`);

describe('a first system', () => {
  it('is made of one colour: sound, in two themes, with every pair passing and its reasons told', () => {
    const { next, readout, reasons, failing } = made({});
    expect(documentSchema.validate(next).error).toBeUndefined();
    expect([failing, readout.passingOverall, readout.broken.length]).toEqual([0, readout.pairs * 2, 0]);
    expect(next.families.map(({ name }) => name)).toEqual([
      'Letterhead',
      'Neutral',
      'Good',
      'Warning',
      'Danger',
    ]);
    expect(next.families[1]!.follows).toMatchObject({ by: 'tint', family: next.families[0]!.id });
    expect(
      next.roles.find(({ group, name }) => group[0] === 'action' && name === 'fill')!.links.light,
    ).toEqual({
      to: 'base',
      family: next.families[0]!.id,
    });
    expect(reasons.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['Letterhead', 'Neutral', 'Dark']),
    );
  });

  it('takes what it is given for the neutral, notices and accent, and leaves twins out', () => {
    const { next, reasons } = made({
      colors: [
        { name: 'Deep', color: '#0b5f6b' },
        { name: 'Twin', color: '#0c606c' },
        { name: 'Slate', color: '#7a8483' },
        { name: 'Flare', color: '#b8234a' },
        { name: 'Buoy', color: '#e2552b' },
      ],
      accent: 4,
    });
    expect(next.families.map(({ name }) => name)).toEqual([
      'Deep',
      'Slate',
      'Flare',
      'Buoy',
      'Good',
      'Warning',
    ]);
    expect(reasons).toContainEqual({ what: 'Twin', why: expect.stringMatching(/nearly the same as Deep/) });
    expect(next.roles.some(({ group }) => group[0] === 'accent')).toBe(true);
    expect(made({ parts: without('notice') }).next.families).toHaveLength(2);
  });

  it('makes a second theme where there is one only, and keeps free of names that are taken', () => {
    const one = emptyDocument('Skerry Line', [{ id: 'day', name: 'Day sailing' }]);
    const { next, readout } = made({}, one);
    expect(next.themes.map(({ name }) => name)).toEqual(['Day sailing', 'Dark']);
    expect(readout.passingOverall).toBe(readout.pairs * 2);
    const again = firstSystem(
      { ...one, families: next.families },
      { ...USUAL, parts: without('notice') },
      newId,
    );
    expect(again.command.commands.filter(({ type }) => type === 'addFamily')).toMatchObject([
      { family: { name: 'Letterhead 2' } },
      { family: { name: 'Neutral 2' } },
    ]);
  });

  it('has no failing pair whatever the colours are, at AA and at AAA', () => {
    const choices = fc.record({
      colors: fc.array(anyColor, { minLength: 1, maxLength: 8 }),
      leads: fc.nat(7),
      accent: fc.option(fc.nat(7)),
      calm: fc.double({ min: 0, max: 1, noNaN: true }),
      level: fc.constantFrom('AA' as const, 'AAA' as const),
      parts: fc.subarray([...STARTER_PARTS]).map((parts) => new Set(parts)),
    });
    fc.assert(
      fc.property(choices, ({ colors, ...rest }) => {
        const named = colors.map((color, i) => ({ name: `Colour ${i + 1}`, color }));
        const { failing, command, readout } = made({ ...rest, colors: named });
        expect(commandSchema.validate(command).error).toBeUndefined();
        const wrong = allMeasurements(readout).filter(({ passes }) => !passes);
        expect(wrong.map(({ pair, theme, ratio }) => [theme, pair.foreground, ratio])).toEqual([]);
        expect(failing).toBe(0);
      }),
      { numRuns: runs(1000) },
    );
  });

  it('needs a colour', () => {
    expect(() => firstSystem(EMPTY, { ...USUAL, colors: [] }, newId)).toThrow(RangeError);
  });
});
