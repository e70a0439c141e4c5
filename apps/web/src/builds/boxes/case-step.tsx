import { usualGroovePlayMm, type BoxAssembly } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnBox } from './own-box';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard, aboutLining } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { useLength } from '../../view/use-length';
import { BlockField } from './block-field';
import { VentsField } from './vents-field';

/** The case of a light box. */
export const CaseStep = () => {
  const at = useFields<BoxAssembly>();
  const { boards, linings } = useCatalogue();
  const evaluation = useOwnBox();
  const show = useLength();
  const sizeBy = useDesignValue(at.case.sizeBy);
  const retention = useDesignValue(at.case.retention);
  const joint = useDesignValue(at.case.cornerJoint);
  const faceOut = useDesignValue(at.case.faceOut);
  const playMm = useDesignValue(at.case.playMm);
  const geometry = evaluation?.geometry;
  const other =
    geometry === undefined
      ? undefined
      : sizeBy === 'outside'
        ? `face ${show(geometry.face.widthMm)} × ${show(geometry.face.heightMm)}`
        : `outside ${show(geometry.outside.widthMm)} × ${show(geometry.outside.heightMm)}`;
  const runs = evaluation?.runs;
  const throwHint =
    runs === undefined
      ? undefined
      : runs.rowPitchMm === null
        ? `LED to face ${show(runs.throwMm)}`
        : `LED to face ${show(runs.throwMm)}, ${(runs.throwMm / runs.rowPitchMm).toFixed(2)} of the row pitch`;
  return (
    <>
      <LengthField label="Depth inside" field={at.case.depthInsideMm} hint={throwHint} />
      <ChoiceField
        label="Sizes are of"
        field={at.case.sizeBy}
        choices={[
          { value: 'outside', label: 'the outside' },
          { value: 'face', label: 'the face sheet' },
        ]}
      />
      <LengthField label={sizeBy === 'face' ? 'Face width' : 'Outside width'} field={at.case.widthMm} />
      <LengthField label={sizeBy === 'face' ? 'Face height' : 'Outside height'} field={at.case.heightMm} hint={other} />
      <ChoiceField
        label="Returns"
        field={at.case.returnBoardId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('return')),
          aboutBoard,
        )}
      />
      <ChoiceField
        label="Back"
        field={at.case.backBoardId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('back') || uses.includes('back-board')),
          aboutBoard,
        )}
      />
      <ChoiceField
        label="Corners"
        field={at.case.cornerJoint}
        choices={[
          { value: 'butt', label: 'butted, screwed' },
          { value: 'rabbet', label: 'rabbeted, screwed' },
          { value: 'pocket-screws', label: 'butted, pocket screws' },
          { value: 'dowels', label: 'butted, dowelled' },
          { value: 'mitre', label: 'mitred, glued' },
          { value: 'mitre-spline', label: 'mitred, with splines' },
          { value: 'mitre-tenon', label: 'mitred, loose tenons' },
        ]}
      />
      {(joint === 'butt' || joint === 'rabbet') && (
        <ChoiceField
          label="Screw heads"
          field={at.case.plugged}
          otherwise="false"
          toStored={(choice) => choice === 'true'}
          choices={[
            { value: 'false', label: 'flush' },
            { value: 'true', label: 'under wood plugs' },
          ]}
        />
      )}
      <ChoiceField
        label="Face held"
        field={at.case.retention}
        choices={[
          { value: 'rabbet', label: 'in a rabbet' },
          { value: 'groove', label: 'in a groove' },
          { value: 'laid-on', label: 'laid on the front' },
        ]}
      />
      <LengthField label="Seat depth" field={at.case.seatMm} hint="how far face and back reach into the returns" />
      {retention === 'groove' && (
        <>
          <LengthField label="Lip in front" field={at.case.lipMm} />
          <LengthField
            label="Play in its width"
            field={at.case.groovePlayMm}
            otherwise={usualGroovePlayMm}
            hint="groove over sheet, both sides together"
          />
          <LengthField
            label="Mouths chamfered"
            field={at.case.mouthMm}
            otherwise={faceOut === undefined || faceOut === 'never' ? 0 : 1}
          />
          <ChoiceField
            label="It comes out"
            field={at.case.faceOut}
            otherwise="never"
            choices={[
              { value: 'never', label: 'never: glued in' },
              { value: 'top-off', label: 'when the top is off' },
              { value: 'open-top', label: 'upward, top set back' },
              { value: 'lip-back', label: 'never: in last, past a lip' },
            ]}
          />
        </>
      )}
      <LengthField label="Play a side" field={at.case.playMm} />
      <LengthField label="Play of the back" field={at.case.backPlayMm} otherwise={playMm ?? 0} />
      <ChoiceField
        label="Back held"
        field={at.case.backHold}
        otherwise="screws"
        choices={[
          { value: 'screws', label: 'by wood screws' },
          { value: 'inserts', label: 'by threaded inserts' },
          { value: 'turn-buttons', label: 'by turn buttons' },
        ]}
      />
      <LengthField label="Back set in" field={at.case.recessMm} hint="room behind it for a cleat or a plug" />
      <ChoiceField
        label="Lining"
        field={at.case.liningId}
        choices={choicesOf(linings, aboutLining)}
        hint={
          evaluation === null
            ? undefined
            : `reflects ${Math.round(evaluation.materials.lining.reflectance * 100)} % of what falls on it`
        }
      />
      <BlockField />
      <VentsField />
    </>
  );
};
