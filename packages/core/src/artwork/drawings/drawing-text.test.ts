import { describe, expect, it } from '@jest/globals';
import { gzipSync } from 'fflate';
import { drawingText } from './index.js';

const svg = '<svg><g id="Größe – 寿司"/></svg>';
const textOf = (bytes: Uint8Array): string => {
  const result = drawingText(bytes);
  return result.ok ? result.value : result.problems[0]!.message;
};
const utf16 = (text: string, little: boolean, mark: boolean): Uint8Array => {
  const bytes = new Uint8Array(2 * text.length);
  const view = new DataView(bytes.buffer);
  for (let at = 0; at < text.length; at += 1) view.setUint16(2 * at, text.charCodeAt(at), little);
  return mark ? Uint8Array.of(...(little ? [0xff, 0xfe] : [0xfe, 0xff]), ...bytes) : bytes;
};

describe('the text of a drawing file', () => {
  it('is read in UTF-8 and UTF-16, with a mark or without', () => {
    expect(textOf(new TextEncoder().encode(svg))).toBe(svg);
    for (const little of [true, false])
      for (const mark of [true, false]) expect(textOf(utf16(svg, little, mark))).toBe(svg);
  });

  it('is read as an XML file says it is written', () => {
    const text = '<?xml version="1.0" encoding="ISO-8859-1"?><svg><g id="Größe"/></svg>';
    expect(textOf(Uint8Array.from(text, (each) => each.charCodeAt(0)))).toBe(text);
    const odd = '<?xml version="1.0" encoding="klingon"?><svg/>';
    expect(textOf(new TextEncoder().encode(odd))).toBe(odd);
  });

  it('is unpacked, but no further than a drawing can be large', () => {
    expect(textOf(gzipSync(new TextEncoder().encode(svg)))).toBe(svg);
    expect(textOf(gzipSync(new Uint8Array(60_000_000)))).toContain('larger than 12 MB');
    expect(textOf(Uint8Array.of(0x1f, 0x8b, 8, 0, 1, 2, 3, 4, 5, 6, 7, 8))).toContain('broken');
  });
});
