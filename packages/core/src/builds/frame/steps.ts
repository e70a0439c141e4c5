import type { Lettering } from '../../artwork/lettering/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import type { FrameMaterials } from './results.js';
import type { ShowsDesign } from './schema.js';

const mm = (value: number): string => `${Math.round(10 * value) / 10} mm`;

const glassCaution =
  'Glass: cut-proof gloves and eye protection, carried upright by two hands; two people from a square metre on.';

type Changed = Partial<Pick<ToldStep, 'title' | 'detail' | 'caution' | 'minutes'>>;

/** What a frame does in another way than a case with letters on its face, by the step. */
const ownSteps = (
  { kind }: ShowsDesign,
  { face }: CaseGeometry,
  { mirror }: FrameMaterials,
  { letterCount }: Lettering,
): Readonly<Record<string, Changed>> => {
  const size = `${mm(face.widthMm)} × ${mm(face.heightMm)}`;
  if (kind === 'print')
    return {
      face: { title: `Cut front and rear sheet ${size}` },
      lettering: {
        title: 'Lay the print between its sheets',
        detail: `Cut it to ${size}, square. Wipe both sheets with an antistatic cloth, peel their inner film last, lay the print face to the front sheet; look through it against the light for dust before the case is closed.`,
        minutes: 20,
        caution: null,
      },
    };
  const glass = mirror?.stuff === 'glass';
  return {
    face: {
      title: `Have the mirror cut ${size}, its edges ground and polished`,
      detail: `Send its drawing along: outline, and from behind where its silver is to go. When it comes, measure both diagonals: each ${mm(Math.hypot(face.widthMm, face.heightMm))}.`,
      ...(glass ? { caution: glassCaution } : {}),
    },
    lettering: {
      title: kind === 'lit-mirror' ? 'Frost the band from behind' : `Take the silver off behind ${letterCount} letters`,
      detail:
        'Mask the back, cut the mask by the mirrored drawing, take paint and silver off, frost what is bare. Try it on an offcut of the same mirror first. No glue and no tape on what is frosted: it shows.',
      minutes: 40 + 4 * letterCount,
      ...(glass ? { caution: glassCaution } : {}),
    },
  };
};

/** A print is laid in, not coated on: its own step tells how. */
const coatedPrint = ({ faceCoats }: FrameMaterials): string | null => {
  const at = faceCoats.findIndex(({ coating }) => coating.kind === 'print');
  return at < 0 ? null : `coat-${at + 1}`;
};

const tryIn = ({ kind }: ShowsDesign): ToldStep => {
  const what = kind === 'print' ? 'sheets' : 'mirror';
  return {
    id: 'try-in',
    phase: 'finish',
    title: `Try ${what} and back in the dry frame`,
    detail: `Members clamped without glue: ${kind === 'print' ? 'both sheets' : 'the mirror'} must drop in and come out again by hand, and so must the back. Then take all out, sand and finish the inside.`,
    minutes: 15,
    waitMinutes: 0,
    caution: null,
    ofSign: false,
  };
};

/** The build list of a frame: that of its case, with what it does in its own way; tried dry before anything is finished or glued. */
export const frameSteps = (
  steps: readonly ToldStep[],
  shows: ShowsDesign,
  geometry: CaseGeometry,
  materials: FrameMaterials,
  lettering: Lettering,
): readonly ToldStep[] => {
  const own = ownSteps(shows, geometry, materials, lettering);
  const printed = shows.kind === 'print' ? coatedPrint(materials) : null;
  const found = steps.filter(({ id }) => id !== printed).map((step): ToldStep => ({ ...step, ...own[step.id] }));
  const at = found.findIndex(({ phase }) => phase === 'finish');
  return [...found.slice(0, at), tryIn(shows), ...found.slice(at)];
};
