import { usualViewDeg, type LayersAssembly, type LayersResults } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ColourInput } from '../../fields/colour-field';
import { ChoiceField, NumberField } from '../../fields/design-fields';
import { aboutSheet } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** What is seen of the scene: its back, its front, from how far aside, and how its layers are told apart. */
export const LookStep = () => {
  const at = useFields<LayersAssembly>();
  const own = useOwnOf<LayersResults>('layers');
  const { faces } = useCatalogue();
  return (
    <>
      <ColourInput label="Back" field={at.scene.backColour} />
      <ChoiceField
        label="Clear front"
        field={at.face.sheetId}
        choices={choicesOf(
          faces.filter(({ transmittance }) => transmittance > 0.85),
          aboutSheet,
        )}
        hint="keeps dust out of the scene"
      />
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
                  <td className="font-sans">{seen.name}</td>
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
