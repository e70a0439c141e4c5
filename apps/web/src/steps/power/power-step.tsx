import { hardestUsed, ratingShare, type AssemblyEvaluation } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useEvaluation } from '../../evaluation/evaluation-store';
import { Button } from '../../ui/button';
import { isByHand, planAgain } from './power-edits';
import { ChainsTable } from './chains-table';
import { ControlFields } from './control-fields';
import { FeedFields } from './feed-fields';
import { SegmentsTable } from './segments-table';
import { SupplyFields } from './supply-fields';
import { WiresTable } from './wires-table';

const rounded = ({ low, high }: { readonly low: number; readonly high: number }): string =>
  `${Math.round(low)}–${Math.round(high)} °C`;

/** How warm an assembly gets. */
const HeatOf = ({ own: { label, heat, materials } }: { readonly own: AssemblyEvaluation }) => (
  <p className="text-[13px] text-soft">
    {label !== '' && `${label}: `}
    {heat.watts.toFixed(1)} W stay as heat. Lit for good in {heat.surroundingC} °C: air inside{' '}
    {rounded(heat.airInsideC)}, strip {rounded(heat.stripC)} of {materials.strip.maxBoardC} °C, face{' '}
    {rounded(heat.faceC)}.{heat.vents !== null && ` Vents leak ${heat.vents.leakLm.toFixed(1)} lm.`} A soak with a
    thermometer tells more.
  </p>
);

/** Supply, wires and feeds, with what every chain and segment gets. */
export const PowerStep = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  if (evaluation === null) return null;
  const { circuit, assemblies, design } = evaluation;
  const hardest = hardestUsed(circuit.carriers);
  return (
    <>
      <SupplyFields evaluation={evaluation} />
      <h3 className="mt-3 font-bold">How it is set</h3>
      <ControlFields evaluation={evaluation} />
      <h3 className="mt-3 font-bold">How it is fed</h3>
      <FeedFields evaluation={evaluation} />
      {hardest !== null && (
        <p className="mt-2 text-[13px] text-soft">
          Nearest to its rating: {hardest.name}, {hardest.amps.toFixed(2)} of {hardest.ratedA.toFixed(1)} A,{' '}
          {Math.round(100 * ratingShare(hardest))} %.
        </p>
      )}
      <h3 className="mt-3 font-bold">Chains</h3>
      <ChainsTable evaluation={evaluation} />
      <p className="mt-1 text-[13px] text-soft">
        {circuit.copperWatts.toFixed(1)} W of {circuit.watts.toFixed(1)} W warm copper and joints. Solved group by
        group: what comes to a joint leaves it to{' '}
        {circuit.residualA < 1e-9 ? 'a billionth of an ampere' : `${circuit.residualA.toExponential(0)} A`}.
      </p>
      {isByHand(design.power) && (
        <Button className="mt-1" onClick={() => void changeDesign(planAgain())}>
          Plan feeds and chains again
        </Button>
      )}
      <h3 className="mt-3 font-bold">Segments</h3>
      <SegmentsTable evaluation={evaluation} />
      <h3 className="mt-3 font-bold">Wires inside</h3>
      <WiresTable evaluation={evaluation} />
      <h3 className="mt-3 font-bold">Heat</h3>
      {assemblies.map((own) => (
        <HeatOf key={own.id} own={own} />
      ))}
      <p className="mt-2 border-l-4 border-caution pl-2 text-[13px]">
        Mains wiring, hard-wired supplies and outdoor signs: local electrical and sign codes, a listed supply, a
        licensed electrician. Fuse the low-voltage side.
      </p>
    </>
  );
};
