import type { Evaluation } from '@vitrum/core';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { changeDesign } from '../../document/document-store';
import { useEvaluation } from '../../evaluation/evaluation-store';
import { Button } from '../../ui/button';
import { choicesOf, useCatalogue } from '../catalogue-context';
import { CoatsField } from './coats-field';
import { TraceCheck } from './trace-check';

const at = 'assemblies.0';

const secondPath = `${at}.face.second`;
const firstSecond = { sheetId: 'clear-3', gapMm: 10, coats: [{ coatingId: 'sanded-120', coats: 1 }] };

const SecondSheet = () => {
  const { faces } = useCatalogue();
  const second = useDesignValue(secondPath) ?? null;
  if (second === null)
    return (
      <Button className="my-1" onClick={() => void changeDesign([{ path: secondPath, value: firstSecond }])}>
        Add a second sheet behind it
      </Button>
    );
  return (
    <section aria-label="Second sheet" className="my-2 border-l-4 border-line pl-2">
      <div className="flex items-center justify-between">
        <h3 className="font-bold">Second sheet</h3>
        <Button onClick={() => void changeDesign([{ path: secondPath, value: null }])}>Take it out</Button>
      </div>
      <ChoiceField label="Sheet" path={`${secondPath}.sheetId`} choices={choicesOf(faces)} wide />
      <LengthField label="Gap to the face" path={`${secondPath}.gapMm`} hint="0 is tight against it" />
      <CoatsField path={`${secondPath}.coats`} />
    </section>
  );
};

const Verdict = ({ glow }: { readonly glow: Evaluation['glow'] }) => (
  <p
    data-testid="verdict"
    className={`my-2 border border-l-4 border-line bg-sheet px-3 py-2 ${glow.verdict.verdict === 'even' ? 'border-l-sound' : 'border-l-signal'}`}
  >
    {glow.verdict.sentence}
  </p>
);

const Spots = ({ glow }: { readonly glow: Evaluation['glow'] }) =>
  glow.spots.length === 0 ? null : (
    <>
      <h3 className="mt-3 font-bold">Hot and dark places</h3>
      <ul className="text-[13px]" data-testid="spots">
        {glow.spots.map(({ kind, cdM2, overMean, why, at: [x, y] }) => (
          <li key={`${kind}${x}${y}`} className="border-b border-line py-1">
            <span className="figure float-right">
              {Math.round(cdM2)} cd/m², {Math.round(overMean * 100)} %
            </span>
            <strong>{kind}</strong> <span className="text-soft">{why}</span>
          </li>
        ))}
      </ul>
      <p className="text-xs text-soft">Per cent of the mean; marked on the face in false colour.</p>
    </>
  );

const percent = (share: number): string => `${Math.round(share * 100)} %`;

export const FaceStep = () => {
  const { faces } = useCatalogue();
  const evaluation = useEvaluation((state) => state.evaluation);
  if (evaluation === null) return null;
  const { stack } = evaluation;
  const { face } = evaluation.materials;
  const { evenness, daylight, indirectShare } = evaluation.glow;
  return (
    <>
      <ChoiceField
        label="Face"
        path={`${at}.face.sheetId`}
        choices={choicesOf(faces)}
        wide
        hint={`passes ${percent(face.transmittance)}, ${face.scatter.kind === 'lambertian' ? 'scatters fully' : `scatters ${percent(face.scatter.hazeShare)} within ±${face.scatter.sigmaDeg}°`} (typical)`}
      />
      <CoatsField path={`${at}.face.coats`} />
      <SecondSheet />
      <p className="text-xs text-soft">
        All layers together pass {percent(stack.transmittance)} and give {percent(stack.innerReflectance)} back into the
        case.
      </p>
      <Verdict glow={evaluation.glow} />
      <h3 className="mt-3 font-bold">What the eye sees</h3>
      <table className="figure w-full text-[13px]">
        <tbody>
          {(
            [
              ['mean luminance', `${Math.round(evenness.meanCdM2)} cd/m²`],
              ['5th to 95th percentile', `${Math.round(evenness.lowCdM2)}–${Math.round(evenness.highCdM2)}`],
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
            ] as const
          ).map(([label, value]) => (
            <tr key={label} className="border-b border-line">
              <th scope="row" className="py-0.5 text-left font-sans font-normal">
                {label}
              </th>
              <td className="text-right whitespace-nowrap">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Spots glow={evaluation.glow} />
      <TraceCheck />
      <h3 className="mt-3 font-bold">Lit to unlit</h3>
      <table className="figure w-full text-[13px]">
        <tbody>
          {daylight.map(({ ambient, lux, litOverUnlit }) => (
            <tr key={ambient} className="border-b border-line">
              <th scope="row" className="py-0.5 text-left font-sans font-normal">
                {ambient}, {lux.toLocaleString('en')} lx
              </th>
              <td className="text-right">
                {litOverUnlit >= 100 ? Math.round(litOverUnlit).toLocaleString('en') : litOverUnlit.toFixed(2)} : 1
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
};
