import type { Diagram, DiagramBox, DiagramLink } from '@vitrum/core';

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

/** The circuit in order from the socket. */
export const CircuitDrawing = ({ diagram }: { readonly diagram: Diagram }) => (
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
