/** The stages of the pipeline, in the order of the work; a build may do without some. */
export const stageNames = [
  'materials',
  'font',
  'artwork',
  'workability',
  'geometry',
  'runs',
  'section',
  'photometry',
  'optics',
  'circuit',
  'glow',
  'heat',
  'parts',
  'packing',
  'steps',
  'cost',
] as const;
export type StageName = (typeof stageNames)[number];
