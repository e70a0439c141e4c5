import { allBuilds, ambients, type Evaluation, type Figure, type Finding } from '@vitrum/core';
import { allPages } from '../builds';
import { redo, undo } from '../document/document-store';
import { selectAssembly } from '../document/selection';
import { generalGuide } from '../guide/general';
import type { FoundField } from '../help/find-help';
import { ambientNames } from '../lamp-room/ambient-names';
import { stepName, workSteps } from '../steps/step-names';
import { toggleViewer, useView } from '../view/view-store';
import { focusField } from './focus-field';

/** Something that can be gone to or done. */
export interface SearchEntry {
  readonly id: string;
  readonly group: 'Findings' | 'Steps' | 'Fields' | 'Figures' | 'Do' | 'Guide';
  readonly title: string;
  /** What it means, or where it is. */
  readonly detail: string;
  readonly run: (go: (path: string) => void) => void;
}

const findingEntries = (jobId: string, evaluation: Evaluation): readonly SearchEntry[] =>
  evaluation.findings.map(({ id, what, why, step, assembly }: Finding) => ({
    id: `finding ${id}`,
    group: 'Findings',
    title: what,
    detail: why,
    run: (go) => {
      const own = assembly === null ? undefined : evaluation.assemblies[assembly];
      if (own !== undefined) selectAssembly(own.id);
      useView.setState({ findingsOpen: true, shownFinding: id });
      go(`/jobs/${jobId}/${step}`);
    },
  }));

/** Those that stand on the tape: of the sign, and of the chosen assembly. */
const figureEntries = (evaluation: Evaluation, chosen: number): readonly SearchEntry[] =>
  evaluation.figures
    .filter(({ assembly }) => assembly === null || assembly === chosen)
    .map(({ id, label, text }: Figure) => ({
      id: `figure ${id}`,
      group: 'Figures',
      title: `${text} ${label}`,
      detail: 'how it was worked out',
      run: () => useView.setState({ shownFigure: id }),
    }));

const actions: readonly SearchEntry[] = [
  { title: 'Lights on or off', detail: 'key L', run: () => useView.setState(({ lit }) => ({ lit: !lit })) },
  { title: 'As a camera, or as the eye sees it', detail: 'key C', run: toggleViewer },
  ...ambients.map((ambient) => ({
    title: `Look at it in ${ambientNames[ambient]}`,
    detail: 'light of the place',
    run: () => useView.setState({ ambient }),
  })),
  { title: 'Show lengths in millimetres', detail: '', run: () => useView.setState({ unit: 'mm' }) },
  { title: 'Show lengths in inches', detail: '', run: () => useView.setState({ unit: 'in' }) },
  { title: 'Dark page', detail: '', run: () => useView.setState({ theme: 'dark' }) },
  { title: 'Light page', detail: '', run: () => useView.setState({ theme: 'light' }) },
  { title: 'Undo', detail: 'Ctrl Z', run: undo },
  { title: 'Redo', detail: 'Ctrl Shift Z', run: redo },
].map((entry): SearchEntry => ({ id: `do ${entry.title}`, group: 'Do', ...entry }));

const stepEntries = (jobId: string, build: string): readonly SearchEntry[] => [
  ...workSteps.map(({ step }, index): SearchEntry => ({
    id: `step ${step}`,
    group: 'Steps',
    title: stepName(step, build),
    detail: `step ${index + 1} of the work line`,
    run: (go) => go(`/jobs/${jobId}/${step}`),
  })),
  ...(
    [
      ['tryouts', 'Try-outs', 'depth, rows and faces weighed'],
      ['bench', 'Bench mode', 'one step of the build at a time'],
    ] as const
  ).map(([step, title, detail]): SearchEntry => ({
    id: `step ${step}`,
    group: 'Steps',
    title,
    detail,
    run: (go) => go(`/jobs/${jobId}/${step}`),
  })),
];

const fieldEntries = (jobId: string, build: string, fields: readonly FoundField[]): readonly SearchEntry[] =>
  fields.map(({ step, label, what }): SearchEntry => ({
    id: `field ${step} ${label}`,
    group: 'Fields',
    title: label,
    detail: `${stepName(step, build)}: ${what}`,
    run: (go) => {
      go(`/jobs/${jobId}/${step}`);
      focusField(label);
    },
  }));

/** The guide: every page, and every heading of the first. */
const guideEntries = (): readonly SearchEntry[] => [
  ...allPages.map(({ name }): SearchEntry => ({
    id: `guide ${name}`,
    group: 'Guide',
    title: `Guide: ${allBuilds.find((build) => build.name === name)?.words.name ?? name}`,
    detail: 'what decides, order of work, what goes wrong',
    run: (go) => go(`/guide/${name}`),
  })),
  ...generalGuide.map(([title, text]): SearchEntry => ({
    id: `guide ${title}`,
    group: 'Guide',
    title,
    detail: text,
    run: (go) => go('/guide'),
  })),
];

/** What is searched: the open job, its chosen assembly, what is known of it, and its fields. */
export interface Searched {
  readonly jobId: string;
  readonly build: string;
  readonly chosen: number;
  readonly evaluation: Evaluation | null;
  readonly fields: readonly FoundField[];
}

/** All that can be found from the page of a job. */
export const entriesOf = ({ jobId, build, chosen, evaluation, fields }: Searched): readonly SearchEntry[] => [
  ...(evaluation === null ? [] : findingEntries(jobId, evaluation)),
  ...stepEntries(jobId, build),
  ...fieldEntries(jobId, build, fields),
  ...(evaluation === null ? [] : figureEntries(evaluation, chosen)),
  ...actions,
  ...guideEntries(),
];
