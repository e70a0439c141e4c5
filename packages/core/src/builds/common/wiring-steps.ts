import { coreWords, jointWords, type Circuit, type WireRun } from '../../power/circuit/index.js';
import type { JointKind } from '../../document/catalogue/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { counted, mm, signStep } from './step-words.js';

/** Usual minutes for one conductor joined at both its ends. */
const minutesPerCore = 3.5;

/** A wire as the bench reads it: from where to where, how thick and long, which core goes on which pad. */
const wireWords = ({ from, to, wire, lengthMm, cores, holes, carries }: WireRun): string => {
  const pads = cores.map(({ name, colour }) =>
    name === 'data' ? `data ${colour}, along the arrow` : `${name} ${colour}`,
  );
  const way = holes.length === 0 ? '' : `, through ${counted(holes.length, 'hole')}`;
  const link = carries === 'link' ? ' (minus of the first to plus of the second)' : '';
  return `${from} to ${to}: ${wire.areaMm2} mm², ${mm(Math.ceil(lengthMm))}${way}, ${pads.join(', ')}${link}`;
};

const joining: Readonly<Record<JointKind, string>> = {
  solder: 'Tin both sides first; sleeve every joint, the more so beside metal; tug it.',
  clip: 'Push the strip square under the contacts, close the clip, tug it; sleeve it beside metal. Light pure red, green and blue (white strip: full) and press each clip: one that flickers is the bad one.',
  plug: 'Solder the leads with the plugs apart; mark both halves, so that no plug goes in the wrong way.',
  lever: 'Bare wire right to its end, no strand outside, close the lever; tug it.',
  screw: 'End sleeves on the strands, screws tight; tug it, and once more after a day.',
};

/** How joints of a kind are made, and what shows a bad one. */
export const joiningWords = ({ joint }: Circuit): string => joining[joint.kind];

/** What making such joints asks for; nothing where there is no heat in it. */
export const joiningCaution = ({ joint }: Circuit): string | null =>
  joint.kind === 'solder' || joint.kind === 'plug' ? 'Solder: ventilate, mind burns.' : null;

/** One step a chain, each with its wires joint by joint. */
const chainSteps = ({ chains, wires, joint }: Circuit): readonly ToldStep[] =>
  chains.map((chain) => {
    const own = wires.filter((wire) => wire.chain === chain.number);
    const cores = own.reduce((sum, wire) => sum + wire.cores.length, 0);
    const fuse = chain.fuseA === null ? '' : ` Its own fuse, ${chain.fuseA} A, at the lead.`;
    return signStep(
      'wire',
      `chain-${chain.number}`,
      `Wire chain ${chain.number}: ${counted(own.length, 'wire')}`,
      `Bare ${joint.stripMm} mm, ${jointWords[joint.kind]}s. ${own.map(wireWords).join('. ')}.${fuse} Light it before the next.`,
      Math.round(minutesPerCore * cores),
    );
  });

/** What is set on the controller, and where it goes. */
const controllerSteps = ({ drive, pixels, leadCores }: Circuit): readonly ToldStep[] => {
  const { controller, amplifiers, inside, sensorWindow } = drive;
  if (controller === null) return [];
  const place = inside ? 'Fix it inside the sign, where it can be reached' : 'Fix it beside the supply';
  const eye =
    controller.remote !== 'infrared'
      ? ''
      : inside && sensorWindow
        ? ' Drill 6 mm for its eye and set the eye flush.'
        : ' Its eye must see the remote.';
  const told =
    pixels > 0 ? ` Set it to ${pixels} pixels and try red, green and blue: set its colour order by what you see.` : '';
  const repeats = amplifiers > 0 ? ` ${counted(amplifiers, 'amplifier')}, one beside each further supply.` : '';
  return [
    signStep(
      'wire',
      'controller',
      `Connect the ${controller.kind}: ${controller.name}`,
      `${place}. ${coreWords(leadCores)}.${told}${eye}${repeats}`,
      15 + 10 * amplifiers,
    ),
  ];
};

/** Joint by joint: a step for each chain of the circuit of the sign, then the controller. */
export const wiringSteps = (circuit: Circuit): readonly ToldStep[] => [
  ...chainSteps(circuit),
  ...controllerSteps(circuit),
];
