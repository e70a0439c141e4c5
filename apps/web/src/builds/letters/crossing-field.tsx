import { inDesign, type LetterResults } from '@vitrum/core';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField } from '../../fields/design-fields';

/** Holes to drill, or wire to tape over so that it does not shine. */
const crossingHint = (jumpers: LetterResults['jumpers']): string => {
  const holes = new Set(jumpers.flatMap((jumper) => jumper.holes.map((hole) => hole.join()))).size;
  const shining = jumpers.filter(({ openMm }) => openMm > 3);
  if (shining.length === 0) return holes === 0 ? 'all wires stay inside' : `${holes} holes of 8 mm`;
  return `tape where they shine: ${shining.map(({ from, to }) => `${from} to ${to}`).join('; ')}`;
};

interface CrossingFieldProps {
  readonly build: string;
  /** What is usual for this build. */
  readonly usual: 'holes' | 'over';
}

/** How wires go from letter to letter. */
export const CrossingField = ({ build, usual }: CrossingFieldProps) => {
  const own = useOwnOf<LetterResults>(build);
  if (own === null) return null;
  return (
    <ChoiceField
      label="From letter to letter"
      wide
      field={inDesign.power.crossings}
      otherwise={usual}
      choices={[
        { value: 'holes', label: 'behind, by a hole near each end' },
        { value: 'over', label: 'across in front, sleeved or taped' },
      ]}
      hint={crossingHint(own.jumpers)}
    />
  );
};
