import { ambientLux, type Evaluation } from '@vitrum/core';
import { Camera, Maximize, Minus, Plus, Ruler } from 'lucide-react';
import { pageOf } from '../builds';
import { useParts } from '../view/use-parts';
import { buildOverlays, overlayNames, toggleOverlay, toggleViewer, useView, type Overlay } from '../view/view-store';
import { ambientNames } from './ambient-names';
import { RoomButton } from './room-button';

/** Overlays that some build of the sign draws, beside those that all have. */
const overlaysOf = ({ assemblies }: Evaluation): readonly Overlay[] => {
  const own = new Set(assemblies.flatMap((assembly) => pageOf(assembly).overlays));
  const fixed = assemblies.some(({ hang }) => hang !== null && hang.fixings.length > 0 && hang.way !== 'posts');
  return (Object.keys(overlayNames) as Overlay[]).filter((overlay) =>
    overlay === 'fixings' ? fixed : !buildOverlays.includes(overlay) || own.has(overlay),
  );
};

interface RoomBarProps {
  readonly evaluation: Evaluation;
  readonly measuring: boolean;
  readonly onMeasure: () => void;
  readonly onZoom: (factor: number) => void;
  readonly onFit: () => void;
}

/** What is seen, and the tools: zoom, measure, overlays. */
export const RoomBar = ({ evaluation, measuring, onMeasure, onZoom, onFit }: RoomBarProps) => {
  const { ambient, overlays, viewer } = useParts(useView, 'ambient', 'overlays', 'viewer');
  return (
    <div className="pointer-events-none absolute inset-x-0 top-0 flex flex-wrap items-center justify-between gap-2 px-3 py-2 [&>*]:pointer-events-auto">
      <p className="figure rounded-[2px] bg-black/55 px-1.5 text-[13px] text-[#f2ead8]">
        front · {ambientNames[ambient]}, {ambientLux[ambient].toLocaleString('en')} lx
        {viewer === 'camera' && ' · as a camera'}
      </p>
      <div className="mr-auto flex gap-1.5" role="group" aria-label="View">
        <RoomButton label="Closer" onClick={() => onZoom(1.3)}>
          <Plus size={15} aria-hidden />
        </RoomButton>
        <RoomButton label="Farther" onClick={() => onZoom(1 / 1.3)}>
          <Minus size={15} aria-hidden />
        </RoomButton>
        <RoomButton label="Fit the sign" onClick={onFit}>
          <Maximize size={14} aria-hidden />
        </RoomButton>
        <RoomButton
          pressed={measuring}
          label="Measure: drag from point to point, for length and luminance"
          onClick={onMeasure}
        >
          <Ruler size={15} aria-hidden />
        </RoomButton>
        <RoomButton
          pressed={viewer === 'camera'}
          label="As a camera, exposed for the glow (key C); else as the eye sees it there"
          onClick={toggleViewer}
        >
          <Camera size={15} aria-hidden />
        </RoomButton>
      </div>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Shown over the sign">
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
  );
};
