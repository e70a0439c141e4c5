import { mostRings, set, type StackedAssembly, type StackedResults } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { useDesignValue } from '../../fields/design-fields';
import { aboutBoard, aboutSheet } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { useLength } from '../../view/use-length';
import { movedRing, ringFrom, ringOn, withoutRing, type Rings } from './ring-edits';

const none: Rings = [];

/** What a ring may be cut from: boards, and opal sheets, which glow at their edge. */
export const useRingChoices = () => {
  const { boards, faces } = useCatalogue();
  return [
    ...choicesOf(
      boards.filter(({ form, stuff }) => form === 'sheet' && stuff !== 'printed' && stuff !== 'foam'),
      aboutBoard,
    ),
    ...choicesOf(
      faces.filter(({ scatter }) => scatter.kind === 'lambertian'),
      aboutSheet,
    ),
  ];
};

interface RowProps {
  readonly rings: Rings;
  readonly index: number;
  readonly change: (next: Rings) => void;
}

const RingRow = ({ rings, index, change }: RowProps) => {
  const id = useId();
  const own = useOwnOf<StackedResults>('stacked');
  const show = useLength();
  const choices = useRingChoices();
  const ring = own?.geometry.rings[index];
  const band = own?.glow.bands.find((each) => each.index === index);
  const name = `Ring ${index + 1}`;
  return (
    <li className="border-b border-line py-1">
      <label htmlFor={id} className="flex items-baseline justify-between text-[13px]">
        <span className="font-semibold">{name}</span>
        <span className="figure text-soft">
          {ring === undefined ? '' : `${show(ring.fromZMm)} to ${show(ring.toZMm)}`}
          {band === undefined ? '' : `, glows ${Math.round(band.meanCdM2).toLocaleString('en')} cd/m²`}
        </span>
      </label>
      <Choice
        id={id}
        className="w-full"
        value={rings[index]!.materialId}
        options={choices}
        onChoose={(chosen) => change(ringFrom(rings, index, chosen))}
      />
      <div className="mt-1 flex flex-wrap gap-1.5">
        <Button
          aria-label={`${name}: up`}
          disabled={index === rings.length - 1}
          onClick={() => change(movedRing(rings, index, 1))}
        >
          Up
        </Button>
        <Button aria-label={`${name}: down`} disabled={index === 0} onClick={() => change(movedRing(rings, index, -1))}>
          Down
        </Button>
        <Button
          aria-label={`${name}: another on it`}
          disabled={rings.length >= mostRings}
          onClick={() => change(ringOn(rings, index))}
        >
          Another on it
        </Button>
        <Button
          aria-label={`${name}: take away`}
          disabled={rings.length === 1}
          onClick={() => change(withoutRing(rings, index))}
        >
          Take away
        </Button>
      </div>
    </li>
  );
};

/** The rings of a stack, the one under the lid first, as they lie. */
export const RingList = () => {
  const at = useFields<StackedAssembly>().plates.rings;
  const rings = useDesignValue(at) ?? none;
  return (
    <>
      <h3 className="mt-3 flex items-baseline justify-between font-bold">
        Rings <span className="text-xs font-normal text-soft">under the lid first; heights from the base</span>
      </h3>
      <ol aria-label="Rings" className="mb-1">
        {rings
          .map((ring, index) => (
            <RingRow key={ring.id} rings={rings} index={index} change={(next) => void changeDesign([set(at, next)])} />
          ))
          .reverse()}
      </ol>
    </>
  );
};
