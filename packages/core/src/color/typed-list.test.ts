import { describe, expect, it } from 'vitest';
import { readTypedList } from './typed-list.ts';
import { canonical } from './write.ts';

const codes = (text: string) => readTypedList(text).colors.map((color) => canonical(color));

describe('several typed colours', () => {
  it('are parted by commas, semicolons, lines and spaces, and keep their order, also one that comes again', () => {
    const three = ['#0b5f6b', '#e2552b', '#0b5f6b'];
    for (const text of [
      '#0b5f6b, #e2552b, #0b5f6b',
      '#0b5f6b #e2552b #0b5f6b',
      '0b5f6b;e2552b\n0b5f6b',
      ' #0b5f6b,,#e2552b ;\n\n#0b5f6b,',
    ])
      expect(codes(text), text).toEqual(three);
  });

  it('are whole where commas and spaces are their own', () => {
    expect(codes('rgb(11, 95, 107), hsl(0 100% 50%) rgb(0 0 0 / 50%)')).toEqual([
      '#0b5f6b',
      '#ff0000',
      'rgb(0 0 0 / 0.5)',
    ]);
    expect(codes('dark blue, light sea-green, teal')).toEqual(codes('darkblue, lightseagreen, teal'));
  });

  it('tell the first that is none, with where it is and what may be meant; the others are read', () => {
    const text = 'navy, #e2552 , teal, #12345';
    const { colors, fault } = readTypedList(text);
    expect(colors).toHaveLength(2);
    expect(fault).toMatchObject({ text: '#e2552', index: text.indexOf('#e2552') });
    expect(fault!.corrections.length).toBeGreaterThan(0);
    expect(fault!.reason).toMatch(/hex/i);
  });

  it('are none of nothing, and a bracket that is not closed takes what follows with it', () => {
    expect(readTypedList(' \n, ;')).toEqual({ colors: [], fault: null });
    const { colors, fault } = readTypedList('rgb(1 2, teal');
    expect(colors).toEqual([]);
    expect(fault).toMatchObject({ text: 'rgb(1 2, teal', index: 0 });
  });
});
