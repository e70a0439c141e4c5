import { describe, expect, it } from '@jest/globals';
import { allBuilds, type Finding, type WorkStep } from '@vitrum/core';
import { hasSeen, isWorkStep, stepName, stepState, workSteps } from './step-names';

const finding = (step: WorkStep, severity: Finding['severity']): Finding => ({ step, severity }) as Finding;

describe('the steps of the work line', () => {
  it('are ten, each told by its name in an address', () => {
    expect(workSteps).toHaveLength(10);
    for (const { step } of workSteps) expect(isWorkStep(step)).toBe(true);
    for (const other of [undefined, '', 'Brief', 'tryouts']) expect(isWorkStep(other)).toBe(false);
  });

  it.each(allBuilds.map(({ name }) => name))('have a name of a word or two in the build “%s”', (build) => {
    const names = workSteps.map(({ step }) => stepName(step, build));
    expect(new Set(names).size).toBe(names.length);
    for (const name of names) expect(name).toMatch(/^[A-Z][a-z]+( [a-z]+)?$/);
  });

  it('keep their usual names while no assembly is known', () => {
    expect(workSteps.map(({ step }) => stepName(step, undefined))).toEqual(workSteps.map(({ name }) => name));
  });

  it('stand as their gravest finding says, and say how many there are as grave', () => {
    const findings = [
      finding('light', 'note'),
      finding('light', 'stop'),
      finding('light', 'fix'),
      finding('face', 'fix'),
    ];
    expect(stepState('light', findings, true)).toEqual({ kind: 'stop', count: 1 });
    expect(stepState('face', findings, false)).toEqual({ kind: 'fix', count: 1 });
    expect(stepState('power', [finding('power', 'note')], true)).toEqual({ kind: 'note', count: 1 });
  });

  it('are untouched until somebody was there, and fine then', () => {
    expect(stepState('cut', [], false)).toEqual({ kind: 'untouched', count: 0 });
    expect(stepState('cut', [], true)).toEqual({ kind: 'fine', count: 0 });
  });

  it('of designing are behind a job that is past quoting; those at the bench are not', () => {
    expect(hasSeen('light', [], 'quoted')).toBe(false);
    expect(hasSeen('light', ['light'], 'quoted')).toBe(true);
    for (const step of ['brief', 'artwork', 'case', 'light', 'power', 'face', 'hang'] as const)
      expect(hasSeen(step, [], 'building')).toBe(true);
    for (const step of ['cut', 'build', 'prove'] as const) expect(hasSeen(step, [], 'building')).toBe(false);
  });
});
