import type { SetUp } from '../../joinery/setups/index.js';
import type { ToldStep } from './index.js';

/** Which drawing of the sign belongs beside a step. */
export type StepView =
  | 'sheets'
  | 'set-up'
  | 'section'
  | 'strip'
  | 'wires'
  | 'circuit'
  | 'letters'
  | 'posts'
  | 'hang'
  | 'cleat'
  | 'sizes'
  | 'lit';

/** What is drawn beside a step, and what stands out in it. */
export interface StepDrawing {
  readonly view: StepView;
  /** The chain whose wires these are. */
  readonly chain?: number;
  /** Names of the parts that are cut. */
  readonly parts?: readonly string[];
  /** The setting of saw or router table. */
  readonly setUp?: SetUp;
}

/** Steps that every build has by these names, and what shows them. */
const byId: Readonly<Record<string, StepView>> = {
  template: 'strip',
  'bench-test': 'circuit',
  holes: 'sizes',
  'post-holes': 'posts',
  'glue-up': 'sizes',
  lettering: 'letters',
  strip: 'strip',
  controller: 'circuit',
  soak: 'circuit',
  close: 'section',
  even: 'lit',
  'drill-wall': 'posts',
  hang: 'posts',
};

const byPhase: Readonly<Record<ToldStep['phase'], StepView>> = {
  prepare: 'sizes',
  cut: 'sheets',
  finish: 'section',
  wire: 'wires',
  assemble: 'section',
  prove: 'lit',
  hang: 'posts',
};

/** The drawing of a step that names none: by what it is called, else by what is going on. */
export const usualDrawing = ({ id, phase }: Pick<ToldStep, 'id' | 'phase'>): StepDrawing => {
  const chain = /^chain-(\d+)$/.exec(id)?.[1];
  if (chain !== undefined) return { view: 'wires', chain: Number(chain) };
  return { view: byId[id] ?? byPhase[phase] };
};
