import { compile } from 'css-select';
import { generate, parse, type CssNode, type Declaration, type Rule, type Selector } from 'css-tree';
import type { Element } from './tree.js';

/** What is set, each with whether it goes before all that is not. */
export type Declared = Readonly<Record<string, string>>;

interface SheetRule {
  readonly isOf: (element: Element) => boolean;
  /** What the element itself must be or have, to be found by: its id, a class, its name, or anything. */
  readonly key: string;
  readonly weight: number;
  /** Whether it looks at what stands beside an element, too. */
  readonly looksBeside: boolean;
  readonly declared: Declared;
  readonly important: Declared;
}

/** What a file’s style sheets set, to be asked element by element. */
export interface StyleSheet {
  /** What rules set on an element, the weightier over the lighter; `spend` is told how many rules were looked at. */
  readonly on: (
    element: Element,
    spend: (steps: number) => void,
  ) => { readonly usual: Declared; readonly important: Declared };
  /** Selectors that are not understood. */
  readonly passedOver: number;
}

/** More parts than this has no selector of a drawing. */
const mostParts = 40;

/** What is asked of an element beside its name, classes and attributes. */
const asked: ReadonlySet<string> = new Set(
  'not is where root empty first-child last-child only-child nth-child nth-last-child first-of-type last-of-type only-of-type nth-of-type nth-last-of-type'.split(
    ' ',
  ),
);
/** What no drawing at rest is. */
const never: ReadonlySet<string> = new Set([
  'hover',
  'active',
  'focus',
  'focus-within',
  'focus-visible',
  'visited',
  'target',
]);
const besideOthers = /-child$|-of-type$/;

const childrenOf = (node: CssNode): readonly CssNode[] =>
  'children' in node && node.children !== null && node.children !== undefined ? [...node.children] : [];

/** Every part of a selector, also of those within it. */
const partsIn = (node: CssNode): readonly CssNode[] => childrenOf(node).flatMap((each) => [each, ...partsIn(each)]);

/** Ids before classes, attributes and states before names, as style sheets weigh them. */
const weightOf = (node: CssNode): number => {
  switch (node.type) {
    case 'IdSelector':
      return 1e6;
    case 'ClassSelector':
    case 'AttributeSelector':
      return 1e3;
    case 'TypeSelector':
      return node.name === '*' ? 0 : 1;
    case 'PseudoClassSelector': {
      if (node.name === 'where') return 0;
      if (node.name !== 'not' && node.name !== 'is') return 1e3;
      // The weightiest of those within.
      return Math.max(0, ...childrenOf(node).flatMap(childrenOf).map(weightOf));
    }
    default:
      return childrenOf(node).reduce((sum, each) => sum + weightOf(each), 0);
  }
};

/** What the last compound of a selector can be found by. */
const keyOf = (selector: Selector): string => {
  let key = '*';
  for (const part of childrenOf(selector)) {
    if (part.type === 'Combinator') key = '*';
    else if (part.type === 'IdSelector') key = `#${part.name}`;
    else if (part.type === 'ClassSelector' && !key.startsWith('#')) key = `.${part.name}`;
    else if (part.type === 'TypeSelector' && key === '*') key = part.name;
  }
  return key;
};

const adapter = {
  isTag: (node: Element): node is Element => node.name !== '',
  getName: ({ name }: Element): string => name,
  getParent: ({ parent }: Element): Element | null => parent,
  getChildren: ({ children }: Element): Element[] => children,
  getSiblings: (element: Element): Element[] => element.parent?.children ?? [element],
  getAttributeValue: ({ attributes }: Element, name: string): string | undefined => attributes[name],
  hasAttrib: ({ attributes }: Element, name: string): boolean => attributes[name] !== undefined,
  getText: ({ text }: Element): string => text,
  removeSubsets: (elements: Element[]): Element[] => elements,
};

