import { fieldsOf, studMm, studsBetween, type AnyAssembly, type AssemblyEvaluation, type Hang } from '@vitrum/core';
import { noPins } from '../document/pins';
import { useDocument } from '../document/document-store';
import { toScreen, type FrontView } from './front-view';
import { PinHandle } from './pin-handle';

const colour = '#ffd27a';

const Studs = ({ hang, view }: { readonly hang: Hang; readonly view: FrontView }) => {
  const xs = hang.bodies.flatMap(({ bounds }) => [bounds.x, bounds.x + bounds.width]);
  const ys = hang.bodies.flatMap(({ bounds }) => [bounds.y, bounds.y + bounds.height]);
  const [bottom, top] = [Math.min(...ys) - 60, Math.max(...ys) + 60];
  return studsBetween(hang.wall, Math.min(...xs) - 200, Math.max(...xs) + 200).map((stud) => {
    const [x, y] = toScreen(view, stud - studMm / 2, top);
    return (
      <rect
        key={stud}
        x={x}
        y={y}
        width={studMm * view.scale}
        height={(top - bottom) * view.scale}
        fill={colour}
        fillOpacity={0.12}
        stroke={colour}
        strokeOpacity={0.5}
        strokeDasharray="5 4"
      />
    );
  });
};

const Batten = ({ hang: { cleat }, view }: { readonly hang: Hang; readonly view: FrontView }) => {
  if (cleat === null) return null;
  const [x, y] = toScreen(view, cleat.middleMm - cleat.wallLengthMm / 2, cleat.topMm);
  return (
    <rect
      x={x}
      y={y}
      width={cleat.wallLengthMm * view.scale}
      height={cleat.highMm * view.scale}
      fill="none"
      stroke={colour}
      strokeWidth={1.5}
    />
  );
};

const LevelLines = ({ hang, view }: { readonly hang: Hang; readonly view: FrontView }) => {
  const levels = [...new Set(hang.fixings.map(({ at }) => Math.round(at[1])))];
  const xs = hang.bodies.flatMap(({ bounds }) => [bounds.x, bounds.x + bounds.width]);
  return levels.map((level) => {
    const [x1, y] = toScreen(view, Math.min(...xs), level);
    const [x2] = toScreen(view, Math.max(...xs), level);
    return <line key={level} x1={x1} y1={y} x2={x2} y2={y} stroke={colour} strokeOpacity={0.6} strokeDasharray="7 5" />;
  });
};

/** Where a sign is fixed, in the axes of the sign: studs, level lines, the batten, and fixings that can be dragged. */
export const FixingsOverlay = ({ own, view }: { readonly own: AssemblyEvaluation; readonly view: FrontView }) => {
  const pins = useDocument(({ design }) => design?.assemblies[own.index]?.hanging?.pinned) ?? noPins;
  const { hang } = own;
  if (hang === null || hang.way === null || hang.way === 'posts') return null;
  const field = fieldsOf<AnyAssembly>(`assemblies.${own.index}`).hanging.pinned;
  const free = hang.cleat === null && hang.ways.length > 0;
  return (
    <g data-testid="fixings-overlay">
      <Studs hang={hang} view={view} />
      <LevelLines hang={hang} view={view} />
      <Batten hang={hang} view={view} />
      {hang.fixings.map(({ at }, index) => {
        const [x, y] = toScreen(view, ...at);
        return free ? (
          <PinHandle
            key={index}
            name={`Fixing ${index + 1}`}
            testId="fixing"
            number={index + 1}
            at={at}
            radiusPx={5}
            view={view}
            field={field}
            pins={pins}
            pinsNow={() => useDocument.getState().design?.assemblies[own.index]?.hanging?.pinned ?? noPins}
            numbered
            colour={colour}
          />
        ) : (
          <circle key={index} cx={x} cy={y} r={4} fill={colour} stroke="#10212c" strokeWidth={1.5} />
        );
      })}
    </g>
  );
};
