import type { Design, DesignChange } from '@vitrum/core';
import { changeDesign, useDocument } from '../document/document-store';

type Power = Design['power'];
type PieceEnd = 'start' | 'end';

const change = (path: string, value: unknown): DesignChange => [{ path: `power.${path}`, value }];

/** A list with a number in it, or without. */
const withNumber = (list: readonly number[] | undefined, number: number, wanted: boolean): readonly number[] => {
  const others = (list ?? []).filter((each) => each !== number);
  return wanted ? [...others, number].sort((a, b) => a - b) : others;
};

/** Whether an end of a piece is fed besides where its chain begins. */
export const isInjected = ({ injections }: Power, piece: number, end: PieceEnd): boolean =>
  (injections ?? []).some((each) => each.piece === piece && each.end === end);

/** Feeds an end of a piece, or no longer. */
export const inject = (power: Power, piece: number, end: PieceEnd, wanted: boolean): DesignChange => {
  const others = (power.injections ?? []).filter((each) => each.piece !== piece || each.end !== end);
  return change('injections', wanted ? [...others, { piece, end }] : others);
};

/** Feeds a chain, named by its pieces, at its far end or at its first piece. */
export const feedFrom = (power: Power, pieces: readonly number[], backward: boolean): DesignChange => [
  ...change('fedBackward', withNumber(power.fedBackward, Math.min(...pieces), backward)),
  ...change('fedForward', withNumber(power.fedForward, Math.min(...pieces), !backward)),
];

/** Splits a chain before a piece, so that it begins one of its own. */
export const beginChain = (power: Power, piece: number): DesignChange => [
  ...change('chainsBegin', withNumber(power.chainsBegin, piece, true)),
  ...change('chainsCarryOn', withNumber(power.chainsCarryOn, piece, false)),
];

/** Joins a piece to the chain before it. */
export const carryOn = (power: Power, piece: number): DesignChange => [
  ...change('chainsBegin', withNumber(power.chainsBegin, piece, false)),
  ...change('chainsCarryOn', withNumber(power.chainsCarryOn, piece, true)),
];

/** The zone that names a piece, counted from 1; 0 when none does. */
export const zoneOf = ({ zones }: Power, piece: number): number =>
  (zones ?? []).findIndex(({ pieces }) => pieces.includes(piece)) + 1;

/** Puts a piece into a zone (0: into none); a zone that is new begins fully up, one that is left empty goes. */
export const putInZone = (power: Power, piece: number, zone: number): DesignChange => {
  const others = (power.zones ?? []).map((each) => ({ ...each, pieces: withNumber(each.pieces, piece, false) }));
  const there = others[zone - 1];
  const filled =
    zone === 0
      ? others
      : there === undefined
        ? [...others, { pieces: [piece], level: 1 }]
        : others.map((each) => (each === there ? { ...each, pieces: withNumber(each.pieces, piece, true) } : each));
  return change(
    'zones',
    filled.filter(({ pieces }) => pieces.length > 0),
  );
};

/** Two pieces in series by hand; pairs that either was in are taken apart. */
export const pairPieces = (power: Power, first: number, second: number): DesignChange => {
  const others = (power.seriesPairs ?? []).filter(
    (pair) => ![pair.first, pair.second].some((piece) => piece === first || piece === second),
  );
  return change('seriesPairs', [...others, { first, second }]);
};

/** Whether anything of the wiring was done by hand. */
export const isByHand = ({
  injections,
  fedBackward,
  fedForward,
  chainsBegin,
  chainsCarryOn,
  seriesPairs,
}: Power): boolean =>
  [injections, fedBackward, fedForward, chainsBegin, chainsCarryOn, seriesPairs].some(
    (list) => (list ?? []).length > 0,
  );

/** Lets Vitrum plan the wiring again. */
export const planAgain = (): DesignChange =>
  ['injections', 'fedBackward', 'fedForward', 'chainsBegin', 'chainsCarryOn', 'seriesPairs'].flatMap((path) =>
    change(path, []),
  );

/** Changes the wiring as it is now in the document: what is drawn may be an edit behind. */
export const changePower = (edit: (power: Power) => DesignChange): void => {
  const { design } = useDocument.getState();
  if (design !== null) changeDesign(edit(design.power));
};
