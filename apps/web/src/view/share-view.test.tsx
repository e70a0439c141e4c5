import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { shareView, useView } from './view-store';

const key = 'vitrum.view';

/** What this tab hears when another one of the same browser has written. */
const hearOf = (changed: string | null): void =>
  void window.dispatchEvent(new StorageEvent('storage', { key: changed }));

const keptNow = (): { readonly state: object; readonly version: number } =>
  JSON.parse(localStorage.getItem(key)!) as { readonly state: object; readonly version: number };

let end: () => void;
beforeEach(() => {
  end = shareView();
  useView.setState({ ...useView.getInitialState(), unit: 'mm', visited: { a: ['case'] } });
});
afterEach(() => end());

describe('two tabs of one browser', () => {
  it('look alike: what was chosen in one holds in the other, which does not write over it', () => {
    const { state, version } = keptNow();
    const visited = { a: ['case'], b: ['light'] };
    localStorage.setItem(key, JSON.stringify({ state: { ...state, theme: 'dark', unit: 'in', visited }, version }));
    hearOf(key);
    expect(useView.getState()).toMatchObject({ theme: 'dark', unit: 'in', visited });
    useView.setState({ help: false });
    expect(keptNow().state).toMatchObject({ theme: 'dark', unit: 'in', visited, help: false });
  });

  it('keep what is theirs alone: where the slice is, and what is shown', () => {
    useView.setState({ sliceXMm: 12, shownFinding: 'dots-show' });
    hearOf(key);
    expect(useView.getState()).toMatchObject({ sliceXMm: 12, shownFinding: 'dots-show' });
  });

  it('forget together', () => {
    useView.setState({ theme: 'dark', shownStep: 'wire' });
    localStorage.clear();
    hearOf(null);
    expect(useView.getState()).toEqual(useView.getInitialState());
  });

  it('do not mind what else is kept, nor hear anything once they have ended', () => {
    const { state, version } = keptNow();
    localStorage.setItem(key, JSON.stringify({ state: { ...state, theme: 'dark' }, version }));
    hearOf('vitrum.clock');
    expect(useView.getState().theme).toBe('light');
    end();
    hearOf(key);
    expect(useView.getState().theme).toBe('light');
  });
});
