import { formatLength, type AssemblyEvaluation, type Evaluation, type StepView } from '@vitrum/core';
import { useRef } from 'react';
import { pageOf } from '../builds';
import { useSize } from '../job/use-size';
import { ArrowHead } from '../lamp-room/arrow-head';
import { FixingsOverlay } from '../lamp-room/fixings-overlay';
import { outlinePath, SizesOverlay } from '../lamp-room/front-shapes';
import { fitted, frontView, toScreen, turned, viewOf, type FrontView } from '../lamp-room/front-view';
import { StripOverlay } from '../lamp-room/strip-overlay';
import { useView } from '../view/view-store';

const ink = '#f2ead8';

interface OwnProps {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
}

/** Outlines of an assembly, without its light. */
const Outlines = ({ own, view, letters }: OwnProps & { readonly letters: boolean }) => (
  <g fill="none" stroke={ink} strokeWidth={1.2}>
    <path d={outlinePath(own.front.body, view)} />
    {own.front.shapes.map((shape) => (
      <path
        key={shape.id}
        d={outlinePath(shape.outline, view)}
        strokeOpacity={letters ? 1 : 0.45}
        fill={letters && shape.id === 'letters' ? '#f2ead833' : 'none'}
        fillRule={shape.rule}
      />
    ))}
  </g>
);

/** The diagonal that tells whether a case is square. */
const Diagonal = ({ own, view, show }: OwnProps & { readonly show: (mm: number) => string }) => {
  const { rim } = own.front;
  if (rim === null) return null;
  const { x, y, width, height } = rim.outside;
  const [x1, y1] = toScreen(view, x, y);
  const [x2, y2] = toScreen(view, x + width, y + height);
  return (
    <g stroke={ink} fill={ink}>
      <line x1={x1} y1={y1} x2={x2} y2={y2} strokeDasharray="6 4" />
      <text
        stroke="#17181c"
        strokeWidth={4}
        paintOrder="stroke"
        x={(x1 + x2) / 2}
        y={(y1 + y2) / 2}
        textAnchor="middle"
        fontSize={14}
        className="figure"
      >
        {show(Math.hypot(width, height))}
      </text>
    </g>
  );
};

interface FrontBoardProps {
  readonly evaluation: Evaluation;
  readonly view: Extract<StepView, 'strip' | 'letters' | 'posts' | 'hang' | 'sizes'>;
}

/** The front of the sign as lines on a dark board, with what one step is about. */
export const FrontBoard = ({ evaluation, view: shown }: FrontBoardProps) => {
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder);
  const unit = useView((state) => state.unit);
  const show = (mm: number): string => formatLength(mm, unit);
  const { assemblies, bounds } = evaluation;
  const view = frontView(bounds, { width: size.width, height: size.height + 40 }, fitted);
  const lifted = { ...view, originY: view.originY - 30 };
  return (
    <div ref={holder} className="h-full w-full bg-[#17181c]" inert>
      {size.width > 0 && (
        <svg className="h-full w-full" aria-hidden>
          <ArrowHead />
          {assemblies.map((own) => {
            const placed = viewOf(lifted, own.placing);
            const Posts = pageOf(own).drawn.posts;
            return (
              <g key={own.id} transform={turned(placed)}>
                <Outlines own={own} view={placed} letters={shown === 'letters'} />
                {shown === 'strip' && <StripOverlay own={own} view={placed} />}
                {shown === 'posts' && Posts !== undefined && <Posts own={own} view={placed} />}
                {shown === 'sizes' && <Diagonal own={own} view={placed} show={show} />}
              </g>
            );
          })}
          {shown === 'hang' && assemblies.map((own) => <FixingsOverlay key={own.id} own={own} view={lifted} />)}
          {shown !== 'strip' && <SizesOverlay bounds={bounds} view={lifted} ink={ink} show={show} />}
        </svg>
      )}
    </div>
  );
};
