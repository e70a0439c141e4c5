import { useFields } from '../../document/selection';
import { set, type BoxAssembly } from '@vitrum/core';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { changeDesign } from '../../document/document-store';
import { useOwnBox } from './own-box';
import { Button } from '../../ui/button';
import { aboutSheet } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CoatsField } from '../../steps/coats-field';
import { LitToUnlit, percent, ReportTable, Spots, Verdict } from '../../steps/glow-report';
import { TraceCheck } from '../../tryouts/trace-check';

const firstSecond = { sheetId: 'clear-3', gapMm: 10, coats: [{ coatingId: 'sanded-120', coats: 1 }] };

const SecondSheet = () => {
  const at = useFields<BoxAssembly>().face.second;
  const { faces } = useCatalogue();
  const second = useDesignValue(at) ?? null;
  if (second === null)
    return (
      <Button className="my-1" onClick={() => void changeDesign([set(at, firstSecond)])}>
        Add a second sheet behind it
      </Button>
    );
  return (
    <section aria-label="Second sheet" className="my-2 border-l-4 border-line pl-2">
      <div className="flex items-center justify-between">
        <h3 className="font-bold">Second sheet</h3>
        <Button onClick={() => void changeDesign([set(at, null)])}>Take it out</Button>
      </div>
      <ChoiceField label="Sheet" field={at.sheetId} choices={choicesOf(faces, aboutSheet)} wide />
      <LengthField label="Gap to the face" field={at.gapMm} hint="0 is tight against it" />
      <ChoiceField
        label="It stands"
        field={at.seated}
        otherwise="false"
        toStored={(choice) => choice === 'true'}
        choices={[
          { value: 'false', label: 'between the returns' },
          { value: 'true', label: 'in a groove' },
        ]}
      />
      <CoatsField field={at.coats} />
    </section>
  );
};

/** What light goes through, and what comes of it; a face that is no sheet of the shelf is not chosen here. */
export const FaceStep = ({ withSheet = true }: { readonly withSheet?: boolean }) => {
  const at = useFields<BoxAssembly>();
  const { faces } = useCatalogue();
  const own = useOwnBox();
  if (own === null) return null;
  const { stack } = own;
  const { face } = own.materials;
  const { evenness, indirectShare } = own.glow;
  return (
    <>
      {withSheet && (
        <ChoiceField
          label="Face"
          field={at.face.sheetId}
          choices={choicesOf(faces, aboutSheet)}
          wide
          hint={`passes ${percent(face.transmittance)}, ${face.scatter.kind === 'lambertian' ? 'scatters fully' : `scatters ${percent(face.scatter.hazeShare)} within ±${face.scatter.sigmaDeg}°`} (typical)`}
        />
      )}
      <CoatsField field={at.face.coats} />
      <SecondSheet />
      <p className="text-xs text-soft">
        All layers together pass {percent(stack.transmittance)} and give {percent(stack.innerReflectance)} back into the
        case.
      </p>
      <Verdict glow={own.glow} />
      <h3 className="mt-3 font-bold">What the eye sees</h3>
      <ReportTable
        rows={[
          ['mean luminance', `${Math.round(evenness.meanCdM2)} cd/m²`],
          ['5th to 95th percentile', `${Math.round(evenness.lowCdM2)}–${Math.round(evenness.highCdM2)} cd/m²`],
          ['reflected at least once', percent(indirectShare)],
          ['darkest to mean', evenness.minOverMean.toFixed(2)],
          ['darkest to brightest', evenness.minOverMax.toFixed(2)],
          [
            'slow fall-off, eye sees',
            `${(evenness.fallOff.contrast * 100).toFixed(0)} %, ${(evenness.fallOff.threshold * 100).toFixed(1)} %`,
          ],
          ['contrast, LED pitch', `${(evenness.dots.contrast * 100).toFixed(2)} %`],
          [
            'contrast, row pitch',
            evenness.bands === null ? 'one row' : `${(evenness.bands.contrast * 100).toFixed(2)} %`,
          ],
          ['eye sees from there on', `${((evenness.bands ?? evenness.dots).threshold * 100).toFixed(2)} %`],
        ]}
      />
      <Spots glow={own.glow} />
      <TraceCheck
        own={own}
        about="Follows single photons from the LEDs. Slower than patches, and it knows linings that are partly mirrors."
        quickly="by patches"
      />
      <LitToUnlit glow={own.glow} />
    </>
  );
};
