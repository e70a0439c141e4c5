import type { Evaluation, Finding, JobStatus, WorkStep } from '@vitrum/core';
/** The work line, in the order of the work. */
export declare const workSteps: readonly {
    readonly step: WorkStep;
    readonly name: string;
}[];
export declare const isWorkStep: (value: string | undefined) => value is WorkStep;
/** How a step stands. */
export interface StepState {
    readonly kind: 'untouched' | 'fine' | 'note' | 'fix' | 'stop';
    readonly count: number;
}
/** A step in a few words of figures. */
export declare const stepDetail: (step: WorkStep, { design, geometry, lettering, runs, circuit, materials, parts, cost, plan }: Evaluation) => string;
/** Whether somebody has been through a step: here in this browser, or because the job has moved on since. */
export declare const hasSeen: (step: WorkStep, visited: readonly WorkStep[], status: JobStatus) => boolean;
/** Wrong things speak first; a step never looked at is untouched; notes do not dim a lamp. */
export declare const stepState: (step: WorkStep, findings: readonly Finding[], seen: boolean) => StepState;
