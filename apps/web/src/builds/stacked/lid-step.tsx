import type { StackedAssembly, StackedResults } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField } from '../../fields/design-fields';
import { aboutBoard, aboutSheet } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { OverPockets } from '../common/over-pockets';
import { CoatsField } from '../../steps/coats-field';
import { LitToUnlit, percent, ReportTable, Verdict } from '../../steps/glow-report';

/** The lid and what is let into it, and what is seen of letters, bands and the wall. */
export const LidStep = () => {
  const at = useFields<StackedAssembly>().lid;
  const own = useOwnOf<StackedResults>('stacked');
  const { boards, faces } = useCatalogue();
  const cd = (value: number): string => `${Math.round(value).toLocaleString('en')} cd/m²`;
  return (
    <>
      <ChoiceField
        label="Lid"
        wide
        field={at.materialId}
        choices={choicesOf(
          boards.filter(({ form, stuff }) => form === 'sheet' && stuff !== 'printed' && stuff !== 'foam'),
          aboutBoard,
        )}
      />
      <ChoiceField
        label="Letters let in"
        wide
        field={at.inlay.materialId}
        choices={choicesOf(
          faces.filter(({ scatter }) => scatter.kind === 'lambertian'),
          aboutSheet,
        )}
      />
      <OverPockets field={at.inlay.overMm} overMm={own?.lid.inlay?.overMm ?? null} />
      <CoatsField field={at.coats} />
      {own !== null && (
        <>
          <Verdict glow={own.glow} />
          <h3 className="mt-3 font-bold">What is seen</h3>
          <ReportTable
            rows={[
              ['letters, mean', cd(own.glow.lettersCdM2)],
              ['dimmest to mean', percent(own.glow.evenness.minOverMean)],
              ['letters below half the mean', percent(own.glow.dimShare)],
              ...own.glow.bands.flatMap(
                ({ index, meanCdM2, minCdM2, ripple }) =>
                  [
                    [`edge of ring ${index + 1}`, cd(meanCdM2)],
                    [`edge of ring ${index + 1}, dimmest to mean`, percent(meanCdM2 > 0 ? minCdM2 / meanCdM2 : 0)],
                    [`edge of ring ${index + 1}, LEDs along it`, `${(100 * ripple).toFixed(1)} % contrast`],
                  ] as const,
              ),
              ['wall beside it, at most', `${own.glow.wallCdM2.toFixed(1)} cd/m²`],
            ]}
          />
          <h3 className="mt-3 font-bold">Where the light goes</h3>
          <ReportTable
            rows={[
              ['from the LEDs', `${own.glow.emittedLm.toFixed(0)} lm`],
              ['out of letters and bands', `${own.glow.balance.outLm.toFixed(0)} lm`],
              ['kept inside', `${own.glow.balance.absorbedCaseLm.toFixed(0)} lm`],
            ]}
          />
          <LitToUnlit glow={own.glow} />
        </>
      )}
    </>
  );
};
