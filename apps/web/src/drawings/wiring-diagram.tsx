import { wiringDiagram, type Diagram, type DiagramBox, type DiagramLink } from '@vitrum/core';
import { useMemo, useState } from 'react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { BackView } from './back-view';

const inks: Readonly<Record<DiagramLink['kind'], string>> = {
  mains: 'var(--color-ink)',
  power: '#b8491a',
  injected: '#1f6fb3',
  data: '#24713a',
};

const Box = ({ box }: { readonly box: DiagramBox }) => (
  <g>
    <rect
      x={box.x}
      y={box.y}
      width={box.width}
      height={box.height}
      rx={box.kind === 'segment' ? 0 : 2}
      className="fill-paper stroke-ink"
      strokeWidth={box.kind === 'segment' ? 1.2 : 0.8}
    />
    <text x={box.x + 3} y={box.y + 9} fontSize={8} fontWeight={700} className="fill-ink">
      {box.title}
    </text>
    {box.lines.map((line, index) => (
      <text key={line} x={box.x + 3} y={box.y + 16 + 7 * index} fontSize={6} className="figure fill-soft">
        {line}
      </text>
    ))}
  </g>
);

const Link = ({ link }: { readonly link: DiagramLink }) => (
  <g>
    <polyline
      points={link.path.map(([x, y]) => `${x},${y}`).join(' ')}
      fill="none"
      stroke={inks[link.kind]}
      strokeWidth={link.kind === 'mains' ? 1.8 : 1.1}
      strokeDasharray={link.kind === 'data' || link.kind === 'injected' ? '4 2' : undefined}
    />
    {[link.label, link.below].map((words, line) => (
      <text
        key={line}
        x={link.labelAt[0]}
        y={link.labelAt[1] + 9 * line}
        textAnchor="end"
        fontSize={6}
        className="figure fill-ink"
      >
        {words}
      </text>
    ))}
  </g>
);

/** Px on the screen for one unit of the diagram. */
const shownPx = 1.5;

const Drawing = ({ diagram }: { readonly diagram: Diagram }) => (
  <svg
    viewBox={`0 0 ${diagram.width} ${diagram.height}`}
    style={{ width: Math.max(420, diagram.width * shownPx), maxWidth: 'none' }}
    role="img"
    aria-label={`Wiring of ${diagram.boxes.filter(({ kind }) => kind === 'segment').length} segments`}
  >
    {diagram.links.map((link) => (
      <Link key={link.id} link={link} />
    ))}
    {diagram.boxes.map((box) => (
      <Box key={box.id} box={box} />
    ))}
  </svg>
);

const ways = { diagram: 'in order from the socket', back: 'from behind' } as const;

/** The circuit under the picture: in order from the socket, or as it lies on the back of the sign. */
export const WiringDiagram = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const [way, setWay] = useState<keyof typeof ways>('diagram');
  const diagram = useMemo(() => (evaluation === null ? null : wiringDiagram(evaluation)), [evaluation]);
  if (evaluation === null || diagram === null) return <div className="h-[262px] shrink-0 bg-sheet" />;
  return (
    <section aria-label="Wiring" className="h-[262px] shrink-0 overflow-auto border-t border-line bg-sheet p-3">
      <p className="mb-1 flex gap-4 text-[13px]">
        {(Object.keys(ways) as (keyof typeof ways)[]).map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={way === each}
            className={way === each ? 'border-b-2 border-ink font-semibold' : 'underline'}
            onClick={() => setWay(each)}
          >
            {ways[each]}
          </button>
        ))}
        <span className="text-soft">
          {way === 'diagram'
            ? 'every wire with its gauge and what it carries'
            : evaluation.circuit.pixels > 0
              ? 'arrows show the way data runs; green is data alone'
              : 'arrows run from the start of each segment; blue feeds besides'}
        </span>
      </p>
      {way === 'diagram' ? <Drawing diagram={diagram} /> : <BackView evaluation={evaluation} />}
    </section>
  );
};
