import {
  ambientLux,
  exposureFor,
  formatLength,
  groundColour,
  placedRect,
  rectRound,
  type AssemblyEvaluation,
  type Evaluation,
} from '@vitrum/core';
import { Maximize, Minus, Plus, Ruler } from 'lucide-react';
import { useMemo, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { useBench } from '../bench/bench-store';
import { useEvaluation } from '../evaluation/evaluation-store';
import { buildOverlays, overlayNames, toggleOverlay, useView, type Overlay } from '../view/view-store';
import { AssemblyTags } from '../assemblies/assembly-tags';
import { pageOf } from '../builds';
import { selectAssembly, useChosenIndex } from '../document/selection';
import { assemblyAt } from './assembly-at';
import { FaceCanvas } from './face-canvas';
import { FalseScale } from './false-scale';
import { fitted, frontView, toSign, turned, viewOf, zoomAbout } from './front-view';
import { FindingMark, FrontShapes, LostMarks, SizesOverlay, SpotMarks } from './front-shapes';
import { StripOverlay } from './strip-overlay';
import { MeasureLine, MeasurePlot, type Measuring } from './measure';
import { SliceLine } from './slice-line';
import { useSize } from '../job/use-size';
import { WiresOverlay } from './wires-overlay';

const ambientNames = {
  noon: 'noon sun',
  overcast: 'overcast',
  shop: 'shop light',
  evening: 'dusk',
  dark: 'dark',
} as const;

interface RoomButtonProps {
  readonly pressed?: boolean;
  readonly label: string;
  readonly onClick: () => void;
  readonly children: ReactNode;
}

const RoomButton = ({ pressed, label, onClick, children }: RoomButtonProps) => (
  <button
    type="button"
    aria-pressed={pressed}
    aria-label={label}
    title={label}
    onClick={onClick}
    className="flex min-h-6 items-center rounded-[2px] bg-black/55 px-1.5 text-[13px] text-[#f2ead8] hover:bg-black/80 aria-pressed:bg-[#f2ead8] aria-pressed:text-black"
  >
    {children}
  </button>
);

/** A press that moved no farther than this is a click (px). */
const stillPx = 4;

const roundedTop = (value: number): number => {
  const power = 10 ** Math.floor(Math.log10(Math.max(1, value)));
  return Math.ceil(value / power) * power;
};

/** Overlays that some build of the sign draws, beside those that all have. */
const overlaysOf = ({ assemblies }: Evaluation): readonly Overlay[] => {
  const own = new Set(assemblies.flatMap((assembly) => pageOf(assembly).overlays));
  return (Object.keys(overlayNames) as Overlay[]).filter(
    (overlay) => !buildOverlays.includes(overlay) || own.has(overlay),
  );
};

const lightsWall = ({ front, placing }: AssemblyEvaluation): boolean => front.lights === 'ground' && placing.zMm === 0;

/** The wall behind a sign: the one that its letters light, or a plain one. */
const wallOf = ({ assemblies }: Evaluation): AssemblyEvaluation =>
  assemblies.reduce((wall, own) => (lightsWall(own) && !lightsWall(wall) ? own : wall));

interface RoomProps {
  readonly evaluation: Evaluation;
  /** The same sign as the bench’s controller is set; the sign itself otherwise. */
  readonly shown: Evaluation;
  readonly switchedOn: boolean;
}

const Room = ({ evaluation, shown, switchedOn }: RoomProps) => {
  const room = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const { ambient, lit: lightsOn, overlays, unit, shownFinding } = useView();
  const lit = lightsOn && switchedOn;
  const [hand, setHand] = useState(fitted);
  const [measuring, setMeasuring] = useState<Measuring | null>(null);
  const pressed = useRef<readonly [number, number] | null>(null);
  const pan = useRef<{ readonly x: number; readonly y: number; readonly hand: typeof hand } | null>(null);

  const { assemblies } = evaluation;
  const chosen = Math.min(useChosenIndex(), assemblies.length - 1);
  const own = assemblies[chosen]!;
  const fit = useMemo(
    () => rectRound(assemblies.map(({ placing, front }) => placedRect(placing, front.fitted))),
    [assemblies],
  );
  const view = frontView(fit, size, hand);
  const views = assemblies.map(({ placing }) => viewOf(view, placing));
  const ownView = views[chosen]!;
  const exposure = exposureFor(assemblies, ambient, lit);
  const usual = useMemo(() => exposureFor(assemblies, ambient, lightsOn), [assemblies, ambient, lightsOn]);
  const wall = groundColour(wallOf(evaluation), exposure);
  const brightWall = Number(/\d+/.exec(wall)?.[0] ?? 0) > 120;
  const ink = brightWall ? '#1a1c21' : '#e9e2d2';
  const falseTop = overlays.includes('false-colour')
    ? roundedTop(Math.max(...assemblies.map(({ glow }) => glow.evenness.highCdM2)) * 1.05)
    : null;
  const show = (mm: number): string => formatLength(mm, unit);
  const places = evaluation.findings.filter(
    ({ where, id, severity }) =>
      where?.view === 'front' && (id === shownFinding || (severity !== 'note' && overlays.includes('findings'))),
  );
  const zoom = (factor: number, x = size.width / 2, y = size.height / 2): void =>
    setHand((now) => zoomAbout(now, view, factor, x, y));

  const place = (event: PointerEvent): readonly [number, number] => {
    const box = room.current?.getBoundingClientRect();
    return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
  };
  const onPointerDown = (event: PointerEvent<SVGSVGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = place(event);
    if (measuring !== null) setMeasuring([toSign(view, x, y), toSign(view, x, y)]);
    else pan.current = { x, y, hand };
    pressed.current = [x, y];
  };
  /** A press that did not move chooses the assembly under it. */
  const onPointerUp = (event: PointerEvent): void => {
    pan.current = null;
    const from = pressed.current;
    const [x, y] = place(event);
    if (from === null || measuring !== null || Math.hypot(x - from[0], y - from[1]) > stillPx) return;
    const found = assemblyAt(assemblies, toSign(view, x, y));
    if (found !== null) selectAssembly(found.id);
  };
  const onPointerMove = (event: PointerEvent): void => {
    const [x, y] = place(event);
    if (measuring !== null && event.buttons === 1 && measuring[0] !== undefined)
      setMeasuring([measuring[0], toSign(view, x, y)]);
    const from = pan.current;
    if (from !== null)
      setHand({ ...from.hand, shiftX: from.hand.shiftX + x - from.x, shiftY: from.hand.shiftY + y - from.y });
  };

  return (
    <div
      ref={room}
      className="lamp-room relative min-h-[220px] flex-1 overflow-hidden"
      style={{ background: wall }}
      onWheel={(event) => {
        const box = room.current?.getBoundingClientRect();
        zoom(event.deltaY < 0 ? 1.15 : 1 / 1.15, event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0));
      }}
    >
      {size.width > 0 &&
        shown.assemblies.map(({ id }, index) => (
          <FaceCanvas
            key={id}
            sign={shown.assemblies}
            index={index}
            view={views[index] ?? view}
            ambient={ambient}
            lit={lit}
            falseTop={falseTop}
            exposure={usual}
          />
        ))}
      <svg
        role="group"
        aria-label={`Front of the sign, ${ambientNames[ambient]}, ${lit ? 'lit' : 'not lit'}`}
        className={`absolute inset-0 h-full w-full touch-none ${measuring === null ? 'cursor-grab' : 'cursor-crosshair'}`}
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
        onPointerUp={onPointerUp}
        onPointerCancel={() => (pan.current = null)}
      >
        <defs>
          <marker
            id="arrow"
            viewBox="0 0 10 10"
            refX="8"
            refY="5"
            markerWidth="9"
            markerHeight="9"
            markerUnits="userSpaceOnUse"
            orient="auto"
          >
            <path d="M0 0L10 5L0 10z" fill="#ffd27a" />
          </marker>
        </defs>
        {shown.assemblies.map((each, index) => (
          <g key={each.id} transform={turned(views[index] ?? view)}>
            <FrontShapes own={each} sign={shown.assemblies} view={views[index] ?? view} ambient={ambient} lit={lit} />
          </g>
        ))}
        {assemblies.map((each, index) => {
          const eachView = views[index]!;
          const Always = pageOf(each).drawn.always;
          return (
            <g key={each.id} transform={turned(eachView)}>
              {overlays.includes('strip') && <StripOverlay own={each} view={eachView} />}
              {Always !== undefined && <Always own={each} view={eachView} />}
              {falseTop !== null && <SpotMarks own={each} view={eachView} />}
              {overlays.includes('findings') && <LostMarks own={each} view={eachView} />}
            </g>
          );
        })}
        {overlays.includes('wires') && <WiresOverlay evaluation={evaluation} view={view} />}
        {overlays.includes('sizes') && <SizesOverlay bounds={evaluation.bounds} view={view} ink={ink} show={show} />}
        {places.map(({ id, where, assembly }) => {
          const placeView = assembly === null ? view : views[assembly]!;
          return (
            where && (
              <g key={id} transform={turned(placeView)}>
                <FindingMark view={placeView} rect={where.rect} strong={id === shownFinding} />
              </g>
            )
          );
        })}
        {measuring !== null && <MeasureLine points={measuring} view={view} show={show} />}
        <AssemblyTags assemblies={assemblies} chosen={chosen} view={view} ink={ink} />
        <g transform={turned(ownView)}>
          <SliceLine own={own} view={ownView} />
          {pageOf(own)
            .overlays.filter((overlay) => overlays.includes(overlay))
            .map((overlay) => {
              const Drawn = pageOf(own).drawn[overlay];
              return Drawn === undefined ? null : <Drawn key={overlay} own={own} view={ownView} />;
            })}
        </g>
      </svg>
      <div className="pointer-events-none absolute inset-x-0 top-0 flex flex-wrap items-center justify-between gap-2 px-3 py-2 [&>*]:pointer-events-auto">
        <p className="figure rounded-[2px] bg-black/55 px-1.5 text-[13px] text-[#f2ead8]">
          front · {ambientNames[ambient]}, {ambientLux[ambient].toLocaleString('en')} lx
        </p>
        <div className="mr-auto flex gap-1.5" role="group" aria-label="View">
          <RoomButton label="Closer" onClick={() => zoom(1.3)}>
            <Plus size={15} aria-hidden />
          </RoomButton>
          <RoomButton label="Farther" onClick={() => zoom(1 / 1.3)}>
            <Minus size={15} aria-hidden />
          </RoomButton>
          <RoomButton label="Fit the sign" onClick={() => setHand(fitted)}>
            <Maximize size={14} aria-hidden />
          </RoomButton>
          <RoomButton
            pressed={measuring !== null}
            label="Measure: drag from point to point, for length and luminance"
            onClick={() => setMeasuring(measuring === null ? [] : null)}
          >
            <Ruler size={15} aria-hidden />
          </RoomButton>
        </div>
        <div className="flex gap-1.5" role="group" aria-label="Shown over the sign">
          {overlaysOf(evaluation).map((overlay) => (
            <RoomButton
              key={overlay}
              pressed={overlays.includes(overlay)}
              label={`Show ${overlayNames[overlay]}`}
              onClick={() => toggleOverlay(overlay)}
            >
              {overlayNames[overlay]}
            </RoomButton>
          ))}
        </div>
      </div>
      {falseTop !== null && <FalseScale own={own} top={falseTop} />}
      {measuring !== null && <MeasurePlot own={own} points={measuring} />}
    </div>
  );
};

/** The lamp room: the sign as it looks, always. */
export const LitView = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const problems = useEvaluation((state) => state.problems);
  const bench = useBench();
  if (evaluation === null)
    return (
      <div
        className="lamp-room flex min-h-[220px] flex-1 items-center justify-center bg-[#1d1c1a] text-[#e9e2d2]"
        role="status"
      >
        {problems.length > 0 ? 'This design cannot be lit yet; see what is wrong on the right.' : 'Lighting the sign …'}
      </div>
    );
  return (
    <Room
      evaluation={evaluation}
      shown={bench.setting === null ? evaluation : (bench.evaluation ?? evaluation)}
      switchedOn={bench.switchedOn}
    />
  );
};
