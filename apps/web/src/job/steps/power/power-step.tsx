import { hardestUsed, joints, ratingShare } from '@vitrum/core';
import { changeDesign } from '../../../document/document-store';
import { useEvaluation } from '../../../evaluation/evaluation-store';
import { ChoiceField, NumberField } from '../../../fields/design-fields';
import { Button } from '../../../ui/button';
import { useLength } from '../../../view/use-length';
import { choicesOf, useCatalogue } from '../../catalogue-context';
import { isByHand, planAgain } from '../../power-edits';
import { ChainsTable } from './chains-table';
import { PiecesTable } from './pieces-table';
import { WiresTable } from './wires-table';

/** Supply, wires and feeds, with what every chain and piece gets. */
export const PowerStep = () => {
  const { supplies, wires } = useCatalogue();
  const evaluation = useEvaluation((state) => state.evaluation);
  const show = useLength();
  if (evaluation === null) return null;
  const { circuit, materials, heat, design } = evaluation;
  const hardest = hardestUsed(circuit.carriers);
  const suited = supplies.filter(({ voltageV }) => voltageV === materials.strip.voltageV);
  return (
    <>
      <ChoiceField
        label="Supply"
        path="power.supplyId"
        choices={[{ value: 'auto', label: 'chosen by load' }, ...choicesOf(suited)]}
        hint={
          circuit.supply === null
            ? 'none in the catalogue will do'
            : `${circuit.supply.name}; ${circuit.neededWatts.toFixed(0)} W needed`
        }
      />
      <NumberField label="Supplies" path="power.supplyCount" />
      <NumberField label="Headroom" path="power.headroomShare" unit="%" scale={100} step={5} />
      <ChoiceField
        label="Runs fed"
        path="power.feed"
        choices={[
          { value: 'one-end', label: 'at one end' },
          { value: 'both-ends', label: 'at both ends' },
        ]}
      />
      <ChoiceField
        label="Joined by"
        path="power.joint"
        otherwise="solder"
        choices={joints.map(({ kind, name }) => ({ value: kind, label: name }))}
        hint={`carries ${circuit.joint.ratedA} A; bare ${circuit.joint.stripMm} mm of wire (typical)`}
      />
      <ChoiceField
        label="Lead"
        path="power.wireId"
        choices={[{ value: 'auto', label: 'chosen by load' }, ...choicesOf(wires)]}
        hint={`${circuit.lead.name}, ${show(design.brief.leadLengthMm)}, loses ${circuit.leadDropV.toFixed(2)} V; fuse ${circuit.fuseA} A`}
      />
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
      <h3 className="mt-3 font-bold">Pieces</h3>
      <PiecesTable evaluation={evaluation} />
      <h3 className="mt-3 font-bold">Wires inside</h3>
      <WiresTable evaluation={evaluation} />
      <p className="mt-2 text-[13px] text-soft">
        Strip {Math.round(heat.stripC.low)}–{Math.round(heat.stripC.high)} °C, face {Math.round(heat.faceC.low)}–
        {Math.round(heat.faceC.high)} °C when lit for good in {heat.surroundingC} °C.
      </p>
      <p className="mt-2 border-l-4 border-caution pl-2 text-[13px]">
        Mains wiring, hard-wired supplies and outdoor signs: local electrical and sign codes, a listed supply, a
        licensed electrician. Fuse the low-voltage side.
      </p>
    </>
  );
};
