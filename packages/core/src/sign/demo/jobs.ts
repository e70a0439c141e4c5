import type { Reading } from '../../document/design/index.js';
import type { Design } from '../design/index.js';
import { demoDesigns } from './designs.js';

/** Where a job stands. */
export const jobStatuses = ['quoted', 'designed', 'cutting', 'building', 'proved', 'delivered'] as const;
export type JobStatus = (typeof jobStatuses)[number];

/** A job of the demo shop; dates count from the day of seeding. */
export interface DemoJob {
  readonly slug: keyof typeof demoDesigns;
  readonly customer: string;
  readonly status: JobStatus;
  readonly dueInDays: number;
  readonly design: Design;
  /** When it was handed over, so many days ago. */
  readonly handedOverDaysAgo?: number;
  /** What was measured at the bench, so many days ago. */
  readonly measured?: readonly Pick<Reading, 'id' | 'at' | 'value'>[];
  readonly measuredDaysAgo?: number;
  /** Steps of its build that are ticked. */
  readonly built?: readonly string[];
  /** How long steps took (minutes), by step. */
  readonly timed?: Readonly<Record<string, number>>;
  /** What went wrong at a step, and what is done about it the next time. */
  readonly mishap?: { readonly stepId: string; readonly words: string; readonly lesson: string };
}

/** Jobs of Sallow Lane Signs, Port Sallow: all made up. */
export const demoJobs: readonly DemoJob[] = [
  {
    slug: 'dispensary',
    customer: 'Harbour Row Pharmacy',
    status: 'designed',
    dueInDays: 9,
    design: demoDesigns.dispensary,
  },
  {
    slug: 'ticket-hall',
    customer: 'Port Sallow Ferries',
    status: 'quoted',
    dueInDays: 24,
    design: demoDesigns['ticket-hall'],
  },
  {
    slug: 'rye-and-salt',
    customer: 'Rye & Salt, bakers',
    status: 'cutting',
    dueInDays: 4,
    design: demoDesigns['rye-and-salt'],
  },
  {
    slug: 'fish-counter',
    customer: 'Quay Fish',
    status: 'designed',
    dueInDays: 17,
    design: demoDesigns['fish-counter'],
  },
  {
    slug: 'ferry-way',
    customer: 'Port Sallow Ferries',
    status: 'quoted',
    dueInDays: 30,
    design: demoDesigns['ferry-way'],
  },
  {
    slug: 'slipway',
    customer: 'The Slipway bar',
    status: 'designed',
    dueInDays: 13,
    design: demoDesigns.slipway,
  },
  {
    slug: 'net-loft',
    customer: 'Port Sallow net loft',
    status: 'quoted',
    dueInDays: 35,
    design: demoDesigns['net-loft'],
  },
  {
    slug: 'curlew',
    customer: 'Port Sallow Ferries',
    status: 'building',
    dueInDays: 6,
    design: demoDesigns.curlew,
    timed: { lettering: 92, 'post-holes': 58, 'finish-letters': 45, strip: 61 },
    mishap: {
      stepId: 'post-holes',
      words: 'The template crept; two holes of the W sit 2 mm low',
      lesson: 'Tape the drill template at every letter before the first hole',
    },
    built: [
      'template',
      'bench-test',
      'lettering',
      'post-holes',
      'finish-letters',
      'coat-fronts-1',
      'coat-fronts-2',
      'backs',
      'strip',
    ],
  },
  {
    slug: 'tern',
    customer: 'Tern café',
    status: 'designed',
    dueInDays: 20,
    design: demoDesigns.tern,
  },
  {
    slug: 'lantern-rooms',
    customer: 'Lantern Rooms, guest house',
    status: 'designed',
    dueInDays: 28,
    design: demoDesigns['lantern-rooms'],
  },
  {
    slug: 'quiet-room',
    customer: 'Port Sallow reading room',
    status: 'proved',
    dueInDays: 2,
    design: demoDesigns['quiet-room'],
    measured: [
      { id: 'supply-volts', value: 24.1 },
      { id: 'full-amps', value: 0.041 },
      { id: 'soak-strip', at: { assembly: 'panel' }, value: 36 },
    ],
    measuredDaysAgo: 1,
  },
  {
    slug: 'late-soup',
    customer: 'Late Soup, a counter by the quay',
    status: 'designed',
    dueInDays: 16,
    design: demoDesigns['late-soup'],
  },
  {
    slug: 'hat-mirror',
    customer: 'Feather & Felt, hats',
    status: 'designed',
    dueInDays: 21,
    design: demoDesigns['hat-mirror'],
  },
  {
    slug: 'counter-top',
    customer: 'Port Sallow Ferries',
    status: 'quoted',
    dueInDays: 40,
    design: demoDesigns['counter-top'],
  },
  {
    slug: 'reed-bed',
    customer: 'Sallow Clinic, waiting room',
    status: 'delivered',
    dueInDays: -190,
    handedOverDaysAgo: 188,
    design: demoDesigns['reed-bed'],
  },
  {
    slug: 'smoke-house',
    customer: 'The smoke house',
    status: 'building',
    dueInDays: 5,
    design: demoDesigns['smoke-house'],
    built: ['template', 'bench-test', 'ladder', 'plates', 'lettering', 'dry-stack', 'rings'],
    timed: { ladder: 34, plates: 66, lettering: 21, rings: 55 },
  },
  {
    slug: 'tide-table',
    customer: 'The harbour office',
    status: 'cutting',
    dueInDays: 12,
    design: demoDesigns['tide-table'],
  },
  {
    slug: 'fitting-mirror',
    customer: 'Feather & Felt, hats',
    status: 'quoted',
    dueInDays: 34,
    design: demoDesigns['fitting-mirror'],
  },
  {
    slug: 'brim-tile',
    customer: 'Feather & Felt, hats',
    status: 'designed',
    dueInDays: 30,
    design: demoDesigns['brim-tile'],
  },
];
