import { capital, set, usualViewDeg, type LayersAssembly, type LayersResults } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ColourInput } from '../../fields/colour-field';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { aboutBoard, aboutSheet } from '../../fields/material-facts';
import { Choice } from '../../ui/choice';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';

/** Thicker strips round a front are a frame of their own (mm). */
const mostTrimMm = 12;

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const noTrim = 'none';
/** As wide as usual returns are thick (mm). */
const usualTrimMm = 12;

/** The trim round the front: none, or from a board, and how wide. */
const TrimFields = () => {
  const at = useFields<LayersAssembly>().trim;
  const id = useId();
  const { boards } = useCatalogue();
  const trim = useDesignValue(at) ?? null;
  return (
    <>
      <FieldRow id={id} label="Trim round the front">
        <Choice
          id={id}
          className="w-full"
          value={trim?.materialId ?? noTrim}
          options={[
            { value: noTrim, label: 'none' },
            ...choicesOf(
              boards.filter(({ stuff, thicknessMm }) => stuff === 'wood' && thicknessMm <= mostTrimMm),
              aboutBoard,
            ),
          ]}
          onChoose={(chosen) =>
            void changeDesign([
              set(at, chosen === noTrim ? null : { widthMm: usualTrimMm, ...trim, materialId: chosen }),
            ])
          }
        />
      </FieldRow>
      {trim !== null && (
        <LengthField label="Trim, wide" field={at.widthMm} hint="over the edges of returns and front" />
      )}
    </>
  );
};

/** What is seen of the scene: its back, its front, from how far aside, and how its layers are told apart. */
export const LookStep = () => {
  const at = useFields<LayersAssembly>();
  const own = useOwnOf<LayersResults>('layers');
  const { faces } = useCatalogue();
  return (
    <>
      <ColourInput label="Colour of the back" field={at.scene.backColour} />
      <ChoiceField
        label="Clear front"
        field={at.face.sheetId}
        choices={choicesOf(
          faces.filter(({ transmittance }) => transmittance > 0.85),
          aboutSheet,
        )}
        hint="keeps dust out of the scene"
      />
      <TrimFields />
      <NumberField
        label="Hidden from"
        field={at.scene.viewDeg}
        otherwise={usualViewDeg}
        unit="°"
        hint="so far aside neither strip nor spacers may be seen"
      />
      {own !== null && (
        <>
          <h3 className="mt-3 font-bold">What is seen</h3>
          <table className="figure w-full text-[13px]">
            <thead>
              <tr className="border-b border-ink text-left font-sans text-xs text-soft">
                <th>layer</th>
                <th className="text-right">of the opening</th>
                <th className="text-right">light on it</th>
                <th className="text-right">shines</th>
              </tr>
            </thead>
            <tbody>
              {[...own.glow.seen].reverse().map((seen) => (
                <tr key={seen.name} className="border-b border-line">
                  <td className="font-sans">{capital(seen.name)}</td>
                  <td className="text-right">{percent(seen.seenShare)}</td>
                  <td className="text-right">{Math.round(seen.meanLux).toLocaleString('en')} lx</td>
                  <td className="text-right">{Math.round(seen.meanCdM2).toLocaleString('en')} cd/m²</td>
                </tr>
              ))}
            </tbody>
          </table>
          <h3 className="mt-3 font-bold">Edges between layers</h3>
          <p className="text-[13px] text-soft">
            How far luminances are apart on both sides of an edge, and hues at the same luminance; the weakest first.
            From about 10 % of either on a layer is told from the next (typical).
          </p>
          <table className="figure w-full text-[13px]">
            <thead>
              <tr className="border-b border-ink text-left font-sans text-xs text-soft">
                <th>edge</th>
                <th className="text-right">contrast</th>
                <th className="text-right">hues</th>
              </tr>
            </thead>
            <tbody>
              {[...own.glow.steps]
                .sort((a, b) => Math.max(a.contrast, a.hues) - Math.max(b.contrast, b.hues))
                .map((step) => (
                  <tr key={`${step.front} ${step.behind}`} className="border-b border-line">
                    <td className="font-sans">
                      {step.front} before {step.behind}
                    </td>
                    <td className="text-right">{percent(step.contrast)}</td>
                    <td className="text-right">{percent(step.hues)}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </>
      )}
    </>
  );
};
