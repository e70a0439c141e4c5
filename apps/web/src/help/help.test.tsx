import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, render, screen, waitFor } from '@testing-library/react';
import { useView } from '../view/view-store';
import { fieldsOfBuild } from './find-help';
import { HelpContext } from './help-context';
import { HelpLayer } from './help-layer';
import { WithHelp } from './with-help';

beforeEach(() => void useView.setState({ help: true }));

const shown = async (label: string): Promise<void> => {
  const fields = await fieldsOfBuild('halo');
  render(
    <HelpContext value={fields}>
      <WithHelp id="own" label={label}>
        <input aria-label={label} aria-describedby="own-help" />
      </WithHelp>
      <HelpLayer />
    </HelpContext>,
  );
};

describe('what fields mean', () => {
  it('is a build’s own word before that of every sign', async () => {
    const [halo, box] = await Promise.all([fieldsOfBuild('halo'), fieldsOfBuild('lightbox')]);
    expect(halo.get('Runs')?.what).toContain('behind the letters');
    expect(box.get('Runs')?.what).toBe('Where strip runs.');
    expect(halo.get('Standoff')).toMatchObject({ step: 'case' });
    expect(box.get('Standoff')).toBeUndefined();
    // What letters have in common is there for each of them.
    expect(halo.get('Setback')?.step).toBe('light');
  });

  it('is read out with the field, and stands beside it a moment after it is gone to', async () => {
    await shown('Standoff');
    const field = screen.getByLabelText('Standoff');
    expect(document.getElementById('own-help')?.textContent).toContain('From the wall');
    act(() => field.focus());
    expect(screen.queryByRole('dialog')).toBeNull();
    await waitFor(() => expect(screen.getByRole('dialog', { name: 'About Standoff' })).toBeTruthy());
    expect(document.activeElement).toBe(field);
    act(() => field.blur());
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('goes with a field that is taken away while it has the focus', async () => {
    const fields = await fieldsOfBuild('halo');
    const page = (hasField: boolean) => (
      <HelpContext value={fields}>
        {hasField && (
          <WithHelp id="own" label="Standoff">
            <input aria-label="Standoff" />
          </WithHelp>
        )}
        <HelpLayer />
      </HelpContext>
    );
    const { rerender } = render(page(true));
    act(() => screen.getByLabelText('Standoff').focus());
    await waitFor(() => expect(screen.getByRole('dialog', { name: 'About Standoff' })).toBeTruthy());
    rerender(page(false));
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('stays away when it is switched off, and where nobody wrote any', async () => {
    useView.setState({ help: false });
    await shown('Standoff');
    act(() => screen.getByLabelText('Standoff').focus());
    await new Promise((resolve) => setTimeout(resolve, 700));
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
