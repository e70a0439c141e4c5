import { channelsOf, type Strip } from '../../document/catalogue/index.js';
import { jointPieces, type WireRun } from '../../power/circuit/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { higherVoltage, moreSupplies, oneChange } from './candidates.js';
import { wholeSign } from './places.js';
import type { SignRule } from './types.js';

const clipCount = ({ circuit }: SignResults): number =>
  circuit.joint.kind === 'clip'
    ? 2 * circuit.wires.reduce((sum, { cores }) => sum + jointPieces(circuit.joint, cores.length), 0)
    : 0;

/** Clip connectors lose contact after a while, even well below their rating: one colour is missing, or all behind them. */
export const clipsLoseContact: SignRule = ({ results }) => {
  const count = clipCount(results);
  if (count === 0) return null;
  const colours = Math.max(...results.assemblies.map(({ materials }) => channelsOf(materials.strip).length));
  return {
    id: 'clips-lose-contact',
    severity: 'note',
    step: 'power',
    what: 'Clip connectors lose contact in time',
    why: `${count} clips hold by a spring on a thin pad; closed up nobody reaches them. ${colours > 1 ? 'Light pure red, green and blue one after the other and' : 'Light it fully and'} press each clip: one that flickers is the bad one.`,
    numbers: [{ label: 'clips', value: count, unit: '' }],
    where: wholeSign(results),
    target: { label: 'clips', better: 'lower', unit: '', read: clipCount, settled: (tried) => clipCount(tried) === 0 },
    remedies: [oneChange('solder', 'Solder what is closed up', inDesign.power.joint, 'solder')],
  };
};

/** Strands lie looser than solid copper of the same area. */
const looser = 1.15;
/** Of the room that a pad has along the end of a strip, the share that is copper; typical. */
const padShare = 0.7;
/** Insulation round one core, both sides (mm); what a coated strip’s end cap closes on (mm); typical. */
const insulationMm = 0.9;
const capWallMm = 0.6;

const coreMm = (areaMm2: number): number => looser * Math.sqrt((4 * areaMm2) / Math.PI);

/** The thickest core that can be soldered to a strip’s pads and led out of its cap (mm). */
const thickestCoreMm = (strip: Strip): number => {
  const pads = channelsOf(strip).length + 1 + (strip.addressable === true ? 1 : 0);
  const pad = (padShare * strip.widthMm) / pads;
  return strip.protection === 'bare' ? pad : Math.min(pad, strip.heightMm - capWallMm - insulationMm);
};

interface Thick {
  readonly run: WireRun;
  readonly strip: Strip;
}

/** Wires soldered to strip whose pads they are too thick for. */
const tooThick = ({ circuit }: SignResults): readonly Thick[] =>
  circuit.joint.kind !== 'solder'
    ? []
    : circuit.wires.flatMap((run) =>
        run.ends.flatMap((end) => {
          const strip = end === 'lead' ? undefined : circuit.segments[end.segment]?.strip;
          return strip !== undefined && strip.form !== 'modules' && coreMm(run.wire.areaMm2) > thickestCoreMm(strip)
            ? [{ run, strip }]
            : [];
        }),
      );

/** A wire too thick for the pads of the strip, or for the hole of its cap. */
export const wireOverPads: SignRule = ({ results, catalogue }) => {
  const found = tooThick(results);
  const [first] = found;
  if (first === undefined) return null;
  const { run, strip } = first;
  const tenths = (mm: number): number => Math.round(10 * mm) / 10;
  return {
    id: 'wire-over-pads',
    severity: 'fix',
    step: 'power',
    what: 'A wire is too thick for the pads of the strip',
    why: `${run.wire.name} has cores of ${tenths(coreMm(run.wire.areaMm2))} mm; the pads and the end of ${strip.name} take ${tenths(thickestCoreMm(strip))} mm (typical). It bridges pads, or tears them off.`,
    numbers: [
      { label: 'core', value: tenths(coreMm(run.wire.areaMm2)), unit: 'mm' },
      { label: 'takes', value: tenths(thickestCoreMm(strip)), unit: 'mm' },
      { label: 'such joints', value: found.length, unit: '' },
    ],
    where: { view: 'front', rect: { x: run.at[1][0] - 12, y: run.at[1][1] - 12, width: 24, height: 24 } },
    target: {
      label: 'such joints',
      better: 'lower',
      unit: '',
      read: (tried) => tooThick(tried).length,
      settled: (tried) => tooThick(tried).length === 0,
    },
    remedies: [
      ...(results.design.power.feed === 'both-ends'
        ? []
        : [oneChange('both-ends', 'Feed every run at both ends, by thinner wire', inDesign.power.feed, 'both-ends')]),
      oneChange('thin-tails', 'Thin tails on the strip, lever terminals to the wire', inDesign.power.joint, 'lever'),
      moreSupplies(results),
      ...higherVoltage(results, catalogue),
    ],
  };
};
