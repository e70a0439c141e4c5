import type { LetterResults } from '@vitrum/core';
import { toScreen } from '../../lamp-room/front-view';
import type { OverlayProps } from '../common/build-page';
import { StripHandle } from './strip-handle';

// Pages of letters alone draw this.
const asLetters = (own: OverlayProps['own']): LetterResults => own as unknown as LetterResults;

/** Wires to and between the segments of letters. */
const Jumpers = ({ own, view }: OverlayProps) =>
  asLetters(own).jumpers.map(({ from, to, at, lengthMm }) => {
    const [x1, y1] = toScreen(view, ...at[0]);
    const [x2, y2] = toScreen(view, ...at[1]);
    return (
      <g key={`${from}-${to}`}>
        <title>{`jumper from ${from} to ${to}, ${Math.ceil(lengthMm)} mm`}</title>
        <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#1a1c21" strokeWidth={3} />
        <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#d2521a" strokeWidth={1.5} />
      </g>
    );
  });

/** Modules of letters, each to be dragged along its wire. */
const Modules = ({ own, view }: OverlayProps) => {
  if (own.materials.strip.form !== 'modules') return null;
  const { leds, segments } = own.runs;
  return segments.map((segment, index) => {
    const first = leds.segment.indexOf(index);
    return Array.from({ length: segment.ledCount }, (_, led) => (
      <StripHandle
        key={`${segment.number}-${led}`}
        segment={segment}
        module={led + 1}
        at={[leds.x[first + led]!, leds.y[first + led]!]}
        alongMm={leds.along[first + led]!}
        view={view}
      />
    ));
  });
};

/** What letters add to the strip overlay. */
export const LetterStrip = (props: OverlayProps) => (
  <>
    <Jumpers {...props} />
    <Modules {...props} />
  </>
);
