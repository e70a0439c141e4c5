import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../../base/maths/index.js';
import { outlineArea } from '../../../base/outlines/index.js';
import { read, repaired, svg } from '../../../testing/drawing-corpus/read-drawing.js';
import { repair } from '../../repair/index.js';
import { readSvg } from '../index.js';

const usual = { gapMm: 0.1, layers: null };

describe('SVG drawings, feature by feature', () => {
  it.each([
    [
      'white over black: its counters',
      '<rect width="40" height="40"/><rect x="10" y="10" width="20" height="20" fill="#fff"/>',
      1200,
    ],
    [
      'white under black, which covers it',
      '<rect width="40" height="40" fill="white"/><rect width="10" height="10"/>',
      100,
    ],
    [
      'black on white on black',
      '<rect width="40" height="40"/><rect x="10" y="10" width="20" height="20" fill="#fefefe"/><rect x="15" y="15" width="10" height="10"/>',
      1300,
    ],
    ['nothing but white', '<rect width="40" height="40" fill="#fff"/>', 1600],
    [
      'a symbol by its view box',
      '<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><use href="#s" x="5" y="5" width="20" height="20"/>',
      400,
    ],
    [
      'what a symbol hides beyond its view box',
      '<symbol id="s" viewBox="0 0 10 10"><rect width="30" height="10"/></symbol><use href="#s" width="20" height="20"/>',
      400,
    ],
    [
      'all that a frame shows of a view box of another shape',
      '<svg width="40" height="20" viewBox="0 0 10 10"><rect x="-15" width="40" height="10"/></svg>',
      800,
    ],
    [
      'a clip by every other crossing',
      '<clipPath id="c"><path clip-rule="evenodd" d="M0 0h40v40h-40zM10 10h20v20h-20z"/></clipPath><rect width="40" height="40" clip-path="url(#c)"/>',
      1200,
    ],
    [
      'a clip by a copy',
      '<defs><rect id="r" width="10" height="40"/></defs><clipPath id="c"><use href="#r" x="5"/></clipPath><rect width="40" height="40" clip-path="url(#c)"/>',
      400,
    ],
    [
      'a clip in shares of the box',
      '<clipPath id="c" clipPathUnits="objectBoundingBox"><rect width=".5" height=".25"/></clipPath><rect x="20" y="30" width="40" height="40" clip-path="url(#c)"/>',
      200,
    ],
    [
      'a clip within a clip',
      '<clipPath id="a"><rect width="30" height="30"/></clipPath><clipPath id="b"><rect x="20" width="30" height="30"/></clipPath><g clip-path="url(#a)"><rect width="60" height="60" clip-path="url(#b)"/></g>',
      300,
    ],
    [
      'descendants and children in style sheets',
      '<style>g .in{fill:none} g > rect.out{fill:red} .out.in.both{fill:none}</style><g><rect class="in" width="10" height="10"/><g><rect class="in" x="20" width="10" height="10"/></g><rect class="out" x="40" width="10" height="10"/></g><rect class="in out both" x="60" width="10" height="10"/>',
      100,
    ],
    [
      'the weightier rule, whatever their order',
      '<style>#a{fill:red} .b{fill:none} rect{fill:none}</style><rect id="a" class="b" width="10" height="10"/>',
      100,
    ],
    [
      'what a sheet holds important',
      '<style>.b{fill:red !important}</style><rect class="b" style="fill:none" width="10" height="10"/>',
      100,
    ],
    [
      'colours that are see-through',
      '<rect width="10" height="10"/><rect x="20" width="10" height="10" fill="rgba(0,0,0,0)"/><rect x="40" width="10" height="10" fill="#00000000"/>',
      100,
    ],
    ['currentColor', '<g color="red" fill="none"><rect width="10" height="10" fill="currentColor"/></g>', 100],
    ['transforms of styles', '<rect width="10" height="10" style="transform: translate(5px, 5px) scale(2)"/>', 400],
    [
      'angles and origins',
      '<clipPath id="c"><rect width="50" height="50"/></clipPath><g clip-path="url(#c)"><rect x="40" y="40" width="10" height="40" style="transform:rotate(.25turn);transform-origin:45px 45px"/></g>',
      400,
    ],
    [
      'the first of a switch that fits',
      '<switch><rect systemLanguage="xx" width="50" height="50"/><rect systemLanguage="en-GB, de" width="10" height="10"/><rect width="70" height="70"/></switch>',
      100,
    ],
    ['sizes in per cent', '<rect width="50%" height="10%"/>', 500],
    ['dashes of wide strokes', '<path d="M0 20H40" stroke="#000" stroke-width="4" stroke-dasharray="5 5"/>', 80],
  ])('read %s', (_, body, areaMm2) =>
    expect(outlineArea(repaired(read(readSvg(svg(body)))).outline)).toBeCloseTo(areaMm2, 1),
  );

  it.each([
    [
      'copies of copies without end',
      `<defs><g id="g0"><path d="M0 0h1v1z"/></g>${Array.from({ length: 11 }, (_, at) => `<g id="g${at + 1}">${`<use href="#g${at}"/>`.repeat(10)}</g>`).join('')}</defs><use href="#g11"/>`,
    ],
    ['brackets that never close', `<path transform="${'a('.repeat(400_000)}" d="M0 0h9v9z"/>`],
    ['a style sheet of one word', `<style>${'x'.repeat(800_000)}</style><path d="M0 0h9v9z"/>`],
    ['comments without end', `<style>${'/*'.repeat(800_000)}</style><path d="M0 0h9v9z"/>`],
    ['a number without end', `<rect width="${'1'.repeat(800_000)}x" height="3"/><path d="M0 0h9v9z"/>`],
    [
      'thousands of shapes on one place',
      Array.from({ length: 20_000 }, (_, at) => `<path d="M0 0h${1 + (at % 9)}v9z"/>`).join(''),
    ],
    ['dashes finer than any', '<path stroke="#000" stroke-width="5" stroke-dasharray="0.0001" d="M0 0H90000"/>'],
    [
      'clips of thousands of circles, again and again',
      `<clipPath id="c">${'<circle cx="50" cy="50" r="9"/>'.repeat(2000)}</clipPath>${'<g clip-path="url(#c)"><rect width="99" height="99"/></g>'.repeat(300)}`,
    ],
  ])('with %s end soon, read or refused', (_, body) => {
    const result = readSvg(svg(body));
    if (result.ok) repair(result.value, usual);
    else expect(result.problems[0]!.message.length).toBeGreaterThan(20);
  });

  it.each([5000, 60_000])('that are one knot of %d points are refused', (count) => {
    const random = seededRandom(7);
    const points = Array.from({ length: count }, () => `${(200 * random()).toFixed(3)} ${(200 * random()).toFixed(3)}`);
    const result = repair(read(readSvg(svg(`<path d="M${points.join('L')}z"/>`))), usual);
    expect(result.ok ? '' : result.problems[0]!.message).toContain('cross each other more than');
  });

  it.each([
    ['a colour of spaces and slashes', '<rect width="10" height="10" fill="rgb(255 255 255 / 0)"/>', 0],
    [
      'white by its shares',
      '<rect width="20" height="10"/><rect width="10" height="10" fill="rgb(100% 100% 100%)"/>',
      100,
    ],
    ['white by hue', '<rect width="20" height="10"/><rect width="10" height="10" fill="hsl(0 0% 100%)"/>', 100],
    [
      'a group that lets all through',
      '<g fill-opacity="0"><rect width="20" height="10"/></g><path d="M0 0h10v5h-10z"/>',
      50,
    ],
    [
      'not this one',
      '<style>rect:not(.a){fill:none}</style><rect class="a" width="20" height="10"/><rect x="30" width="9" height="9"/>',
      200,
    ],
    [
      'one or the other',
      '<style>:is(.a,.b){display:none}</style><rect class="b" width="20" height="10"/><path d="M0 0h1v1h-1z"/>',
      1,
    ],
    [
      'the first in its group',
      '<style>g rect:first-child{fill:none}</style><g><rect width="20" height="10"/><rect x="30" width="5" height="5"/></g>',
      25,
    ],
    [
      'the second of three',
      '<style>rect:nth-child(2){fill:none}</style><g><rect width="5" height="5"/><rect x="20" width="9" height="9"/><rect x="40" width="5" height="5"/></g>',
      50,
    ],
    [
      'what stands beside',
      '<style>path + rect{fill:none}</style><g><path d=""/><rect width="20" height="10"/><rect x="30" width="5" height="5"/></g>',
      25,
    ],
    [
      'an attribute',
      '<style>[fill="#000"]{fill:none}</style><rect fill="#000" width="20" height="10"/><rect x="30" width="5" height="5"/>',
      25,
    ],
    [
      'an id within :is before classes',
      '<style>:is(#x,.b){fill:none}.a.b{fill:#000}</style><rect class="a b" width="20" height="10"/><rect x="30" width="5" height="5"/>',
      25,
    ],
    [
      'nothing for :where',
      '<style>rect{fill:#000}:where(.a){fill:none}</style><rect class="a" width="20" height="10"/>',
      200,
    ],
    ['no hand over it', '<style>rect:hover{fill:none}</style><rect width="20" height="10"/>', 200],
  ])('go by %s', (_, body, area) => {
    const drawing = readSvg(svg(body));
    if (area === 0) return expect(drawing.ok).toBe(false);
    expect(outlineArea(repaired(read(drawing)).outline)).toBeCloseTo(area, 3);
    return expect(read(drawing).notes).toEqual([]);
  });

  it('say which transforms, selectors and clips they could not read', () => {
    const { notes } = read(
      readSvg(
        svg(
          '<style>rect:hover{fill:none}rect:has(path){fill:none}</style><rect width="10" height="10" transform="wobble(3)" clip-path="url(#nowhere)"/>',
        ),
      ),
    );
    expect(notes.join('; ')).toContain('some rules of its style sheets');
    expect(notes.join('; ')).toContain('a transform on line 1');
    expect(notes.join('; ')).toContain('the clip “nowhere”');
  });

  it('with entities of older programs are read', () => {
    const text = `<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "a" [<!ENTITY ns_svg "http://www.w3.org/2000/svg">]><svg xmlns="&ns_svg;" width="10mm" height="10mm" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>`;
    expect(outlineArea(repaired(read(readSvg(text))).outline)).toBeCloseTo(100, 6);
  });
});
