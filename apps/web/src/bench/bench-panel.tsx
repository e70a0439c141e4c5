import { useEffect, useState } from 'react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useCatalogue } from '../job/catalogue-context';
import { Button } from '../ui/button';
import { benchLink, useBench } from './bench-store';
import { Commissioning } from './commissioning';
import { ControllerPanel } from './controller-panel';
import { Instruments } from './instruments';
import { SegmentTicks } from './segment-ticks';

/** The bench: controller, instruments, and commissioning; the lit view follows the controller while it is open. */
export const BenchPanel = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const catalogue = useCatalogue();
  const [open, setOpen] = useState(false);
  const driving = useBench(({ setting }) => setting !== null);
  const link = benchLink;
  useEffect(() => {
    benchLink.open(catalogue);
    return benchLink.leave;
  }, [catalogue]);
  if (evaluation === null) return null;
  return (
    <section aria-label="Bench">
      <div className="no-print mt-3 flex items-center justify-between gap-2">
        <h3 className="font-bold">On the bench</h3>
        <Button
          aria-expanded={open}
          onClick={() => {
            if (open) link.leave();
            setOpen(!open);
          }}
        >
          {open ? 'Put it away' : 'Lay it on the bench'}
        </Button>
      </div>
      <p className="no-print mb-1 text-[13px] text-soft">
        {driving
          ? 'The lit view shows what the controller is set to, all stand-ins computed from the design.'
          : 'A controller, a meter and a thermometer that read this design’s circuit.'}
      </p>
      {driving && !open && (
        <Button className="no-print mb-1" onClick={() => link.leave()}>
          Show the design again
        </Button>
      )}
      {open && (
        <div className="no-print space-y-2">
          <ControllerPanel evaluation={evaluation} link={link} />
          <Instruments evaluation={evaluation} />
        </div>
      )}
      <SegmentTicks evaluation={evaluation} />
      <Commissioning evaluation={evaluation} link={link} />
    </section>
  );
};
