import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, inDesign, set, shippedCatalogue } from '@vitrum/core';
import { MemoryRouter } from 'react-router';
import { changeDesign, useDocument } from '../document/document-store';
import { openDesign } from '../testing/open-design';
import { CatalogueContext } from './catalogue-context';
import { JobHeader } from './job-header';

const quantity = (): number => useDocument.getState().design!.brief.quantity;
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

beforeEach(() => openDesign(demoDesigns.dispensary));

describe('undo and redo in the head of a job', () => {
  it('can be pressed as far as there is something to take back, and to bring again', async () => {
    const user = userEvent.setup();
    render(
      <MemoryRouter>
        <CatalogueContext value={shippedCatalogue}>
          <JobHeader jobId="job" onHelp={() => undefined} onFind={() => undefined} />
        </CatalogueContext>
      </MemoryRouter>,
    );
    expect([button('Undo').disabled, button('Redo').disabled]).toEqual([true, true]);
    act(() => {
      changeDesign([set(inDesign.brief.quantity, 2)]);
      changeDesign([set(inDesign.brief.quantity, 3)]);
    });
    await user.click(button('Undo'));
    expect(quantity()).toBe(2);
    await user.click(button('Undo'));
    expect([quantity(), button('Undo').disabled]).toEqual([1, true]);
    await user.click(button('Redo'));
    expect(quantity()).toBe(2);
    act(() => void changeDesign([set(inDesign.brief.quantity, 9)]));
    expect(button('Redo').disabled).toBe(true);
  });
});
