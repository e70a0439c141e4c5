import { beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, fieldsOf, type LayersAssembly } from '@vitrum/core';
import { undo, useDocument } from '../../document/document-store';
import { openDesign } from '../../testing/open-design';
import { OverPockets } from './over-pockets';
import { mostPictureBytes } from './picture-edits';
import { PictureField } from './picture-field';
import { act } from 'react';

const demo = demoDesigns['reed-bed'];
const sheet = fieldsOf<LayersAssembly>('assemblies.0').scene.sheets.at(0);
const now = () => (useDocument.getState().design!.assemblies[0] as LayersAssembly).scene.sheets[0]!;
const printed = { name: 'shore.jpg', columns: 2, rows: 2, rgb: 'AAAAAAAAAAAAAAAA' };
const withPicture = {
  ...demo,
  assemblies: demo.assemblies.map((own) => ({
    ...own,
    scene: { ...own.scene, sheets: own.scene.sheets.map((each) => ({ ...each, picture: printed })) },
  })),
};

describe('a picture that is printed', () => {
  const shown = () => render(<PictureField field={sheet.picture} title="Or a print" hint="glued on" />);
  const pick = async (file: Partial<File>): Promise<void> =>
    act(async () => {
      fireEvent.change(document.querySelector('input[type=file]')!, { target: { files: [file] } });
      await Promise.resolve();
    });
  beforeEach(() => openDesign(demo));

  it('says what it would be for while there is none', () => {
    shown();
    expect(screen.getByRole('heading', { name: 'Or a print' })).toBeTruthy();
    expect(screen.getByText('glued on')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take it off' })).toBeNull();
  });

  it('is refused by its weight before it is opened', async () => {
    shown();
    await pick({ name: 'wall.jpg', size: mostPictureBytes + 1 });
    expect(screen.getByRole('alert').textContent).toContain('wall.jpg is larger than 60 MB; save it smaller as JPEG');
    expect(now().picture ?? null).toBeNull();
  });

  it('is refused with a sentence where it is none', async () => {
    shown();
    await pick({ name: 'torn.png', size: 12, slice: () => new Blob(['torn']) });
    expect((await screen.findByRole('alert')).textContent).toContain('torn.png is no picture that can be read');
    expect(now().picture ?? null).toBeNull();
  });

  it('is taken off in one step of undo', async () => {
    openDesign(withPicture);
    const user = userEvent.setup();
    shown();
    expect(screen.getByRole('heading', { name: 'shore.jpg' })).toBeTruthy();
    expect(screen.getByText(/Send the printer your own file/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take it off' }));
    expect(now().picture ?? null).toBeNull();
    act(undo);
    expect(now().picture).toEqual(printed);
  });
});

describe('letters over their pockets', () => {
  it('say what is usual once it is worked out', () => {
    openDesign(demo);
    const { rerender } = render(<OverPockets field={sheet.inlay.overMm} overMm={null} />);
    expect(screen.getByText('both sides together; empty: as is usual; negative is loose')).toBeTruthy();
    rerender(<OverPockets field={sheet.inlay.overMm} overMm={-0.05} />);
    expect(screen.getByText(/as is usual \(-0\.05 mm\)/)).toBeTruthy();
  });
});
