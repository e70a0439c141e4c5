import {
  cutAlong,
  formatLength,
  mostLinePoints,
  parseLength,
  type CutAlong,
  type PictureDesign,
  type Point,
} from '@vitrum/core';
import { toByteArray } from 'base64-js';
import { useCallback, useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { FieldRow, fieldLook } from '../../fields/field-row';
import { Alert } from '../../steps/artwork-source';
import { Button } from '../../ui/button';
import { SheetDialog } from '../../ui/sheet-dialog';
import { useView } from '../../view/view-store';
import { movedPoint, pointAdded } from './line-points';

interface CutLineProps {
  readonly picture: PictureDesign;
  readonly onUse: (cut: CutAlong) => string | null;
  readonly onClose: () => void;
}

/** A picture as it is drawn: so wide at the most, so high at the most (px). */
const widePx = 640;
const highPx = 400;
/** How far an arrow key moves a point, as a share of the picture; ten times as far with Shift. */
const keyShare = 0.0025;
/** A picture is so wide unless it is said otherwise (mm). */
const usualWideMm = 300;

const keyWays: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Paints a picture on a canvas of as many places. */
const paint = (canvas: HTMLCanvasElement, { columns, rows, rgb }: PictureDesign): void => {
  const context = canvas.getContext('2d');
  if (context === null) return;
  const image = context.createImageData(columns, rows);
  toByteArray(rgb).forEach((byte, at) => (image.data[4 * Math.floor(at / 3) + (at % 3)] = byte));
  for (let at = 3; at < image.data.length; at += 4) image.data[at] = 255;
  context.putImageData(image, 0, 0);
};

/** A photograph with a line drawn on it, along which it is cut out. */
export const CutLine = ({ picture, onUse, onClose }: CutLineProps) => {
  const id = useId();
  const unit = useView((view) => view.unit);
  // The dialog is there later than this: it is painted once its canvas is.
  const canvas = useCallback(
    (own: HTMLCanvasElement | null) => {
      if (own !== null) paint(own, picture);
    },
    [picture],
  );
  const board = useRef<SVGSVGElement>(null);
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [dragged, setDragged] = useState<number | null>(null);
  const [wide, setWide] = useState(formatLength(usualWideMm, unit));
  const [problem, setProblem] = useState<string | null>(null);
  const scale = Math.min(widePx / picture.columns, highPx / picture.rows);
  const [width, height] = [picture.columns * scale, picture.rows * scale];
  const shareAt = ({ clientX, clientY }: PointerEvent): Point => {
    const { left, top, width: across, height: up } = board.current!.getBoundingClientRect();
    return [(clientX - left) / (across || 1), (clientY - top) / (up || 1)];
  };
  const press = (event: PointerEvent<SVGSVGElement>): void => {
    if (points.length >= mostLinePoints) return;
    const { points: next, at } = pointAdded(points, shareAt(event), width / height);
    setPoints(next);
    setDragged(at);
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const grab = (event: PointerEvent<SVGCircleElement>, at: number): void => {
    event.stopPropagation();
    board.current?.setPointerCapture(event.pointerId);
    setDragged(at);
  };
  const keys = (event: KeyboardEvent, at: number): void => {
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      return setPoints(points.filter((_, place) => place !== at));
    }
    const way = keyWays[event.key];
    if (way === undefined) return;
    event.preventDefault();
    const by = keyShare * (event.shiftKey ? 10 : 1);
    const [x, y] = points[at]!;
    setPoints(movedPoint(points, at, [x + way[0] * by, y + way[1] * by]));
  };
  const use = (): void => {
    const length = parseLength(wide, unit);
    if (!length.ok) return setProblem(`The picture’s width ${length.problems[0]?.message ?? 'is no length'}`);
    const cut = cutAlong(picture, points, length.value);
    if (!cut.ok) return setProblem(`The line ${cut.problems[0]!.message}`);
    setProblem(onUse(cut.value));
  };
  const line = points.map(([x, y]) => `${x * width},${y * height}`).join(' ');
  return (
    <SheetDialog open wide title={`Cut ${picture.name} out along a line`} onClose={onClose}>
      <p className="text-[13px] text-soft">
        Click round what is to stay. A click on the line puts a point into it; points are dragged, moved by the arrow
        keys and taken away with Delete.
      </p>
      <div className="relative mx-auto my-2" style={{ width, height }}>
        <canvas
          ref={canvas}
          width={picture.columns}
          height={picture.rows}
          className="absolute inset-0 h-full w-full"
          aria-hidden
        />
        <svg
          ref={board}
          role="group"
          aria-label="The picture, to draw on"
          data-testid="cut-line-board"
          viewBox={`0 0 ${width} ${height}`}
          className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
          onPointerDown={press}
          onPointerMove={(event) => dragged !== null && setPoints(movedPoint(points, dragged, shareAt(event)))}
          onPointerUp={() => setDragged(null)}
          onPointerCancel={() => setDragged(null)}
        >
          <polygon points={line} fill="rgba(255,255,255,0.28)" stroke="#fff" strokeWidth={4} />
          <polygon points={line} fill="none" className="stroke-signal" strokeWidth={2} />
          {points.map(([x, y], at) => (
            <circle
              key={at}
              role="button"
              tabIndex={0}
              aria-label={`Point ${at + 1}`}
              cx={x * width}
              cy={y * height}
              r={6}
              className="cursor-move fill-sheet stroke-signal focus:fill-signal"
              strokeWidth={2}
              onPointerDown={(event) => grab(event, at)}
              onKeyDown={(event) => keys(event, at)}
            />
          ))}
        </svg>
      </div>
      <FieldRow id={id} label="The whole picture is wide">
        <input id={id} className={fieldLook} value={wide} onChange={(event) => setWide(event.target.value)} />
      </FieldRow>
      <Alert problem={problem} />
      <div className="mt-3 flex flex-wrap items-center justify-between gap-2">
        <span className="figure text-[13px] text-soft">
          {points.length} {points.length === 1 ? 'point' : 'points'}
        </span>
        <span className="flex gap-1.5">
          <Button disabled={points.length === 0} onClick={() => setPoints(points.slice(0, -1))}>
            Take the last one back
          </Button>
          <Button disabled={points.length === 0} onClick={() => setPoints([])}>
            Start again
          </Button>
          <Button onClick={use}>Cut it out</Button>
        </span>
      </div>
    </SheetDialog>
  );
};
