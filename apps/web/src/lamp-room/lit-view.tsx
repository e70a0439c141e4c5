import { placedRect, rectRound, surfaceColour, wallBehind, type Evaluation, type Exposure } from '@vitrum/core';
import type { DesignSummary } from '@vitrum/contract';
import { useMemo, useRef, useState } from 'react';
import { useBench } from '../bench/bench-store';
import { useChosenIndex } from '../document/selection';
import { useEvaluation } from '../evaluation/evaluation-store';
import { LastPicture } from '../job/last-lit';
import { useSize } from '../job/use-size';
import { useParts } from '../view/use-parts';
import { useView } from '../view/view-store';
import { ArrowHead } from './arrow-head';
import { ambientNames } from './ambient-names';
import { FaceCanvas } from './face-canvas';
import { FalseScale } from './false-scale';
import { FrontOverlays, SignShapes } from './front-drawing';
import { fitted, frontView, viewOf } from './front-view';
import { MeasurePlot } from './measure';
import { RoomBar } from './room-bar';
import { useHand } from './use-hand';
import { useSeen } from './use-seen';
import { WallCanvas } from './wall-canvas';

const roundedTop = (value: number): number => {
  const power = 10 ** Math.floor(Math.log10(Math.max(1, value)));
  return Math.ceil(value / power) * power;
};

/** Luminance at the top of the scale of false colour; null while that is not shown. */
const falseTopOf = ({ assemblies }: Evaluation): number =>
  roundedTop(Math.max(...assemblies.map(({ glow }) => glow.evenness.highCdM2)) * 1.05);

/** The wall’s colour far from the sign, and ink that is read on it. */
const wallAndInk = ({ assemblies }: Evaluation, exposure: Exposure): readonly [wall: string, ink: string] => {
  const wall = surfaceColour(wallBehind(assemblies), exposure);
  return [wall, Number(/\d+/.exec(wall)?.[0] ?? 0) > 120 ? '#1a1c21' : '#e9e2d2'];
};

interface RoomProps {
  readonly evaluation: Evaluation;
  /** The same sign as the bench’s controller is set; the sign itself otherwise. */
  readonly shown: Evaluation;
  readonly switchedOn: boolean;
}

const Room = ({ evaluation, shown, switchedOn }: RoomProps) => {
  const room = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const { ambient, lit: lightsOn } = useParts(useView, 'ambient', 'lit');
  const showsFalse = useView(({ overlays }) => overlays.includes('false-colour'));
  const lit = lightsOn && switchedOn;
  const [hand, setHand] = useState(fitted);

  const { assemblies } = evaluation;
  const chosen = Math.min(useChosenIndex(), assemblies.length - 1);
  const fit = useMemo(
    () => rectRound(assemblies.map(({ placing, front }) => placedRect(placing, front.fitted))),
    [assemblies],
  );
  const view = frontView(fit, size, hand);
  const isBehind = useEvaluation((state) => state.isBehind);
  const views = assemblies.map(({ placing }) => viewOf(view, placing));
  const { exposure, glare } = useSeen(evaluation, shown, { lightsOn, lit });
  const [wall, ink] = wallAndInk(evaluation, exposure);
  const falseTop = showsFalse ? falseTopOf(evaluation) : null;
  const { measuring, toggleMeasuring, zoom, onWheel, handlers } = useHand({ room, view, assemblies, hand, setHand });

  return (
    <div
      ref={room}
      aria-busy={isBehind}
      className="lamp-room relative min-h-[220px] flex-1 overflow-hidden"
      style={{ background: wall }}
      onWheel={onWheel}
    >
      {size.width > 0 && glare !== null && (
        <WallCanvas sign={shown.assemblies} view={view} exposure={exposure} glare={glare} />
      )}
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
            exposure={exposure}
            glare={glare}
          />
        ))}
      <svg
        role="group"
        aria-label={`Front of the sign, ${ambientNames[ambient]}, ${lit ? 'lit' : 'not lit'}`}
        className={`absolute inset-0 h-full w-full touch-none ${measuring === null ? 'cursor-grab' : 'cursor-crosshair'}`}
        {...handlers}
      >
        <ArrowHead />
        <SignShapes shown={shown.assemblies} view={view} views={views} lit={lit} exposure={exposure} glare={glare} />
        <FrontOverlays
          evaluation={evaluation}
          view={view}
          views={views}
          chosen={chosen}
          ink={ink}
          falseColour={falseTop !== null}
          measuring={measuring}
        />
      </svg>
      <RoomBar
        evaluation={evaluation}
        measuring={measuring !== null}
        onMeasure={toggleMeasuring}
        onZoom={(factor) => zoom(factor, size.width / 2, size.height / 2)}
        onFit={() => setHand(fitted)}
      />
      {falseTop !== null && <FalseScale own={assemblies[chosen]!} top={falseTop} />}
      {measuring !== null && <MeasurePlot own={assemblies[chosen]!} points={measuring} />}
    </div>
  );
};

/** The lamp room: the sign as it looks, always. */
export const LitView = ({ last }: { readonly last: DesignSummary | null }) => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const isWrong = useEvaluation((state) => state.problems.length > 0);
  const bench = useParts(useBench, 'setting', 'evaluation', 'switchedOn');
  if (evaluation === null && !isWrong) return <LastPicture summary={last} />;
  if (evaluation === null)
    return (
      <div
        className="lamp-room flex min-h-[220px] flex-1 items-center justify-center bg-[#1d1c1a] text-[#e9e2d2]"
        role="status"
      >
        This design cannot be lit yet; see what is wrong on the right.
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
