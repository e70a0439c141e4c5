import type { WorkStep } from '@vitrum/core';
/** The settings of a step, and under them the findings. */
export declare const StepPanel: ({ step }: { readonly step: WorkStep }) => import('react').JSX.Element;
