import { generate, parse, type Declaration, type Rule, type Selector } from 'css-tree';
import type { Element } from './tree.js';

/** What is set, each with whether it goes before all that is not. */
export type Declared = Readonly<Record<string, string>>;

/** An element that a selector asks for: its name, its classes, its id. */
interface Compound {
  readonly name: string | null;
  readonly id: string | null;
  readonly classes: readonly string[];
  /** How the one before it stands to it. */
  readonly after: 'any' | 'parent';
}

interface SheetRule {
  /** From the outermost to the element itself. */
  readonly compounds: readonly Compound[];
  readonly weight: number;
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
const mostCompounds = 12;

const compoundsOf = (selector: Selector): readonly Compound[] | null => {
  const compounds: { name: string | null; id: string | null; classes: string[]; after: 'any' | 'parent' }[] = [];
  let next: 'any' | 'parent' = 'any';
  let fresh = true;
  for (const part of selector.children.toArray()) {
    if (part.type === 'Combinator') {
      if (part.name !== ' ' && part.name !== '>') return null;
      next = part.name === '>' ? 'parent' : 'any';
      fresh = true;
      continue;
    }
    if (fresh) compounds.push({ name: null, id: null, classes: [], after: next });
    fresh = false;
    const own = compounds[compounds.length - 1]!;
    if (part.type === 'TypeSelector') own.name = part.name === '*' ? null : part.name.replace(/^.*\|/, '');
    else if (part.type === 'ClassSelector') own.classes.push(part.name);
    else if (part.type === 'IdSelector' && own.id === null) own.id = part.name;
    else return null;
  }
  return compounds.length > 0 && compounds.length <= mostCompounds ? compounds : null;
};

/** Ids before classes before names, as style sheets weigh them. */
const weightOf = (compounds: readonly Compound[]): number =>
  compounds.reduce(
    (sum, { id, classes, name }) => sum + (id === null ? 0 : 1e6) + 1e3 * classes.length + (name === null ? 0 : 1),
    0,
  );

const classesOf = ({ attributes }: Element): readonly string[] =>
  (attributes['class'] ?? '').split(/\s+/).filter(Boolean);

const isOne = ({ name, id, classes }: Compound, element: Element): boolean =>
  (name === null || name === element.name) &&
  (id === null || id === element.attributes['id']) &&
  (classes.length === 0 || classes.every((each) => classesOf(element).includes(each)));

/** Whether a selector is of an element: compound by compound along the way from the root, each place reached once. */
const matches = (compounds: readonly Compound[], element: Element): boolean => {
  if (!isOne(compounds[compounds.length - 1]!, element)) return false;
  if (compounds.length === 1) return true;
  const way: Element[] = [];
  for (let at: Element | null = element; at !== null; at = at.parent) way.unshift(at);
  let reached = way.map((each) => isOne(compounds[0]!, each));
  for (const compound of compounds.slice(1)) {
    let before = false;
    reached = way.map((each, at) => {
      const from = compound.after === 'parent' ? at > 0 && reached[at - 1]! : before;
      before ||= reached[at]!;
      return from && isOne(compound, each);
    });
  }
  return reached[reached.length - 1]!;
};

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
      const compounds = selector.type === 'Selector' ? compoundsOf(selector) : null;
      if (compounds === null) passedOver += 1;
      else rules.push({ compounds, weight: weightOf(compounds), ...own });
    }
  };
  if (sheet.type === 'StyleSheet')
    for (const node of sheet.children.toArray()) {
      if (node.type === 'Rule') take(node);
      else if (node.type === 'Atrule' && node.name !== 'charset' && node.name !== 'font-face') passedOver += 1;
    }
  return { rules, passedOver };
};

/** Reads style sheets (CSS: names, classes, ids, descendants and children; at-rules and other selectors are passed over). */
export const readSheet = (text: string): StyleSheet => {
  const { rules, passedOver } = rulesOf(text);
  /** Rules by what their last part asks for first, so that few are looked at for each element. */
  const byKey = new Map<string, { readonly rule: SheetRule; readonly order: number }[]>();
  rules.forEach((rule, order) => {
    const { id, classes, name } = rule.compounds[rule.compounds.length - 1]!;
    const key = id !== null ? `#${id}` : classes.length > 0 ? `.${classes[0]!}` : (name ?? '*');
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
      spend(likely.length * 20);
      const own = likely
        .filter(({ rule }) => matches(rule.compounds, element))
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
