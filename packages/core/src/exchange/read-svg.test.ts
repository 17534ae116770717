import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { readSvg } from './read-svg.ts';
import { svgGradients } from './svg-gradients.ts';

const STOPS = '<stop offset="0" stop-color="#0b5f6b"/><stop offset="1" stop-color="currentColor"/>';
const svgOf = (text: string) => {
  const read = readSvg(text);
  if (!read.ok) throw new Error(read.reason);
  return read.svg;
};
const reasonOf = (text: string) => {
  const read = readSvg(text);
  return read.ok ? null : read.reason;
};

describe('an SVG file', () => {
  it('is read for its gradients and styles, wherever they stand, with the colour that holds there', () => {
    const svg = svgOf(`<?xml version="1.0"?>
      <!DOCTYPE svg [<!ENTITY ns_svg "http://www.w3.org/2000/svg"><!ENTITY deep "&ns_svg;">]>
      <svg xmlns="&ns_svg;" viewBox="0 0 9 9" color="red"><g style="fill: none; color: teal"><g>
        <linearGradient id="a" x2="&amp;">${STOPS}<title><stop/></title></linearGradient></g></g>
        <x:radialGradient xmlns:x="&ns_svg;" id="b">${STOPS}</x:radialGradient>
        <style>.a { stop-color: red }<![CDATA[ .b > .c {} ]]></style>
      </svg>`);
    expect(svg).toMatchObject({ name: 'svg', attributes: { viewBox: '0 0 9 9' } });
    const [a, b, style] = svg.children;
    expect(style).toMatchObject({ name: 'style', text: '.a { stop-color: red } .b > .c {} ' });
    expect(a).toMatchObject({ name: 'linearGradient', attributes: { id: 'a', x2: '&', color: 'teal' } });
    expect(b).toMatchObject({ name: 'radialGradient', attributes: { id: 'b', color: 'red' } });
    expect([a!.children.length, b!.children.length]).toEqual([2, 2]);
  });

  it('may be a piece of one', () => {
    const { children } = svgOf(
      `<defs><linearGradient id="a" xlink:href="#b">${STOPS}</linearGradient></defs>`,
    );
    expect(children).toMatchObject([{ attributes: { id: 'a', 'xlink:href': '#b' } }]);
  });

  test.each([
    ['<svg><linearGradient id="Deck"><stop', /no well-formed SVG: .*\(line 1, character 3\d\)\.$/],
    ['<linearGradient>\n<stop></linearGradient>', /: <stop> is not closed \(line 2, /],
    ['<svg>&nothing;</svg>', /undefined entity.*\(line 1, /],
    ['<svg a="1" a="2"/>', /duplicate attribute: a/],
  ])('%s is told what is wrong with it and where', (text, reason) => {
    expect(reasonOf(text)).toMatch(reason);
  });

  it('is read in time however it was made, and however deep', () => {
    // What would be 10^12 characters if it were followed.
    const entities = Array.from({ length: 12 }, (_, i) => `<!ENTITY e${i + 1} "${`&e${i};`.repeat(10)}">`);
    const bomb = `<!DOCTYPE svg [<!ENTITY e0 "ha">${entities.join('')}]><svg><text>&e12;</text></svg>`;
    expect(reasonOf(bomb)).toMatch(/undefined entity \(line 1, /);
    const deep = `<svg color="teal">${'<g>'.repeat(50_000)}${`<linearGradient>${STOPS}</linearGradient>`.repeat(9000)}${'</g>'.repeat(50_000)}</svg>`;
    expect(svgGradients(svgOf(deep))).toHaveLength(9000);
    const styles = `<svg>${'<style/>'.repeat(500_000)}</svg>`;
    expect(svgOf(styles).children).toHaveLength(500_000);
    const stops = `<svg><linearGradient>${STOPS.repeat(20_000)}</linearGradient></svg>`;
    expect(svgOf(stops).children[0]!.children).toHaveLength(1000);
  });

  it('never throws, whatever it is', () => {
    const piece = fc.constantFrom(
      '<svg',
      '>',
      '<g>',
      '</g>',
      '<stop/>',
      '&',
      '&#0;',
      '"',
      '<!--',
      ']]>',
      '<?',
      '\u0000',
      'a',
      '=',
    );
    fc.assert(
      fc.property(fc.array(fc.oneof(piece, fc.string()), { maxLength: 30 }), (pieces) => {
        const read = readSvg(pieces.join(''));
        expect(read.ok || read.reason).toBeTruthy();
      }),
      { numRuns: runs(20_000) },
    );
  });
});
