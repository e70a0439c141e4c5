import { beforeEach, describe, expect, it } from '@jest/globals';
import { applyChange, demoDesigns, type AssemblyEvaluation } from '@vitrum/core';
import { moveTo } from '../assemblies/place-edits';
import { titleOf } from '../assemblies/title-of';
import { useDocument } from './document-store';
import { chosenIndex, selectAssembly, selectNext, useSelection } from './selection';

const lantern = demoDesigns['lantern-rooms'];
const chosen = (): number => chosenIndex(useDocument.getState().design, useSelection.getState().assemblyId);

describe('which assembly is chosen', () => {
  beforeEach(() => {
    selectAssembly(null);
    useDocument.setState({ design: lantern });
  });

  it('is the first until another is, and the first again when that is gone', () => {
    expect(chosen()).toBe(0);
    selectAssembly('letters');
    expect(chosen()).toBe(1);
    useDocument.setState({ design: demoDesigns.dispensary });
    expect(chosen()).toBe(0);
    expect(chosenIndex(null, 'letters')).toBe(0);
  });

  it('goes round by key, either way', () => {
    selectNext(1);
    expect(chosen()).toBe(1);
    selectNext(1);
    expect(chosen()).toBe(0);
    selectNext(-1);
    expect(chosen()).toBe(1);
    useDocument.setState({ design: null });
    expect(() => selectNext(1)).not.toThrow();
  });
});

describe('moving an assembly', () => {
  const standing = (index: number, placing: AssemblyEvaluation['placing']) => ({
    id: lantern.assemblies[index]!.id,
    index,
    placing,
    assembly: { place: lantern.assemblies[index]!.place },
  });
  const quarter = { xMm: 100, yMm: 0, zMm: 0, turnRad: Math.PI / 2 };

  it('keeps its place in the axes of what it stands on', () => {
    const both = [standing(0, quarter), standing(1, quarter)];
    const changed = applyChange(lantern, moveTo(both, both[1]!, [100, 40]));
    expect(changed.ok && changed.value.assemblies[1]!.place).toEqual({ on: 'box', xMm: 40, yMm: 0, turnDeg: 0 });
  });

  it('is to half a millimetre on the wall', () => {
    const both = [standing(0, quarter), standing(1, quarter)];
    expect(moveTo(both, both[0]!, [10.3, -7.74]).map(({ value }) => value)).toEqual([10.5, -7.5]);
    expect(moveTo(both, both[0]!, [0, 0]).map(({ path }) => path)).toEqual([
      'assemblies.0.place.xMm',
      'assemblies.0.place.yMm',
    ]);
  });
});

describe('what an assembly is called', () => {
  it('is its letter and its build where there are several, and nothing where it is alone', () => {
    expect(titleOf({ label: 'B', build: 'halo' })).toBe('B, halo letters');
    expect(titleOf({ label: '', build: 'halo' })).toBe('');
  });
});
