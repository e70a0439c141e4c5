import type { BuildName, WorkStep } from '@vitrum/core';
import type { ComponentType } from 'react';
import { useDocument } from '../document/document-store';
import { FindingsPanel } from './findings-panel';
import { stepName } from './step-names';
import { BuildStep, CutStep, ProveStep } from './steps/bench-steps';
import { BriefStep } from './steps/brief-step';
import { ArtworkStep, CaseStep } from './steps/design-steps';
import { PowerStep } from './steps/power/power-step';
import { FaceStep } from './steps/face-step';
import { CansStep } from './steps/letters/cans-step';
import { LetterFaceStep } from './steps/letters/letter-face-step';
import { LetterLightStep } from './steps/letters/letter-light-step';
import { LettersStep } from './steps/letters/letters-step';
import { WallStep } from './steps/letters/wall-step';
import { LightStep } from './steps/light-step';

type Panels = Readonly<Record<WorkStep, ComponentType>>;

const boxPanels: Panels = {
  brief: BriefStep,
  artwork: ArtworkStep,
  case: CaseStep,
  light: LightStep,
  power: PowerStep,
  face: FaceStep,
  cut: CutStep,
  build: BuildStep,
  prove: ProveStep,
};

const panelsOf: Readonly<Record<BuildName, Panels>> = {
  lightbox: boxPanels,
  halo: { ...boxPanels, case: LettersStep, light: LetterLightStep, face: WallStep },
  'face-lit': { ...boxPanels, case: CansStep, light: LetterLightStep, face: LetterFaceStep },
};

/** The settings of a step, and under them the findings. */
export const StepPanel = ({ step }: { readonly step: WorkStep }) => {
  const build = useDocument((state) => state.design?.assemblies[0]?.build ?? 'lightbox');
  const Panel = panelsOf[build][step];
  const name = useDocument((state) => state.design?.name);
  return (
    <aside
      aria-label="Settings"
      className="w-[332px] shrink-0 overflow-y-auto border-l border-line px-4 py-3 max-lg:w-full max-lg:border-t max-lg:border-l-0 print:w-full print:border-0"
    >
      <p className="print-only text-lg font-bold">{name}</p>
      <h2 className="mb-1 text-[15px] font-bold">{stepName(step, build)}</h2>
      <Panel />
      <div className="no-print">
        <FindingsPanel />
      </div>
    </aside>
  );
};
