import { buildOf, hungSection, formatLength, pathOf, type AssemblyEvaluation, type SliceDepth } from '@vitrum/core';
import { useMemo, useRef, useState } from 'react';
import { pageOf } from '../builds';
import { useDesignValue } from '../fields/design-fields';
import { useOwn } from '../evaluation/own';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useView } from '../view/view-store';
import { lightCones, luminanceProfile, onSlice, sliceDrawing, type SliceDrawing } from './slice-drawing';
import { SectionDepth, SectionShapes } from './section-shapes';
import { useSliceDrag } from './use-slice-drag';
import { useSize } from '../job/use-size';
import { useParts } from '../view/use-parts';

const heldAt = (mm: number, { leastMm, mostMm, stepMm = 1 }: SliceDepth): number => {
  const steps = Math.round(1 / stepMm);
  return Math.min(mostMm, Math.max(leastMm, Math.round(mm * steps) / steps));
};

interface DepthHandleProps {
  readonly drawing: SliceDrawing;
  readonly handle: SliceDepth;
  readonly hold: (scale: number | null) => void;
}

/**
 * Drags the back, down is deeper; or what stands before the edge, up is forward. Arrow keys do the same by one step, or ten with
 * Shift; Escape lets go.
 */
const DepthHandle = ({ drawing, handle, hold }: DepthHandleProps) => {
  const path = pathOf(handle.field);
  const depth = useDesignValue(handle.field) ?? handle.mm;
  const unit = useView((view) => view.unit);
  const { at, stepMm = 1 } = handle;
  const [x, y] =
    at === undefined ? onSlice(drawing, drawing.section.rearZMm / 2, 0) : onSlice(drawing, at.fromZMm + depth, at.yMm);
  const drag = useSliceDrag({
    drawing,
    path,
    mm: depth,
    // Down on the screen is toward the rear.
    way: at === undefined ? 1 : -1,
    stepMm,
    held: (mm) => heldAt(mm, handle),
    hold,
  });
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={handle.label}
      aria-orientation="vertical"
      aria-valuemin={handle.leastMm}
      aria-valuemax={handle.mostMm}
      aria-valuenow={heldAt(depth, handle)}
      aria-valuetext={formatLength(depth, unit)}
      data-testid="depth-handle"
      className="cursor-ns-resize touch-none"
      {...drag}
    >
      {at === undefined ? (
        <rect x={x - 34} y={y - 9} width={68} height={18} rx={3} className="fill-ink" />
      ) : (
        <>
          <rect x={x - 14} y={y - 22} width={28} height={44} fill="transparent" />
          <rect x={x - 9} y={y - 12} width={18} height={24} rx={3} className="fill-ink" fillOpacity={0.82} />
        </>
      )}
      <path
        d={`M${x - 8} ${y - 2}l8 -5l8 5M${x - 8} ${y + 2}l8 5l8 -5`}
        fill="none"
        className="stroke-sheet"
        strokeWidth={1.6}
      />
    </g>
  );
};

/** Narrower than this there is room for the figures alone (px). */
const roomForWordsPx = 330;

const Drawing = ({ own }: { readonly own: AssemblyEvaluation }) => {
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder);
  const [held, hold] = useState<number | null>(null);
  const { sliceXMm, shownFinding, lit } = useParts(useView, 'sliceXMm', 'shownFinding', 'lit');
  const findings = useEvaluation(({ evaluation }) => evaluation?.findings) ?? [];
  const build = buildOf(own);
  const xMm = sliceXMm ?? own.section.atXMm;
  const section = useMemo(() => hungSection(build.sectionAt(own, xMm), own.hang, own.placing), [build, own, xMm]);
  const drawing = sliceDrawing(section, size, held);
  const profile = luminanceProfile(drawing, own, xMm);
  const handle = build.depth(own);
  const { SliceHandles } = pageOf(own);
  const place = findings.find(
    ({ id, where, assembly }) => id === shownFinding && where?.view === 'slice' && assembly === own.index,
  )?.where;
  return (
    <div ref={holder} className="relative min-w-0 flex-1">
      <svg className="absolute inset-0 h-full w-full" role="group" aria-label="The slice, to scale">
        <SectionShapes drawing={drawing} />
        {lit &&
          lightCones(drawing, own).map((path) => (
            <path
              key={path}
              d={path}
              fill="#f5a623"
              fillOpacity={0.2}
              clipPath={drawing.section.near === undefined ? undefined : 'url(#slice-window)'}
              pointerEvents="none"
            />
          ))}
        {place && (
          <rect
            x={onSlice(drawing, 0, place.rect.y + place.rect.height)[0]}
            y={onSlice(drawing, place.rect.x + place.rect.width, 0)[1]}
            width={place.rect.height * drawing.scale}
            height={place.rect.width * drawing.scale}
            fill="#ff7a3d33"
            stroke="#d2521a"
            strokeWidth={2}
            data-testid="finding-place"
          />
        )}
        <path d={profile.path} fill="none" className="stroke-signal" strokeWidth={1.8} data-testid="profile" />
        <path d={`M${drawing.left} ${drawing.faceY - 14}h${drawing.widthPx}`} className="stroke-line" fill="none" />
        <text
          x={drawing.left}
          y={11}
          fontSize={12}
          className="fill-soft stroke-sheet"
          strokeWidth={4}
          paintOrder="stroke"
        >
          {size.width > roomForWordsPx ? 'luminance along the slice: ' : ''}
          {Math.round(profile.lowCdM2)} to {Math.round(profile.topCdM2)} cd/m²
        </text>
        <SectionDepth drawing={drawing} own={own} />
        <DepthHandle drawing={drawing} handle={handle} hold={hold} />
        {SliceHandles !== undefined && <SliceHandles own={own} drawing={drawing} hold={hold} />}
      </svg>
    </div>
  );
};

/** The section to scale, lying on its back, its layers named; the back can be dragged. */
export const Slice = () => {
  const own = useOwn();
  if (own === null) return <div className="h-[262px] shrink-0 bg-sheet" />;
  const { layers } = hungSection(own.section, own.hang, own.placing);
  const manyLayers = layers.length > 6;
  return (
    <section
      aria-label="Slice"
      className="flex h-[262px] shrink-0 gap-2 border-t border-line bg-sheet px-4 pt-3 pb-2 max-md:h-auto max-md:flex-col"
    >
      <div className="flex min-h-[200px] min-w-0 flex-1">
        <Drawing own={own} />
      </div>
      <dl className={`w-[272px] shrink-0 self-center ${manyLayers ? 'text-xs' : 'text-[13px]'}`}>
        {layers.map(({ name, detail }) => (
          <div
            key={name}
            className={`flex gap-2 border-b border-line last:border-b-0 ${manyLayers ? 'py-0.5 leading-tight' : 'py-1'}`}
          >
            <dt className="w-14 shrink-0 font-bold">{name}</dt>
            <dd className="text-soft">{detail}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
};
