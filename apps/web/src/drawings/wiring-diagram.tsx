import { wiringDiagram } from '@vitrum/core';
import { Tabs } from 'radix-ui';
import { useMemo } from 'react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { BackView } from './back-view';
import { CircuitDrawing } from './circuit-drawing';

const ways = [
  { way: 'diagram', name: 'in order from the socket' },
  { way: 'back', name: 'from behind' },
] as const;

/** The circuit under the picture: in order from the socket, or as it lies on the back of the sign. */
export const WiringDiagram = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const diagram = useMemo(() => (evaluation === null ? null : wiringDiagram(evaluation)), [evaluation]);
  if (evaluation === null || diagram === null) return <div className="h-[262px] shrink-0 bg-sheet" />;
  return (
    <section aria-label="Wiring" className="h-[262px] shrink-0 overflow-auto border-t border-line bg-sheet p-3">
      <Tabs.Root defaultValue="diagram">
        <Tabs.List aria-label="Drawn" className="mb-1 flex gap-4 text-[13px]">
          {ways.map(({ way, name }) => (
            <Tabs.Trigger
              key={way}
              value={way}
              className="border-b-2 border-transparent hover:border-line data-[state=active]:border-ink data-[state=active]:font-semibold"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="diagram">
          <p className="text-[13px] text-soft">every wire with its gauge and what it carries</p>
          <CircuitDrawing diagram={diagram} />
        </Tabs.Content>
        <Tabs.Content value="back">
          <p className="text-[13px] text-soft">
            {evaluation.circuit.pixels > 0
              ? 'arrows show the way data runs; green is data alone'
              : 'arrows run from the start of each segment; blue feeds besides'}
          </p>
          <BackView evaluation={evaluation} />
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
};
