import type { AssemblyEvaluation, Evaluation, Finding, JobStatus, WorkStep } from '@vitrum/core';
import { pageOf, type AssemblyStep } from '../builds';

/** The work line, in the order of the work. */
export const workSteps: readonly { readonly step: WorkStep; readonly name: string }[] = [
  { step: 'brief', name: 'Brief' },
  { step: 'artwork', name: 'Artwork' },
  { step: 'case', name: 'Case' },
  { step: 'light', name: 'Light' },
  { step: 'power', name: 'Power' },
  { step: 'face', name: 'Face' },
  { step: 'hang', name: 'Hang' },
  { step: 'cut', name: 'Cut' },
  { step: 'build', name: 'Build' },
  { step: 'prove', name: 'Prove' },
];

export const isWorkStep = (value: string | undefined): value is WorkStep =>
  workSteps.some(({ step }) => step === value);

/** Narrower than this is a phone (px). */
const phonePx = 640;

/** Where a job opens: on a phone in bench mode while it is being made, else where it is looked at. */
export const firstStep = (status: JobStatus | undefined, widthPx: number): WorkStep | 'bench' =>
  widthPx < phonePx && (status === 'cutting' || status === 'building') ? 'bench' : 'face';

/** How a step stands. */
export interface StepState {
  readonly kind: 'untouched' | 'fine' | 'note' | 'fix' | 'stop';
  readonly count: number;
}

const counted = (count: number, of: string): string => `${count} ${of}${count === 1 ? '' : 's'}`;

const millimetres = (value: number): string => String(Math.round(value));

const shortWays = {
  cleat: 'cleat',
  keyholes: 'plates',
  holes: 'screws',
  spacers: 'spacers',
  feet: 'feet',
  brackets: 'brackets',
  chain: 'chains',
  posts: 'posts',
  stands: 'own base',
} as const;

/** The name of a step, by the build of the chosen assembly. */
export const stepName = (step: WorkStep, build: string | undefined): string => {
  const own = build === undefined ? {} : pageOf({ build }).stepNames;
  return own[step as AssemblyStep] ?? workSteps.find((known) => known.step === step)!.name;
};

/** What an assembly hangs by, and how heavy it is. */
const hangDetail = ({ hang }: AssemblyEvaluation): string => {
  if (hang === null) return 'stands on another';
  return hang.way === null ? `${hang.kg.toFixed(1)} kg` : `${shortWays[hang.way]}, ${hang.kg.toFixed(1)} kg`;
};

/** Letters or parts of a drawing, counted. */
const lettersDetail = ({ assembly, lettering }: AssemblyEvaluation): string =>
  assembly.artwork.drawing
    ? `drawing, ${counted(lettering.letterCount, 'part')}`
    : counted(lettering.letterCount, 'letter');

/** A step in a few words of figures; those of an assembly are told of the chosen one. */
export const stepDetail = (step: WorkStep, evaluation: Evaluation, own: AssemblyEvaluation): string => {
  const { design, circuit, parts, cost, buildList } = evaluation;
  const { geometry, runs } = own;
  switch (step) {
    case 'brief':
      return `read from ${design.brief.readingDistanceMm / 1000} m`;
    case 'artwork':
      return pageOf(own).artworkDetail?.(own) ?? lettersDetail(own);
    case 'case':
      return (
        [geometry.outside.widthMm, geometry.outside.heightMm, geometry.outside.depthMm].map(millimetres).join('×') +
        '\u00a0mm'
      );
    case 'light':
      return `${counted(runs.segments.length, 'segment')}, ${(runs.stripMm / 1000).toFixed(1)}\u00a0m`;
    case 'power':
      return `${own.materials.strip.voltageV} V, ${Math.round(circuit.watts)} W`;
    case 'face':
      return pageOf(own).faceDetail(own);
    case 'hang':
      return hangDetail(own);
    case 'cut':
      return counted(parts.cut.length, 'part');
    case 'build':
      return `${counted(buildList.steps.length, 'step')}, ${cost.hours.toFixed(1)} h`;
    case 'prove':
      return 'what to measure';
  }
};

/** Steps that are behind a job once it is past quoting. */
const designSteps: readonly WorkStep[] = ['brief', 'artwork', 'case', 'light', 'power', 'face', 'hang'];

/** Whether somebody has been through a step: here in this browser, or because the job has moved on since. */
export const hasSeen = (step: WorkStep, visited: readonly WorkStep[], status: JobStatus): boolean =>
  visited.includes(step) || (status !== 'quoted' && designSteps.includes(step));

const gravest = (findings: readonly Finding[]): 'stop' | 'fix' | 'note' =>
  findings.some(({ severity }) => severity === 'stop')
    ? 'stop'
    : findings.some(({ severity }) => severity === 'fix')
      ? 'fix'
      : 'note';

/** Wrong things speak first; a step never looked at is untouched; notes do not dim a lamp. */
export const stepState = (step: WorkStep, findings: readonly Finding[], seen: boolean): StepState => {
  const own = findings.filter((finding) => finding.step === step);
  if (own.length > 0) {
    const kind = gravest(own);
    return { kind, count: own.filter(({ severity }) => severity === kind).length };
  }
  return { kind: seen ? 'fine' : 'untouched', count: 0 };
};
