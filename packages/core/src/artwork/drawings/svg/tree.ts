import { SaxesParser } from 'saxes';
import { failure, success, type Problem, type Result } from '../../../base/result.js';
import { limits } from '../limits.js';

/** An element of an SVG file. */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: Element[];
  readonly parent: Element | null;
  readonly line: number;
  /** Text within, of style sheets only. */
  text: string;
}

const local = (name: string): string => name.slice(name.indexOf(':') + 1);

/** The longest list of declarations (characters). */
const longestDoctype = 100_000;

/**
 * The elements of an SVG file as a tree. No entity is ever expanded but the five of XML and character numbers: those that a
 * file declares stand for nothing. Files that carry scripts, or nest or repeat beyond all reason, are refused.
 */
export const readTree = (text: string): Result<Element> => {
  const parser = new SaxesParser({ position: true, xmlns: false });
  let problem: Problem | null = null;
  let root: Element | null = null;
  let count = 0;
  const open: Element[] = [];
  const refuse = (message: string): void => {
    problem ??= { path: `line ${parser.line}`, message };
  };
  parser.on('error', (error) =>
    refuse(`this is not sound SVG: ${error.message.replace(/^[^a-z]*?\d+:\d+:?\s*/i, '')}`),
  );
  parser.on('doctype', (doctype) => {
    if (doctype.length > longestDoctype) refuse('declares more of its own than any drawing; save it as plain SVG');
    // Older programs declare entities for namespaces; each stands for nothing here, whatever it is said to hold.
    else for (const [, name] of doctype.matchAll(/<!ENTITY\s+([\w:.-]{1,100})/g)) parser.ENTITIES[name!] = '';
  });
  parser.on('opentag', (tag) => {
    if (problem !== null) return;
    count += 1;
    const name = local(tag.name);
    if (name === 'script') return refuse('carries a script; save the drawing as plain SVG without scripts');
    if (count > limits.elements)
      return refuse(`more than ${limits.elements.toLocaleString('en')} elements; simplify the drawing`);
    if (open.length >= limits.depth) return refuse(`groups nested more than ${limits.depth} deep; ungroup the drawing`);
    const attributes: Record<string, string> = {};
    for (const [key, value] of Object.entries(tag.attributes))
      attributes[key === 'xlink:href' ? 'href' : key] = String(value);
    const parent = open[open.length - 1] ?? null;
    const element: Element = { name, attributes, children: [], parent, line: parser.line, text: '' };
    parent?.children.push(element);
    root ??= element;
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  const addText = (more: string): void => {
    const element = open[open.length - 1];
    if (element?.name === 'style') element.text += more;
  };
  parser.on('text', addText);
  parser.on('cdata', addText);
  // In pieces, so that a refused file is not read to its end.
  const piece = 65_536;
  for (let at = 0; at < text.length && problem === null; at += piece) parser.write(text.slice(at, at + piece));
  if (problem === null) parser.close();
  if (problem !== null) return failure(problem as Problem);
  const found = root as Element | null;
  if (found === null || found.name !== 'svg')
    return failure({ path: '', message: 'this is no SVG drawing: it does not begin with an svg element' });
  return success(found);
};
