import { useFaceLitEvaluation } from '../../../evaluation/evaluation-store';
import { ChoiceField, LengthField } from '../../../fields/design-fields';
import { useLength } from '../../../view/use-length';
import { choicesOf, useCatalogue } from '../../catalogue-context';
import { ColourInput } from '../../../fields/colour-field';

const at = 'assemblies.0.cans';

/** Letter-shaped cases: how deep, of what, and how their faces are held. */
export const CansStep = () => {
  const { boards, linings } = useCatalogue();
  const evaluation = useFaceLitEvaluation();
  const show = useLength();
  const geometry = evaluation?.geometry;
  const returns = evaluation?.parts.cut.filter(({ stock }) => stock === 'return') ?? [];
  return (
    <>
      <LengthField
        label="Depth inside"
        path={`${at}.depthInsideMm`}
        hint={
          geometry === undefined
            ? undefined
            : `LED to face ${show(geometry.depthInsideMm - geometry.ledZMm)}, ${show(geometry.outside.depthMm)} in all`
        }
      />
      <ChoiceField
        label="Returns"
        wide
        path={`${at}.returnBoardId`}
        choices={choicesOf(boards.filter(({ uses }) => uses.includes('letter')))}
      />
      <LengthField
        label="Return thickness"
        path={`${at}.wallMm`}
        hint={geometry === undefined ? undefined : `${show(geometry.returnWidthMm)} wide`}
      />
      <ChoiceField
        label="Backs"
        wide
        path={`${at}.backBoardId`}
        choices={choicesOf(boards.filter(({ uses }) => uses.includes('back')))}
      />
      <ChoiceField
        label="Faces"
        path={`${at}.fit`}
        choices={[
          { value: 'inset', label: 'inset' },
          { value: 'trimmed', label: 'under a trim' },
        ]}
      />
      <LengthField label="Play" path={`${at}.playMm`} hint="all round, of backs, inset faces and trims" />
      <ChoiceField label="Lining" path={`${at}.liningId`} choices={choicesOf(linings)} />
      <ColourInput label="Finished in" path={`${at}.colour`} />
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
