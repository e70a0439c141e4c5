import { beforeEach, describe, expect, it } from '@jest/globals';
import { enterStep, markVisited, toggleOverlay, useView } from './view-store';

beforeEach(() => {
  useView.setState({ overlays: ['sizes'], chosenOverlays: {}, step: null, visited: {} });
});

describe('how the page looks', () => {
  it('lays things over the sign and takes them off again', () => {
    toggleOverlay('strip');
    expect(useView.getState().overlays).toEqual(['sizes', 'strip']);
    toggleOverlay('sizes');
    toggleOverlay('strip');
    expect(useView.getState().overlays).toEqual([]);
  });

  it('shows with each step what it is about, or what was chosen for it', () => {
    enterStep('face');
    expect(useView.getState().overlays).toEqual([]);
    enterStep('power');
    expect(useView.getState().overlays).toContain('wires');
    toggleOverlay('wires');
    enterStep('face');
    toggleOverlay('sizes');
    enterStep('power');
    expect(useView.getState().overlays).not.toContain('wires');
    enterStep('face');
    expect(useView.getState().overlays).toEqual(['sizes']);
  });

  it('remembers which steps of which job were looked at, each once', () => {
    markVisited('a', 'case');
    markVisited('a', 'case');
    markVisited('a', 'light');
    markVisited('b', 'brief');
    expect(useView.getState().visited).toEqual({ a: ['case', 'light'], b: ['brief'] });
  });
});
