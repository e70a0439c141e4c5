import {
  capital,
  fixingItems,
  hangingWays,
  inDesign,
  set,
  usualCleatMm,
  usualHeightMm,
  usualShiftMm,
  usualStudPitchMm,
  wayNames,
  type Hang,
  type HangingDesign,
} from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useEvaluation } from '../../evaluation/evaluation-store';
import { useOwn } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { useCatalogue } from '../../job/catalogue-context';
import { Choice } from '../../ui/choice';
import { useId } from 'react';
import { useLength } from '../../view/use-length';
import { CleatDrawing } from './cleat-drawing';
import { HangReport } from './hang-report';
import { WallDrawing } from './wall-drawing';

const WallFields = () => {
  const id = useId();
  const wall = useDesignValue(inDesign.brief.wall);
  const choose = (kind: string): void =>
    void changeDesign([set(inDesign.brief.wall, { ...wall, kind: kind as 'masonry' | 'studs' | 'board' })]);
  return (
    <>
      <FieldRow id={id} label="It is fixed to">
        <Choice
          id={id}
          className="w-40"
          value={wall?.kind ?? 'masonry'}
          options={[
            { value: 'masonry', label: 'brick or concrete' },
            { value: 'studs', label: 'studs behind board' },
            { value: 'board', label: 'board alone' },
          ]}
          onChoose={choose}
        />
      </FieldRow>
      {wall?.kind === 'studs' && (
        <>
          <LengthField
            label="Stud to stud"
            field={inDesign.brief.wall.studPitchMm}
            otherwise={usualStudPitchMm}
            hint="middle to middle"
          />
          {wall.studAtMm === undefined ? (
            <p className="py-1 text-xs text-soft">
              Nobody has said where the studs are.{' '}
              <button
                type="button"
                className="font-semibold underline"
                onClick={() => void changeDesign([set(inDesign.brief.wall.studAtMm, 0)])}
              >
                I have found one
              </button>
            </p>
          ) : (
            <LengthField
              label="A stud is at"
              field={inDesign.brief.wall.studAtMm}
              hint="from the middle of the sign, right positive"
            />
          )}
        </>
      )}
    </>
  );
};

const WayField = ({ hang, hanging }: { readonly hang: Hang; readonly hanging: HangingDesign | null }) => {
  const id = useId();
  const at = useFields();
  const choose = (way: string): void => {
    const { pinned: _pinned, count: _count, ...kept } = hanging ?? { way: 'keyholes' as const };
    void changeDesign([set(at.hanging, { ...kept, way: way as HangingDesign['way'] })]);
  };
  return (
    <FieldRow id={id} label="Hangs or stands" below>
      <Choice
        id={id}
        className="w-full"
        value={hang.way ?? ''}
        options={[
          ...(hang.way === null ? [{ value: '', label: 'not decided yet' }] : []),
          ...hangingWays
            .filter((way) => hang.ways.includes(way))
            .map((way) => ({ value: way, label: capital(wayNames[way]) })),
        ]}
        onChoose={choose}
      />
    </FieldRow>
  );
};

const CleatFields = ({ hang }: { readonly hang: Hang }) => {
  const at = useFields().hanging;
  const show = useLength();
  const { cleat } = hang;
  // A mate goes between returns where there are any.
  const framed = hang.bodies.some(({ rails }) => rails !== null);
  return (
    <>
      <LengthField
        label="Battens, thick"
        field={at.cleatMm}
        otherwise={usualCleatMm}
        hint={
          cleat === null ? undefined : `cut from ${show(cleat.thicknessMm)}; lifted ${show(cleat.liftMm)} to come off`
        }
      />
      {framed && (
        <ChoiceField
          label="Mate fixed to"
          field={at.matedTo}
          otherwise="back"
          choices={[
            { value: 'back', label: 'the back' },
            { value: 'returns', label: 'the case round it' },
          ]}
        />
      )}
      <LengthField label="Shifted up to" field={at.shiftMm} otherwise={usualShiftMm} hint="sideways, once it hangs" />
    </>
  );
};

const FixingFields = ({ hang }: { readonly hang: Hang }) => {
  const at = useFields().hanging;
  const catalogue = useCatalogue();
  const items = fixingItems(catalogue, hang.wall);
  const [first] = hang.fixings;
  return (
    <>
      <ChoiceField
        label="Fixing"
        field={at.fixingId}
        otherwise=""
        wide
        toStored={(choice) => (choice === '' ? undefined : choice)}
        choices={[
          { value: '', label: first === undefined ? 'the cheapest that carries it' : `Chosen: ${first.item.name}` },
          ...items.map(({ id, name, shearKg, pullKg }) => ({
            value: id,
            label: `${name}, ${shearKg} kg along, ${pullKg} kg off`,
          })),
        ]}
      />
      {hang.way !== 'cleat' && (
        <>
          <NumberField label="How many" field={at.count} otherwise={hang.fixings.length} />
          {hang.takesBlocks && (
            <ChoiceField
              label="Glue blocks behind"
              field={at.blocks}
              otherwise="false"
              toStored={(choice) => choice === 'true'}
              choices={[
                { value: 'false', label: 'none' },
                { value: 'true', label: 'one at each' },
              ]}
            />
          )}
        </>
      )}
    </>
  );
};

/** How an assembly hangs: the wall, the way, its fixings, and what each carries. */
export const HangStep = () => {
  const at = useFields();
  const own = useOwn();
  const hanging = useDesignValue(at.hanging) ?? null;
  const bounds = useEvaluation((state) => state.evaluation?.bounds);
  if (own === null || bounds === undefined) return null;
  const { hang } = own;
  if (hang === null)
    return (
      <p className="py-2 text-soft">It stands on another part of the sign, which carries it: choose that above.</p>
    );
  if (hang.way === 'stands')
    return (
      <>
        <p className="py-2 text-soft">It stands on its own base; nothing is fixed to a wall.</p>
        <HangReport hang={hang} />
      </>
    );
  return (
    <>
      {hang.way !== 'feet' && <WallFields />}
      {hang.ways.length > 0 ? (
        <WayField hang={hang} hanging={hanging} />
      ) : (
        <p className="py-1 text-[13px] text-soft">
          {capital(wayNames[hang.way ?? 'holes'])}, letter by letter: {hang.fixings.length} fixings.
        </p>
      )}
      {hanging !== null && hang.ways.length > 0 && (
        <>
          {hang.cleat !== null && <CleatFields hang={hang} />}
          {hang.way === 'feet' ? (
            <LengthField
              label="Feet, deep"
              field={at.hanging.footMm}
              otherwise={hang.feet?.wantedMm ?? 0}
              hint="front to rear"
            />
          ) : (
            <FixingFields hang={hang} />
          )}
          {hang.way !== 'feet' && (
            <LengthField label="Middle above the floor" field={at.hanging.heightMm} otherwise={usualHeightMm} />
          )}
        </>
      )}
      <WallDrawing hang={hang} bounds={bounds} />
      {hang.cleat !== null && <CleatDrawing hang={hang} cleat={hang.cleat} />}
      <HangReport hang={hang} />
    </>
  );
};
