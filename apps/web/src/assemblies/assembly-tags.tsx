import { placed, placedRect, type AssemblyEvaluation } from '@vitrum/core';
import type { KeyboardEvent } from 'react';
import { changeDesign, useDocument } from '../document/document-store';
import { selectAssembly } from '../document/selection';
import { arrowWay } from '../lamp-room/arrow-way';
import { rectOnScreen, type FrontView, type Place } from '../lamp-room/front-view';
import { useDrag } from '../lamp-room/use-drag';
import { moveTo } from './place-edits';
import { titleOf } from './title-of';

const tag = { width: 22, height: 20, gap: 4 } as const;

interface TagProps {
  readonly assemblies: readonly AssemblyEvaluation[];
  readonly own: AssemblyEvaluation;
  readonly chosen: boolean;
  readonly view: FrontView;
  readonly ink: string;
}

const middleOf = ({ placing }: AssemblyEvaluation): Place => placed(placing, [0, 0]);

/** The letter of an assembly at its corner: chosen by a click or Enter, moved by a drag or by arrow keys. */
const Tag = ({ assemblies, own, chosen, view, ink }: TagProps) => {
  const { x, y, width, height } = rectOnScreen(view, placedRect(own.placing, own.front.fitted));
  // One below the other where corners lie close together.
  const [left, top] = [x - tag.width - tag.gap, Math.max(tag.height, y - tag.gap + own.index * tag.height)];
  const middle = middleOf(own);
  /** From the middle of the tag to the middle of the assembly (mm). */
  const away: Place = [
    middle[0] - (left + tag.width / 2 - view.originX) / view.scale,
    middle[1] - (view.originY - top - tag.height / 2) / view.scale,
  ];
  const drag = useDrag(view, () => {
    selectAssembly(own.id);
    return (at) => moveTo(assemblies, own, [at[0] + away[0], at[1] + away[1]]);
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return drag.cancel();
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return selectAssembly(own.id);
    }
    const way = arrowWay(event);
    if (way === null) return;
    event.preventDefault();
    event.stopPropagation();
    // From the document: what is drawn may be a step behind quick keys.
    const place = useDocument.getState().design?.assemblies[own.index]?.place ?? own.assembly.place;
    const now = { ...own, assembly: { place } };
    const [dx, dy] = [place.xMm - own.assembly.place.xMm, place.yMm - own.assembly.place.yMm];
    changeDesign(moveTo(assemblies, now, [middle[0] + dx + way[0], middle[1] + dy + way[1]]));
  };
  const where = middle.map((mm) => Math.round(mm)).join(', ');
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={`${titleOf(own)}, its middle at ${where} mm`}
      data-testid="assembly-tag"
      className="cursor-move touch-none"
      onKeyDown={onKeyDown}
      {...drag.handlers}
    >
      {chosen && (
        <rect
          x={x - tag.gap}
          y={y - tag.gap}
          width={width + 2 * tag.gap}
          height={height + 2 * tag.gap}
          fill="none"
          stroke={ink}
          strokeOpacity={0.55}
          strokeDasharray="2 5"
          pointerEvents="none"
        />
      )}
      <rect
        x={left}
        y={top}
        width={tag.width}
        height={tag.height}
        rx={3}
        fill={chosen ? ink : 'rgba(0, 0, 0, 0.35)'}
        stroke={ink}
      />
      <text
        x={left + tag.width / 2}
        y={top + tag.height - 5.5}
        textAnchor="middle"
        fontSize={14}
        fontWeight={700}
        className="figure"
        fill={chosen ? (ink.startsWith('#1') ? '#fff' : '#1a1c21') : '#fff'}
        pointerEvents="none"
      >
        {own.label}
      </text>
    </g>
  );
};

interface AssemblyTagsProps {
  readonly assemblies: readonly AssemblyEvaluation[];
  readonly chosen: number;
  readonly view: FrontView;
  readonly ink: string;
}

/** Letters of the assemblies of a sign, where there are several. */
export const AssemblyTags = ({ assemblies, chosen, view, ink }: AssemblyTagsProps) =>
  assemblies.length < 2 ? null : (
    <g>
      {assemblies.map((own, index) => (
        <Tag key={own.id} assemblies={assemblies} own={own} chosen={index === chosen} view={view} ink={ink} />
      ))}
    </g>
  );
