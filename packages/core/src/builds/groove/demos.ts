import type { DesignOf } from '../../document/design/index.js';
import type { NewJobAnswers, SizeQuestion } from '../common/build.js';
import { onTheWall } from '../common/on-the-wall.js';
import { lateSoupLines } from './late-soup-lines.js';
import type { GrooveAssembly } from './schema.js';

type GrooveSign = DesignOf<GrooveAssembly>;

const usualPower = { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'one-end' } as const;

/** A script sign over a counter, routed in one board: two runs do not come out even, it is longer than the small machine, its thin plugs carry too much. */
const lateSoup: GrooveSign = {
  format: 'vitrum-design',
  version: 2,
  name: 'late soup',
  brief: {
    text: 'late soup',
    place: 'wall',
    exposure: 'indoors',
    ambient: 'shop',
    readingDistanceMm: 2500,
    hoursPerDay: 9,
    light: { kind: 'white', cctK: 3000 },
    control: 'knob',
    leadExit: 'bottom',
    leadLengthMm: 2500,
    quantity: 1,
    budget: null,
    outsideQuote: 460,
  },
  assemblies: [
    {
      id: 'sign',
      build: 'groove',
      place: onTheWall,
      artwork: {
        fontId: 'lobster',
        capHeightMm: 150,
        lineSpacing: 1.5,
        align: 'centre',
        toolId: 'small-bit-3',
      },
      lines: {
        from: 'drawn',
        drawn: lateSoupLines,
        // Two are still to be drawn out to whole cuts.
        ends: [
          { line: 1, startMm: -1.7, endMm: -1.7 },
          { line: 8, startMm: -0.4, endMm: -0.4 },
        ],
      },
      carrier: {
        kind: 'board',
        boardId: 'ply-18',
        shape: 'rectangle',
        marginMm: 60,
        widthMm: 700,
        heightMm: 350,
        cornerMm: 30,
        spacerMm: 20,
        colour: '#20343a',
      },
      groove: { lies: 'flat', coverId: 'soft-dome-8', clearanceMm: 0.3 },
      light: { stripId: 'continuous-24v-320' },
      hanging: { way: 'spacers' },
    },
  ],
  power: { ...usualPower, joint: 'plug', jointId: 'thin-plug', level: 0.5 },
};

/** Demo designs by the name that the command line takes. */
export const grooveDemos = { 'late-soup': lateSoup } as const satisfies Readonly<Record<string, GrooveSign>>;

/** What a new sign of strip in a groove is asked. */
export const grooveSizes = [
  { id: 'widthMm', label: 'Width', hint: 'of the board', usualMm: 700, leastMm: 200, mostMm: 2400 },
  { id: 'heightMm', label: 'Height', hint: 'of the board', usualMm: 350, leastMm: 120, mostMm: 1200 },
] as const satisfies readonly SizeQuestion[];

/** Width of a capital with its gap, in cap heights. */
const letterAdvance = 0.75;

/** The usual machine reaches so far, with room for the tabs of a seam (mm). */
const usualBedMm = 1220;

/** Seams that leave parts no wider than the machine reaches, all alike. */
const seamsOf = (widthMm: number) => {
  const parts = Math.ceil(widthMm / usualBedMm);
  return Array.from({ length: parts - 1 }, (_, at) => ({
    xMm: Math.round(widthMm * ((at + 1) / parts - 0.5)),
    yMm: 0,
    angleDeg: 90,
  }));
};

/** A board to start from: the words as single lines that fill it, under a soft dome. */
export const newGroove = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): GrooveSign => {
  const { widthMm = grooveSizes[0].usualMm, heightMm = grooveSizes[1].usualMm } = sizesMm;
  const rows = text.split('\n');
  const longest = Math.max(1, ...rows.map((row) => row.length));
  const capHeightMm = Math.max(
    20,
    Math.round(Math.min((widthMm * 0.78) / (longest * letterAdvance), (heightMm * 0.5) / rows.length)),
  );
  const [sign] = lateSoup.assemblies;
  return {
    ...lateSoup,
    name,
    brief: { ...lateSoup.brief, text, readingDistanceMm, outsideQuote: null },
    power: { ...usualPower, level: 0.5 },
    assemblies: [
      {
        ...sign!,
        artwork: { ...sign!.artwork, fontId: 'nunito-extrabold', capHeightMm, toolId: 'bit-3' },
        lines: { from: 'middle' },
        carrier: {
          ...sign!.carrier,
          widthMm,
          heightMm,
          cornerMm: Math.min(30, Math.round(heightMm / 12)),
          whiteGroove: true,
          ...(widthMm > usualBedMm ? { splits: seamsOf(widthMm) } : {}),
        },
        light: { stripId: 'free-cut-24v-480' },
      },
    ],
  };
};
