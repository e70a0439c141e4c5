import { formatLength, pathOf, type LayersAssembly, type LayersResults, type StandingSheet } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useDesignValue } from '../../fields/design-fields';
import { onSlice, type SliceDrawing } from '../../slice/slice-drawing';
import { useSliceDrag } from '../../slice/use-slice-drag';
import { useView } from '../../view/view-store';
import type { SliceHandlesProps } from '../common/build-page';
import { chooseSheet, useChosenSheet } from './chosen-sheet';

const half = (mm: number): number => Math.round(2 * mm) / 2;

interface HandleProps {
  readonly standing: StandingSheet;
  readonly drawing: SliceDrawing;
  readonly depthMm: number;
  readonly place: number;
  readonly hold: SliceHandlesProps['hold'];
}

/** Drags one sheet toward the front or the back, past others too; arrow keys move it by half a millimetre. */
const SheetHandle = ({ standing, drawing, depthMm, place, hold }: HandleProps) => {
  const at = useFields<LayersAssembly>().scene.sheets.at(standing.index);
  const height = useDesignValue(at.heightMm) ?? standing.rearZMm;
  const chosen = useChosenSheet(({ id }) => id === standing.sheet.id);
  const unit = useView((view) => view.unit);
  const mostMm = depthMm - standing.stock.thicknessMm - 0.5;
  const choose = (): void => chooseSheet(standing.sheet.id);
  const drag = useSliceDrag({
    drawing,
    path: pathOf(at.heightMm),
    mm: height,
    way: -1,
    stepMm: 0.5,
    held: (mm) => Math.max(0, Math.min(mostMm, half(mm))),
    hold,
    onBegin: choose,
  });
  const [left] = onSlice(drawing, 0, drawing.highMm);
  const [, y] = onSlice(drawing, height + standing.stock.thicknessMm / 2, 0);
  // Handles stand off the section, in turn, so that sheets near each other have one each.
  const x = left - 26 - (place % 2) * 14;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`${standing.sheet.name} stands at`}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={mostMm}
      aria-valuenow={height}
      aria-valuetext={formatLength(height, unit)}
      data-testid="sheet-handle"
      className="cursor-ns-resize touch-none"
      {...drag}
      onFocus={choose}
    >
      <rect x={x - 8} y={y - 8} width={left - x + 8} height={16} fill="transparent" />
      <path
        d={`M${x + 6} ${y}H${left}`}
        className={chosen ? 'stroke-signal' : 'stroke-line'}
        strokeWidth={chosen ? 2 : 1}
      />
      <circle
        cx={x}
        cy={y}
        r={6}
        fill={standing.sheet.colour}
        className={chosen ? 'stroke-signal' : 'stroke-ink'}
        strokeWidth={chosen ? 2.5 : 1.2}
      />
    </g>
  );
};

/** A handle for every sheet of the scene, beside the slice. */
export const SliceSheets = ({ own, drawing, hold }: SliceHandlesProps) => {
  const { scene, geometry } = own as unknown as LayersResults;
  return (
    <>
      {scene.sheets.map((standing, place) => (
        <SheetHandle
          key={standing.sheet.id}
          standing={standing}
          drawing={drawing}
          depthMm={geometry.inside.depthMm}
          place={place}
          hold={hold}
        />
      ))}
    </>
  );
};
