import { isPrinted, set, usualPrint } from '@vitrum/core';
import { useFields } from '../../document/selection';
import type { HaloAssembly, HaloResults } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';
import { useLength } from '../../view/use-length';
import { aboutBoard, aboutLining } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { BackerFields } from '../letters/backer-fields';
import { ColourInput } from '../../fields/colour-field';

/** Posts letter by letter, and the way back from those put by hand. */
const PostsTable = () => {
  const at = useFields<HaloAssembly>();
  const own = useOwnOf<HaloResults>('halo');
  const pinned = useDesignValue(at.posts.pinned) as readonly unknown[] | undefined;
  if (own === null) return null;
  const letters = [...own.posts].sort(
    (a, b) => Math.min(...a.ring.map(([x]) => x)) - Math.min(...b.ring.map(([x]) => x)),
  );
  const held = pinned?.length ?? 0;
  return (
    <>
      <table className="figure mt-1 w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left font-sans text-xs text-soft">
            <th>letter</th>
            <th className="text-right">weight</th>
            <th className="text-right">posts</th>
            <th className="text-right">a post carries</th>
            <th className="pl-2 text-right">leans</th>
          </tr>
        </thead>
        <tbody>
          {letters.map(({ kg, needed, posts, leanMm }, index) => (
            <tr key={index} className="border-b border-line">
              <td>{index + 1}</td>
              <td className="text-right">{kg.toFixed(2)} kg</td>
              <td className="text-right">{posts.length >= needed ? posts.length : `${posts.length} of ${needed}`}</td>
              <td className="text-right">
                {posts.length === 0 ? '–' : `${Math.max(...posts.map(({ load }) => load.kg)).toFixed(2)} kg`}
              </td>
              <td className="pl-2 text-right">{leanMm < 0.05 ? 'level' : `${leanMm.toFixed(1)} mm`}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-soft">
        Drag a post over the sign, or move it by arrow keys: it stays where you put it (square), the rest is solved.
      </p>
      {held > 0 && (
        <Button className="mt-1" onClick={() => void changeDesign([set(at.posts.pinned, [])])}>
          Let Vitrum place all posts ({held} by hand)
        </Button>
      )}
    </>
  );
};

/** How a shell is printed: what of its walls and fronts is solid, and so how much light they hold back. */
const PrintFields = ({ own }: { readonly own: HaloResults }) => {
  const at = useFields<HaloAssembly>();
  const show = useLength();
  const { solid, wallMm, frontMm } = own.geometry;
  return (
    <>
      <NumberField
        label="Perimeters"
        field={at.letters.perimeters}
        otherwise={usualPrint.perimeters}
        hint={`${show(solid.returnMm)} of ${show(wallMm)} solid`}
      />
      <NumberField
        label="Solid layers"
        field={at.letters.solidLayers}
        otherwise={usualPrint.solidLayers}
        hint={`on each side of a front: ${show(solid.frontMm)} of ${show(frontMm)} solid`}
      />
      <NumberField
        label="Layer height"
        field={at.letters.layerMm}
        otherwise={usualPrint.layerMm}
        unit="mm"
        step={0.05}
      />
    </>
  );
};

/** Halo letters: what they are made of, how far they stand off, what holds them. */
export const LettersStep = () => {
  const at = useFields<HaloAssembly>();
  const { boards, linings } = useCatalogue();
  const own = useOwnOf<HaloResults>('halo');
  const show = useLength();
  const form = useDesignValue(at.letters.form);
  const geometry = own?.geometry;
  const glow = own?.glow;
  return (
    <>
      <LengthField
        label="Standoff"
        field={at.letters.standoffMm}
        hint={glow === undefined ? undefined : `glow ${show(glow.halfMm)} to half, ${show(glow.tenthMm)} to a tenth`}
      />
      <ChoiceField
        label="Letters are"
        field={at.letters.form}
        choices={[
          { value: 'plate', label: 'flat plates' },
          { value: 'hollow', label: 'hollow' },
        ]}
      />
      <ChoiceField
        label="Cut from"
        wide
        field={at.letters.boardId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('letter')),
          aboutBoard,
        )}
        hint={geometry === undefined ? undefined : `${show(geometry.outside.depthMm)} from wall to front`}
      />
      {form === 'hollow' && (
        <>
          <LengthField label="Depth" field={at.letters.depthMm} hint="front to rear edge" />
          <LengthField label="Return thickness" field={at.letters.wallMm} />
          {own !== null && isPrinted(own.materials.board) && <PrintFields own={own} />}
          <ChoiceField
            label="Backs"
            field={at.letters.back}
            choices={[
              { value: 'open', label: 'open, strip inside' },
              { value: 'closed', label: 'closed, strip on them' },
            ]}
          />
        </>
      )}
      <ChoiceField
        label="Backs finished"
        field={at.letters.backFinishId}
        choices={choicesOf(linings, aboutLining)}
        hint={
          own === null
            ? undefined
            : `${Math.round(own.glow.bouncedShare * 100)} % of the wall’s light came by way of them`
        }
      />
      <ColourInput label="Finished in" field={at.letters.colour} />
      <BackerFields />
      <h3 className="mt-3 font-bold">Posts</h3>
      <LengthField label="Thickness" field={at.posts.diameterMm} />
      <NumberField label="Load a post" field={at.posts.perPostKg} unit="kg" step={0.1} />
      <PostsTable />
      <p className="mt-2 border-l-4 border-caution pl-2 text-[13px]">
        Fixings rated for the wall; heavy or overhead letters: a structural professional.
      </p>
    </>
  );
};
