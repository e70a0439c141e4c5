import type { Lettering } from '../../artwork/lettering/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { clampMinutes, glueWords, type Finishing } from '../../making/finishing/index.js';
import { faceOutOf, lockedBy } from '../boxes/way-out.js';
import { beadAtMm, beadWideMm, clampCount, gluedMirror } from './glued-mirror.js';
import { hasInnerFrame, padMm } from './inner-frame.js';
import { mirrorMinutes, mirrorWorkOf } from './mirror-work.js';
import type { FrameMaterials, FrameResults } from './results.js';
import type { FrameAssembly, ShowsDesign } from './schema.js';

const mm = (value: number): string => `${Math.round(10 * value) / 10} mm`;

const glassCaution =
  'Glass: cut-proof gloves and eye protection, carried upright by two hands; two people from a square metre on.';

type Changed = Partial<Pick<ToldStep, 'title' | 'detail' | 'caution' | 'minutes'>>;

/** A mirror that is made here, or as it is ordered. */
const mirrorSteps = (
  shows: ShowsDesign,
  { face }: CaseGeometry,
  { mirror }: FrameMaterials,
  { letterCount }: Lettering,
): Readonly<Record<string, Changed>> => {
  const size = `${mm(face.widthMm)} × ${mm(face.heightMm)}`;
  const diagonals = `measure both diagonals: each ${mm(Math.hypot(face.widthMm, face.heightMm))}.`;
  const caution = mirror?.stuff === 'glass' ? { caution: glassCaution } : {};
  const work = mirrorWorkOf(shows);
  const minutes = mirrorMinutes(work, letterCount);
  if (work.by === 'glass-shop')
    return {
      face: {
        title: `Order the mirror ${size} from a glass shop`,
        detail:
          'Send its drawing along: outline, edges ground and polished, and, seen from behind, where its silver is off and the glass frosted.',
        minutes: minutes.cut,
        ...caution,
      },
      lettering: {
        title: 'Look the mirror over when it comes',
        detail: `Against the drawing from behind; ${diagonals} Light behind it shows pinholes in what is left of the silver. No glue and no tape on what is frosted: it shows.`,
        minutes: minutes.worked,
        ...caution,
      },
    };
  return {
    face: {
      title: `Cut the mirror ${size}, its edges ground and polished`,
      detail: `${mirror?.stuff === 'glass' ? 'Score once, with oil, and break over an edge; grind wet' : 'Saw it with a fine blade, its film on; scrape and polish the edges'}. Then ${diagonals}`,
      minutes: minutes.cut,
      ...caution,
    },
    lettering: {
      title:
        shows.kind === 'lit-mirror'
          ? 'Frost the band from behind'
          : `Take the silver off behind ${letterCount} letters`,
      detail: `Mask the back, cut the mask by the mirrored drawing, take paint and silver off, frost what is bare. Try it on an offcut of the same mirror first; ${Math.round(100 * work.failShare)} % of tries are counted as lost. No glue and no tape on what is frosted: it shows.`,
      minutes: minutes.worked,
      ...caution,
    },
  };
};

/** What a frame does in another way than a case with letters on its face, by the step. */
const ownSteps = (
  shows: ShowsDesign,
  geometry: CaseGeometry,
  materials: FrameMaterials,
  lettering: Lettering,
): Readonly<Record<string, Changed>> => {
  const { face, block } = geometry;
  const size = `${mm(face.widthMm)} × ${mm(face.heightMm)}`;
  if (shows.kind === 'print')
    return {
      face: { title: `Cut front and rear sheet ${size}` },
      lettering: {
        title: 'Lay the print between its sheets',
        detail: `Cut it to ${size}, square. Wipe both sheets with an antistatic cloth, peel their inner film last, lay the print face to the front sheet; look through it against the light for dust before the case is closed.`,
        minutes: 20,
        caution: null,
      },
    };
  return {
    ...mirrorSteps(shows, geometry, materials, lettering),
    ...(hasInnerFrame(shows, geometry) && block !== null
      ? {
          block: {
            title: 'Make the inner frame',
            detail: `${mm(block.x1 - block.x0)} × ${mm(block.y1 - block.y0)} over all, ${mm(block.heightMm)} high; glue it to the back, square and in the middle, line it white outside, and lay pads of ${padMm} mm on it for what lies before it to rest on.`,
          },
        }
      : {}),
  };
};

