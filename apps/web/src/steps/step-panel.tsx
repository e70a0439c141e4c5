import type { WorkStep } from '@vitrum/core';
import { createElement, type ComponentType } from 'react';
import { pageOf, type AssemblyStep } from '../builds';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { FindingsPanel } from '../findings/findings-panel';
import { lazyPart } from '../ui/lazy-part';
import { useNarrow } from '../view/use-narrow';
import { useView } from '../view/view-store';
import { stepName } from './step-names';

const AssemblyBar = lazyPart(() => import('../assemblies/assembly-bar'), 'AssemblyBar', { fallback: null });
const ArtworkStep = lazyPart(() => import('./artwork-step'), 'ArtworkStep');

const FinishFields = lazyPart(() => import('./finish/finish-fields'), 'FinishFields', { fallback: null });
const HangStep = lazyPart(() => import('./hang/hang-step'), 'HangStep');

/** Steps of the sign as a whole; the others show the chosen assembly. */
const signPanels: Readonly<Record<Exclude<WorkStep, AssemblyStep>, ComponentType>> = {
  brief: lazyPart(() => import('./brief-step'), 'BriefStep'),
  power: lazyPart(() => import('./power/power-step'), 'PowerStep'),
  cut: lazyPart(() => import('./bench-steps'), 'CutStep'),
  build: lazyPart(() => import('../bench-mode/build-step'), 'BuildStep'),
  prove: lazyPart(() => import('./bench-steps'), 'ProveStep'),
};

const isOfSign = (step: WorkStep): step is keyof typeof signPanels => step in signPanels;

const panelOf = (step: WorkStep, build: string): ComponentType => {
  if (isOfSign(step)) return signPanels[step];
  if (step === 'artwork') return ArtworkStep;
  return step === 'hang' ? HangStep : pageOf({ build }).panels[step];
};

/** The findings in short, and under them the settings of a step. In one column the findings lie under the picture instead. */
export const StepPanel = ({ step }: { readonly step: WorkStep }) => {
  const index = useChosenIndex();
  const build = useDocument((state) => state.design?.assemblies[index]?.build);
  const name = useDocument((state) => state.design?.name);
  const allFindings = useView((view) => view.findingsOpen);
  const isNarrow = useNarrow();
  return (
    <aside
      aria-label="Settings"
      className="w-[332px] shrink-0 overflow-y-auto border-l border-line px-4 py-3 max-lg:w-full max-lg:border-t max-lg:border-l-0 print:w-full print:border-0"
    >
      <p className="print-only text-lg font-bold">{name}</p>
      {!isNarrow && (
        <div
          className={`no-print -mx-4 mb-2 border-b border-line bg-paper px-4 ${allFindings ? '' : 'sticky -top-3 z-10 -mt-3 pt-3'}`}
        >
          <FindingsPanel />
        </div>
      )}
      <h2 className="mb-1 text-[15px] font-bold">{stepName(step, build)}</h2>
      {!isOfSign(step) && <AssemblyBar />}
      {/* A field must not carry what was typed for one assembly over to another. Each key stands once: of two alike one would stay. */}
      {build !== undefined && createElement(panelOf(step, build), { key: isOfSign(step) ? 'sign' : `panel-${index}` })}
      {step === 'case' && <FinishFields key={`finish-${index}`} />}
    </aside>
  );
};