/** A selector ready to be asked; nothing for a state that no drawing at rest has, null for one that is not understood. */
const selectorOf = (
  selector: Selector,
): Pick<SheetRule, 'isOf' | 'key' | 'weight' | 'looksBeside'> | 'never' | null => {
  const parts = partsIn(selector);
  if (parts.length > mostParts) return null;
  for (const part of parts) {
    // Names of other spaces are the same names here.
    if (part.type === 'TypeSelector') part.name = part.name.replace(/^.*\|/, '');
    if (part.type === 'PseudoElementSelector') return null;
    if (part.type === 'PseudoClassSelector' && never.has(part.name)) return 'never';
    if (part.type === 'PseudoClassSelector' && !asked.has(part.name)) return null;
  }
  try {
    return {
      isOf: compile<Element, Element>(generate(selector), { adapter, xmlMode: true }),
      key: keyOf(selector),
      weight: weightOf(selector),
      looksBeside: parts.some(
        (part) =>
          (part.type === 'PseudoClassSelector' && besideOthers.test(part.name)) ||
          (part.type === 'Combinator' && (part.name === '+' || part.name === '~')),
      ),
    };
  } catch {
    return null;
  }
};

const classesOf = ({ attributes }: Element): readonly string[] =>
  (attributes['class'] ?? '').split(/\s+/).filter(Boolean);

const rulesOf = (text: string): { readonly rules: readonly SheetRule[]; readonly passedOver: number } => {
  const sheet = parse(text, { parseValue: false, parseAtrulePrelude: false, parseCustomProperty: false });
  const rules: SheetRule[] = [];
  let passedOver = 0;
  const take = ({ prelude, block }: Rule): void => {
    if (prelude.type !== 'SelectorList') return void (passedOver += 1);
    const all = block.children.toArray().filter((each): each is Declaration => each.type === 'Declaration');
    const setBy = (important: boolean): Declared =>
      Object.fromEntries(
        all
          .filter((each) => (each.important !== false) === important)
          .map(({ property, value }) => [property.toLowerCase(), generate(value).trim()]),
      );
    const own = { declared: setBy(false), important: setBy(true) };
    for (const selector of prelude.children.toArray()) {
      const read = selector.type === 'Selector' ? selectorOf(selector) : null;
      if (read === null) passedOver += 1;
      else if (read !== 'never') rules.push({ ...read, ...own });
    }
  };
  if (sheet.type === 'StyleSheet')
    for (const node of sheet.children.toArray()) {
      if (node.type === 'Rule') take(node);
      else if (node.type === 'Atrule' && node.name !== 'charset' && node.name !== 'font-face') passedOver += 1;
    }
  return { rules, passedOver };
};

/** Reads style sheets (CSS selectors of what is in the file; at-rules and states that come and go are passed over). */
export const readSheet = (text: string): StyleSheet => {
  const { rules, passedOver } = rulesOf(text);
  /** Rules by what their last part asks for first, so that few are looked at for each element. */
  const byKey = new Map<string, { readonly rule: SheetRule; readonly order: number }[]>();
  rules.forEach((rule, order) => {
    const { key } = rule;
    const own = byKey.get(key);
    if (own === undefined) byKey.set(key, [{ rule, order }]);
    else own.push({ rule, order });
  });
  return {
    passedOver,
    on: (element, spend) => {
      const { id } = element.attributes;
      const keys = [
        '*',
        element.name,
        ...(id === undefined ? [] : [`#${id}`]),
        ...new Set(classesOf(element).map((each) => `.${each}`)),
      ];
      const likely = keys.flatMap((key) => byKey.get(key) ?? []);
      const beside = element.parent?.children.length ?? 1;
      spend(likely.reduce((sum, { rule }) => sum + (rule.looksBeside ? 20 + beside : 20), 0));
      const own = likely
        .filter(({ rule }) => rule.isOf(element))
        .sort((a, b) => a.rule.weight - b.rule.weight || a.order - b.order);
      return {
        usual: Object.assign({}, ...own.map(({ rule }) => rule.declared)) as Declared,
        important: Object.assign({}, ...own.map(({ rule }) => rule.important)) as Declared,
      };
    },
  };
};

/** What a style attribute sets. */
export const readDeclarations = (text: string): Declared => {
  const list = parse(text, { context: 'declarationList', parseValue: false, parseCustomProperty: false });
  if (list.type !== 'DeclarationList') return {};
  return Object.fromEntries(
    list.children
      .toArray()
      .filter((each): each is Declaration => each.type === 'Declaration')
      .map(({ property, value }) => [property.toLowerCase(), generate(value).trim()]),
  );
};
