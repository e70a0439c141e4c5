import { describe, expect, it } from '@jest/globals';
import { sidesWith } from './side-edits';

describe('how often strip runs along a side', () => {
  it('begins at once along all four', () => {
    expect(sidesWith(undefined, 'bottom', 2)).toEqual(['top', 'right', 'bottom', 'bottom', 'left']);
    expect(sidesWith(undefined, 'left', 0)).toEqual(['top', 'right', 'bottom']);
  });

  it('changes one side and leaves the others as they are, clockwise from the top', () => {
    expect(sidesWith(['left', 'left', 'top'], 'right', 1)).toEqual(['top', 'right', 'left', 'left']);
    expect(sidesWith(['left', 'left', 'top'], 'left', 1)).toEqual(['top', 'left']);
  });

  it('never leaves a case without strip', () => {
    expect(sidesWith(['top'], 'top', 0)).toBeNull();
    expect(sidesWith(['top'], 'bottom', 0)).toEqual(['top']);
  });
});
