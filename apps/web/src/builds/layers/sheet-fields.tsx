import {
  pileWords,
  set,
  usualBorderMm,
  type CutAlong,
  type LayersAssembly,
  type LayersResults,
  type StandingSheet,
} from '@vitrum/core';
import { useId, useState } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ColourInput } from '../../fields/colour-field';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { TypedField } from '../../fields/typed-field';
import { aboutBoard, aboutSheet } from '../../fields/material-facts';
import { FieldRow } from '../../fields/field-row';
import { Choice } from '../../ui/choice';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { HeldField } from './comb-fields';
import { OverPockets } from '../common/over-pockets';
import { PictureField } from '../common/picture-field';
import { DrawingPick } from '../../steps/drawing-pick';
import { Button } from '../../ui/button';
import { lazyPart } from '../../ui/lazy-part';
import { useLength } from '../../view/use-length';

const CutLine = lazyPart(() => import('./cut-line'), 'CutLine', { fallback: null });

const open = 'open';

/** What is let into a lettered sheet, and how tightly. */
const InlayFields = ({ index, overMm }: { readonly index: number; readonly overMm: number | null }) => {
  const at = useFields<LayersAssembly>().scene.sheets.at(index);
  const id = useId();
  const { faces } = useCatalogue();
  const inlay = useDesignValue(at.inlay) ?? null;
  return (
    <>
      <FieldRow id={id} label="Letters let in" below>
        <Choice
          id={id}
          className="w-full"
          value={inlay?.materialId ?? open}
          options={[
            { value: open, label: 'none: they stay open' },
            ...choicesOf(
              faces.filter(({ scatter }) => scatter.kind === 'lambertian'),
              aboutSheet,
            ),
          ]}
          onChoose={(chosen) =>
            void changeDesign([set(at.inlay, chosen === open ? null : { ...inlay, materialId: chosen })])
          }
        />
      </FieldRow>
      {inlay !== null && <OverPockets field={at.inlay.overMm} overMm={overMm} />}
    </>
  );
};

/** A print that is cut out along a line drawn on it; nothing where the sheet has none. */
const CutLineField = ({ index }: { readonly index: number }) => {
  const at = useFields<LayersAssembly>().scene.sheets.at(index);
  const picture = useDesignValue(at.picture) ?? null;
  const [drawing, setDrawing] = useState(false);
  if (picture === null) return null;
  const take = ({ rings, picture: cut }: CutAlong): string | null => {
    const [wrong] = changeDesign([
      set(at.drawing, { name: picture.name, scale: 1, rings: rings.map((ring) => [...ring]) }),
      set(at.shape, 'drawing'),
      set(at.picture, cut),
    ]);
    if (wrong === undefined) setDrawing(false);
    return wrong?.message ?? null;
  };
  return (
    <div className="py-1">
      <Button onClick={() => setDrawing(true)}>Cut the print out along a line …</Button>
      {drawing && <CutLine picture={picture} onUse={take} onClose={() => setDrawing(false)} />}
    </div>
  );
};

/** What holds a sheet, and where it comes to where that is not where it was wanted. */
const heldWords = ({ carried, errorMm, rearZMm }: StandingSheet, show: (mm: number) => string): string => {
  const posts = carried.flatMap((each) => each.posts);
  const piles = [...new Set(posts.map(({ pile }) => pileWords(pile)))];
  const by = [
    ...(carried.some(({ slots }) => slots.length > 0) ? ['slotted into the combs'] : []),
    ...(posts.length > 0 ? [`${posts.length} ${posts.length === 1 ? 'spacer' : 'spacers'}: ${piles.join(', ')}`] : []),
    ...(carried.some(({ flat }) => flat) ? ['glued flat'] : []),
  ];
  return `${by.join('; ') || 'held by nothing'}${Math.abs(errorMm) > 0.05 ? `; comes to ${show(rearZMm)}` : ''}`;
};

/** All that one sheet says of itself. */
export const SheetFields = ({ index }: { readonly index: number }) => {
  const at = useFields<LayersAssembly>().scene.sheets.at(index);
  const own = useOwnOf<LayersResults>('layers');
  const { boards, faces } = useCatalogue();
  const show = useLength();
  const shape = useDesignValue(at.shape);
  const name = useDesignValue(at.name) ?? '';
  const drawing = useDesignValue(at.drawing) ?? null;
  const printed = Boolean(useDesignValue(at.picture));
  const standing = own?.scene.sheets.find((each) => each.index === index);
  return (
    <section aria-label="Sheet" className="border-t border-line pt-2">
      <TypedField
        label="Called"
        stored={name}
        save={(text) => {
          const wanted = text.trim().slice(0, 120);
          if (wanted === '') return 'a sheet wants a name';
          return changeDesign([set(at.name, wanted)])[0]?.message ?? null;
        }}
      />
      <ChoiceField
        label="Shape"
        field={at.shape}
        choices={[
          { value: 'drawing', label: 'a drawing' },
          { value: 'window', label: 'a window' },
          { value: 'letters', label: 'letters' },
          { value: 'lettered', label: 'letters cut out of it' },
          { value: 'whole', label: 'the whole inside' },
        ]}
      />
      {shape === 'drawing' && (
        <DrawingPick
          label={drawing?.name ?? 'no drawing yet'}
          button={drawing === null ? 'SVG, DXF, PDF, scan …' : 'Another …'}
          onUse={(value) => changeDesign([set(at.drawing, value), set(at.shape, 'drawing')])[0]?.message ?? null}
        />
      )}
      {shape === 'window' && (
        <LengthField
          label="Border"
          field={at.borderMm}
          otherwise={usualBorderMm}
          hint="hides strip and spacers behind it"
        />
      )}
      <LengthField
        label="Stands at"
        field={at.heightMm}
        hint={standing === undefined ? 'from the back to its rear side' : heldWords(standing, show)}
      />
      <HeldField index={index} />
      <ChoiceField
        label="Cut from"
        field={at.materialId}
        choices={[
          ...choicesOf(
            boards.filter(({ uses }) => uses.includes('sheet')),
            aboutBoard,
          ),
          ...choicesOf(
            faces.filter(({ scatter }) => scatter.kind === 'lambertian'),
            aboutSheet,
          ),
        ]}
      />
      {shape === 'lettered' && <InlayFields index={index} overMm={standing?.inlay?.overMm ?? null} />}
      {printed ? null : <ColourInput label="Front" field={at.colour} />}
      <ChoiceField
        label="Rear side"
        field={at.whiteBehind}
        otherwise="true"
        toStored={(choice) => choice === 'true'}
        choices={[
          { value: 'true', label: 'white, so that light bounces' },
          { value: 'false', label: 'as its front' },
        ]}
      />
      {shape !== 'window' && shape !== 'whole' && (
        <>
          <LengthField label="Moved right" field={at.xMm} />
          <LengthField label="Moved up" field={at.yMm} />
        </>
      )}
      {shape !== 'letters' && <CutLineField index={index} />}
      {shape !== 'letters' && (
        <PictureField
          field={at.picture}
          title="Or a print on its front"
          hint="A photograph over its outline, glued on and cut out with it."
        />
      )}
    </section>
  );
};
