import { describe, expect, it } from '@jest/globals';
import { render, screen, within } from '@testing-library/react';
import { allBuilds } from '@vitrum/core';
import { MemoryRouter, Route, Routes } from 'react-router';
import { InShop } from '../testing/lit';
import { generalGuide } from './general';
import { GuidePage } from './guide-page';

const open = (path: string) =>
  render(
    <InShop>
      <MemoryRouter initialEntries={[path]}>
        <Routes>
          <Route path="/guide" element={<GuidePage />} />
          <Route path="/guide/:build" element={<GuidePage />} />
        </Routes>
      </MemoryRouter>
    </InShop>,
  );

describe('the guide', () => {
  it('begins with how to work, and leads to every build', () => {
    open('/guide');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('How to work with Vitrum');
    expect(screen.getAllByRole('heading', { level: 2 })).toHaveLength(generalGuide.length);
    const links = within(screen.getByRole('navigation', { name: 'Guide' })).getAllByRole('link');
    expect(links.map(({ textContent }) => textContent)).toEqual([
      'How to work with Vitrum',
      ...allBuilds.map(({ words }) => words.name),
    ]);
    expect(document.title).toBe('Guide · Vitrum');
  });

  it.each(allBuilds.map(({ name, words }) => [words.name, name] as const))(
    'tells of %s what decides, how it is made and what goes wrong, with its pictures and who else to ask',
    async (title, name) => {
      open(`/guide/${name}`);
      expect((await screen.findByRole('heading', { level: 1, name: title })).textContent).toBe(title);
      expect(document.title).toBe(`${title} · Vitrum`);
      expect(screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent)).toEqual([
        'What decides',
        'Order of work',
        'What goes wrong',
      ]);
      for (const picture of screen.getAllByRole('img')) expect(picture.getAttribute('alt')!.length).toBeGreaterThan(10);
      expect(screen.getAllByRole('definition').length).toBeGreaterThan(2);
      expect(screen.getByText(/licensed electrician/)).toBeTruthy();
      expect(screen.getByRole('link', { name: 'Begin one' }).getAttribute('href')).toBe(`/jobs/new?build=${name}`);
    },
  );

  it('shows how to work where there is no such build', () => {
    open('/guide/no-such-build');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('How to work with Vitrum');
  });
});
