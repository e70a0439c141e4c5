import { beforeEach, describe, expect, it } from '@jest/globals';
import { markVisited, toggleOverlay, useView } from './view-store';

beforeEach(() => {
  useView.setState({ overlays: ['sizes'], visited: {} });
});

describe('how the page looks', () => {
  it('lays things over the sign and takes them off again', () => {
    toggleOverlay('strip');
    expect(useView.getState().overlays).toEqual(['sizes', 'strip']);
    toggleOverlay('sizes');
    toggleOverlay('strip');
    expect(useView.getState().overlays).toEqual([]);
  });

  it('remembers which steps of which job were looked at, each once', () => {
    markVisited('a', 'case');
    markVisited('a', 'case');
    markVisited('a', 'light');
    markVisited('b', 'brief');
    expect(useView.getState().visited).toEqual({ a: ['case', 'light'], b: ['brief'] });
  });
});
