import type { ComparedWay, EdgeLitAssembly, PanelResults } from '@vitrum/core';
import { useEffect, useRef, useState } from 'react';
import { changeDesign, useDocument } from '../../document/document-store';
import { useChosenIndex, useFields } from '../../document/selection';
import { useCatalogue } from '../../job/catalogue-context';
import { useOwnOf } from '../../evaluation/own';
import { Button } from '../../ui/button';
import { compare } from '../../tryouts/compare';
import { edgeWays } from './edge-edits';

const told = [
  ['evenness', 'even', ({ value }) => `${Math.round(100 * value)} %`],
  ['luminance', 'cd/m²', ({ value }) => `${Math.round(value)}`],
  ['watts', 'W', ({ value }) => value.toFixed(1)],
  ['cost', 'price', ({ text }) => text.replace(/[.,]\d\d$/, '')],
] as const satisfies readonly (readonly [
  string,
  string,
  (figure: { readonly text: string; readonly value: number }) => string,
])[];

/** Ways to light the sheet beside one another: which edges, which thickness. Each is tried whole; one is taken with a click. */
export const CompareEdges = () => {
  const at = useFields<EdgeLitAssembly>();
  const catalogue = useCatalogue();
  const index = useChosenIndex();
  const design = useDocument((state) => state.design);
  const results = useOwnOf<PanelResults>('edge-lit');
  const [found, setFound] = useState<{
    readonly of: unknown;
    readonly ways: readonly ComparedWay[];
    readonly done: boolean;
  } | null>(null);
  const callOff = useRef<(() => void) | null>(null);
  useEffect(() => () => callOff.current?.(), []);
  if (design === null) return null;
  if (results === null) return null;
  const ways = edgeWays(at, results, catalogue.panes);
  const run = (): void => {
    callOff.current?.();
    setFound({ of: design, ways: [], done: false });
    callOff.current = compare(catalogue, design, index, ways, (seen, done) =>
      setFound({ of: design, ways: seen, done }),
    );
  };
  const fresh = found !== null && found.of === design;
  return (
    <section aria-label="Edges, sheets, places compared" className="mt-3">
      <div className="flex items-center justify-between gap-2">
        <h3 className="font-bold">Edges, sheets, places compared</h3>
        <Button disabled={found !== null && !found.done} onClick={run}>
          {found !== null && !found.done ? 'Comparing …' : 'Compare'}
        </Button>
      </div>
      {found !== null && found.ways.length > 0 && (
        <table className="figure w-full text-[12px]" data-testid="compared">
          <thead>
            <tr className="border-b border-ink text-left font-sans text-xs text-soft">
              <th />
              {told.map(([id, word]) => (
                <th key={id} className="text-right">
                  {word}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {found.ways.map((way) => (
              <tr key={way.label} className={`border-b border-line ${way.isNow ? 'font-bold' : ''}`}>
                <th scope="row" className="py-0.5 text-left font-sans font-normal">
                  <button
                    type="button"
                    className="cursor-pointer text-left underline decoration-line underline-offset-2 hover:decoration-ink disabled:no-underline"
                    disabled={!fresh || way.isNow}
                    title={way.amiss?.what}
                    onClick={() => void changeDesign(ways.find(({ label }) => label === way.label)!.change)}
                  >
                    {way.label}
                  </button>
                  {way.amiss !== null && (
                    <span
                      className={`ml-1 ${way.amiss.severity === 'stop' ? 'text-caution' : 'text-signal'}`}
                      aria-label={way.amiss.what}
                    >
                      {way.amiss.severity === 'stop' ? '■' : '▲'}
                    </span>
                  )}
                </th>
                {told.map(([id, , show]) => (
                  <td key={id} className="pl-1 text-right whitespace-nowrap">
                    {way.figures[id] === undefined ? '–' : show(way.figures[id])}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {found !== null && !fresh && <p className="text-xs text-soft">The design has changed since.</p>}
      {found !== null && found.ways.some(({ amiss }) => amiss !== null) && (
        <p className="text-xs text-soft">■ stops, ▲ disappoints as it is; a fix may go with it.</p>
      )}
    </section>
  );
};
