import { beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { demoDesigns, fieldsOf, set, shippedCatalogue, type EdgeLitAssembly } from '@vitrum/core';
import { act } from 'react';
import { changeDesign, setDesign } from '../document/document-store';
import { CatalogueContext } from '../job/catalogue-context';
import { openDesign } from '../testing/open-design';
import { StripChanged } from './strip-changed';

const field = fieldsOf<EdgeLitAssembly>('assemblies.0').light.stripId;
const shown = () =>
  render(
    <CatalogueContext.Provider value={shippedCatalogue}>
      <StripChanged />
    </CatalogueContext.Provider>,
  );

beforeEach(() => openDesign(demoDesigns['quiet-room']));

describe('a strip changed since the job was opened', () => {
  it('is not spoken of while it is the same', () => {
    expect(shown().container.textContent).toBe('');
  });

  it('is told with all that has to follow it, and no more once it is back', () => {
    const { container } = shown();
    void act(() => void changeDesign([set(field, 'white-12v-60')]));
    expect(screen.getByText(/Another strip than when the job was opened: voltage/)).toBeTruthy();
    expect(container.textContent).toContain('voltage: 24 V → 12 V');
    expect(container.textContent).toContain('another supply, and a controller that takes it');
    void act(() => void changeDesign([set(field, demoDesigns['quiet-room'].assemblies[0]!.light.stripId)]));
    expect(container.textContent).toBe('');
  });

  it('is not that of another assembly that took its place, nor of a new one', () => {
    const { container } = shown();
    const [panel] = demoDesigns['quiet-room'].assemblies;
    const other = { ...panel!, id: 'other', light: { ...panel!.light, stripId: 'white-12v-60' } };
    void act(() => setDesign({ ...demoDesigns['quiet-room'], assemblies: [other, panel!] }));
    expect(container.textContent).toBe('');
  });
});
