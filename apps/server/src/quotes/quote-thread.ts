import {
  createEvaluator,
  litPng,
  photoOfPng,
  pictureOnWall,
  pngOfPicture,
  problemLine,
  quoteFactsOf,
  quotePdf,
  type PaperFonts,
  type Catalogue,
  type Evaluation,
  type QuoteFacts,
  type QuoteSheet,
  type WallLight,
  type WallSetup,
} from '@vitrum/core';
import { paperFonts, shippedFonts } from '../common/font-book.js';
import { designFromStore } from '../jobs/stored-design.js';

/** A wall in a photograph (PNG), and where on it the sign is to be. */
export interface Wall {
  readonly photo: Uint8Array;
  readonly setup: WallSetup;
}

/**
 * What the thread is given: a design to be looked at, with pictures or without, a quote to be put on paper, or a design to
 * be shown on a wall.
 */
export type QuoteTask =
  | {
      readonly kind: 'look';
      readonly design: string;
      readonly catalogue: Catalogue;
      readonly pictures: boolean;
      readonly wall: Wall | null;
    }
  | { readonly kind: 'paper'; readonly sheet: QuoteSheet }
  | {
      readonly kind: 'wall';
      readonly design: string;
      readonly catalogue: Catalogue;
      readonly wall: Wall;
      readonly by: WallLight;
    };

/** What it finds; null where the design cannot be built as it stands. */
export type QuoteFound =
  | {
      readonly kind: 'looked';
      readonly facts: QuoteFacts;
      readonly front: { readonly width: number; readonly height: number };
      readonly day: Uint8Array;
      readonly night: Uint8Array;
      readonly wallDay: Uint8Array | null;
      readonly wallNight: Uint8Array | null;
    }
  | { readonly kind: 'paper'; readonly pdf: Uint8Array }
  | { readonly kind: 'on-wall'; readonly picture: Uint8Array }
  | { readonly kind: 'no-wall'; readonly problem: string }
  | null;

const picturePx = 900;
const fonts = shippedFonts();
let paper: Promise<PaperFonts> | null = null;
const none = new Uint8Array();

const onWall = (evaluation: Evaluation, { photo, setup }: Wall, by: WallLight): Exclude<QuoteFound, null> => {
  const read = photoOfPng(photo);
  if (read === null) return { kind: 'no-wall', problem: 'The photograph cannot be read; send it once more.' };
  const picture = pictureOnWall(read, setup, evaluation, by);
  return picture.ok
    ? { kind: 'on-wall', picture: pngOfPicture(picture.value) }
    : { kind: 'no-wall', problem: picture.problems.map(problemLine).join('; ') };
};

const pictureOf = (found: QuoteFound): Uint8Array | null => (found?.kind === 'on-wall' ? found.picture : null);

/** Runs in a thread of the pool. */
export default async (task: QuoteTask): Promise<QuoteFound> => {
  if (task.kind === 'paper') return { kind: 'paper', pdf: await quotePdf(task.sheet, await (paper ??= paperFonts())) };
  const { catalogue } = task;
  const evaluated = createEvaluator(catalogue, await fonts).evaluate(designFromStore(JSON.parse(task.design)));
  if (!evaluated.ok) return null;
  const evaluation = evaluated.value;
  if (task.kind === 'wall') return onWall(evaluation, task.wall, task.by);
  const { pictures, wall } = task;
  const { width, height } = evaluation.bounds;
  const shown = (by: WallLight): Uint8Array | null =>
    pictures && wall !== null ? pictureOf(onWall(evaluation, wall, by)) : null;
  return {
    kind: 'looked',
    facts: quoteFactsOf(evaluation, catalogue.rates),
    front: { width, height },
    day: pictures ? litPng(evaluation, 'noon', picturePx) : none,
    night: pictures ? litPng(evaluation, 'dark', picturePx) : none,
    wallDay: shown('day'),
    wallNight: shown('night'),
  };
};
