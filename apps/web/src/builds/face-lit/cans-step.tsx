import { BackerFields } from '../letters/backer-fields';
import { useFields } from '../../document/selection';
import type { FaceLitAssembly, FaceLitResults } from '@vitrum/core';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField } from '../../fields/design-fields';
import { useLength } from '../../view/use-length';
import { aboutBoard, aboutLining } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { ColourInput } from '../../fields/colour-field';

/** Letter-shaped cases: how deep, of what, and how their faces are held. */
export const CansStep = () => {
  const at = useFields<FaceLitAssembly>();
  const { boards, linings } = useCatalogue();
  const own = useOwnOf<FaceLitResults>('face-lit');
  const show = useLength();
  const geometry = own?.geometry;
  const returns = own?.cut.filter(({ stock }) => stock === 'return') ?? [];
  return (
    <>
      <LengthField
        label="Depth inside"
        field={at.cans.depthInsideMm}
        hint={
          geometry === undefined
            ? undefined
            : `LED to face ${show(geometry.depthInsideMm - geometry.ledZMm)}, ${show(geometry.outside.depthMm)} in all`
        }
      />
      <ChoiceField
        label="Returns"
        wide
        field={at.cans.returnBoardId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('letter')),
          aboutBoard,
        )}
      />
      <LengthField
        label="Return thickness"
        field={at.cans.wallMm}
        hint={geometry === undefined ? undefined : `${show(geometry.returnWidthMm)} wide`}
      />
      <ChoiceField
        label="Backs"
        wide
        field={at.cans.backBoardId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('back')),
          aboutBoard,
        )}
      />
      <ChoiceField
        label="Faces"
        field={at.cans.fit}
        choices={[
          { value: 'inset', label: 'inset' },
          { value: 'trimmed', label: 'under a trim' },
        ]}
      />
      <LengthField label="Play" field={at.cans.playMm} hint="all round, of backs, inset faces and trims" />
      <ChoiceField label="Lining" field={at.cans.liningId} choices={choicesOf(linings, aboutLining)} />
      <ColourInput label="Finished in" field={at.cans.colour} />
      <BackerFields />
      <h3 className="mt-3 font-bold">Returns, rolled out flat</h3>
      <ul className="text-[13px]">
        {returns.map((part) => (
          <li key={part.id} className="border-b border-line py-1">
            <span className="flex justify-between gap-2">
              <span className="font-semibold">{part.name}</span>
              <span className="figure whitespace-nowrap">
                {show(part.widthMm)} × {show(part.heightMm)}
              </span>
            </span>
            <span className="block text-xs text-soft">{part.note}</span>
          </li>
        ))}
      </ul>
    </>
  );
};