/** A print is laid in, not coated on: its own step tells how. */
const coatedPrint = ({ faceCoats }: FrameMaterials): string | null => {
  const at = faceCoats.findIndex(({ coating }) => coating.kind === 'print');
  return at < 0 ? null : `coat-${at + 1}`;
};

const tryIn = ({ shows, case: box }: FrameAssembly, { second }: FrameMaterials): ToldStep => {
  const out = lockedBy(box) ? 'never' : faceOutOf(box);
  const what = shows.kind === 'print' ? 'both sheets' : 'the mirror';
  const glued = box.retention === 'laid-on';
  const way = {
    never: `${what} must drop in`,
    'top-off': `without its top: ${what} must slide down to the floor of the groove`,
    'lip-back': `without the lip of the top: ${what} must slide down to the floor of the groove`,
    'open-top': `${what} must slide down past the top to the floor of the groove`,
  }[out];
  return {
    id: 'try-in',
    phase: 'finish',
    title: `Try ${glued ? 'the back' : shows.kind === 'print' ? 'sheets and back' : 'mirror and back'} in the dry frame`,
    detail: `Members clamped without glue${glued ? ': the mirror must lie flat on all four edges' : `${out === 'never' ? ': ' : ', '}${way} and come out again by hand`}, and so must the back.${second?.seated === true && second.gapMm > 0 && out !== 'top-off' ? ' The sheet behind it stands in its own groove, and stays.' : ''} Then take all out, sand and finish the inside.`,
    minutes: 15,
    waitMinutes: 0,
    caution: null,
    ofSign: false,
  };
};

/** A mirror that is laid on is glued last of all that is seen, while the back is still open. */
const glueMirror = (
  facts: Pick<FrameResults, 'assembly' | 'geometry' | 'materials'>,
  finishing: Finishing,
): readonly ToldStep[] => {
  if (!gluedMirror(facts)) return [];
  const { face } = facts.geometry;
  return [
    {
      id: 'glue-mirror',
      phase: 'assemble',
      title: 'Glue the mirror on the frame',
      detail: `${facts.materials.second === null ? '' : 'The diffuser goes in first, on its pads. '}A bead all round, ${mm(beadAtMm(facts))} from the edge of the mirror and ${beadWideMm} mm wide once pressed, none nearer to what is frosted; gaps of a finger at the lower edge let it breathe.${glueWords(finishing, 'mirror')} Press it down with ${clampCount(facts)} padded clamps, none on the glass alone; both diagonals ${mm(Math.hypot(face.widthMm, face.heightMm))} before it sets.`,
      minutes: 30,
      waitMinutes: clampMinutes(finishing, 'mirror', 720),
      caution: `${facts.materials.mirror?.stuff === 'glass' ? `${glassCaution} ` : ''}Neutral glue alone: what smells of vinegar eats the silver.`,
      ofSign: false,
    },
  ];
};

/** The build list of a frame: that of its case, with what it does in its own way; tried dry before anything is finished or glued. */
export const frameSteps = (
  steps: readonly ToldStep[],
  assembly: FrameAssembly,
  geometry: CaseGeometry,
  materials: FrameMaterials,
  lettering: Lettering,
  finishing: Finishing,
): readonly ToldStep[] => {
  const { shows } = assembly;
  const facts = { assembly, geometry, materials };
  const own: Readonly<Record<string, Changed>> = {
    ...ownSteps(shows, geometry, materials, lettering),
    ...(gluedMirror(facts) ? { close: { title: 'Close the back' } } : {}),
  };
  const printed = shows.kind === 'print' ? coatedPrint(materials) : null;
  const found = steps.filter(({ id }) => id !== printed).map((step): ToldStep => ({ ...step, ...own[step.id] }));
  return found.flatMap((step, at): readonly ToldStep[] => [
    ...(step.phase === 'finish' && found[at - 1]?.phase !== 'finish' ? [tryIn(assembly, materials)] : []),
    ...(step.id === 'close' ? glueMirror(facts, finishing) : []),
    step,
  ]);
};
