import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { demoDesigns, fieldsOf, set, type Design, type Evaluation } from '@vitrum/core';
import { allPages } from '../builds';
import { changeDesign, useDocument } from '../document/document-store';
import { selectAssembly, useSelection } from '../document/selection';
import { openDesign } from '../testing/open-design';
import { useView } from '../view/view-store';
import { entriesOf, type SearchEntry, type Searched } from './search-entries';

const evaluation = {
  findings: [
    { id: 'dots-show', what: 'The rows show', why: 'by 3 %', step: 'face', assembly: 0 },
    { id: 'heavy', what: 'It is heavy', why: '40 kg', step: 'hang', assembly: null },
  ],
  figures: [
    { id: 'mean', label: 'mean', text: '420 cd/m²', assembly: 0 },
    { id: 'mean', label: 'mean', text: '90 cd/m²', assembly: 1 },
    { id: 'cost', label: 'cost', text: '€120', assembly: null },
  ],
  assemblies: [{ id: 'first' }, { id: 'second' }],
} as unknown as Evaluation;

const searched: Searched = {
  jobId: 'job',
  build: 'lightbox',
  chosen: 0,
  evaluation,
  fields: [{ step: 'case', label: 'Depth inside', what: 'from back to face' }] as unknown as Searched['fields'],
};
const entry = (title: string, of: Searched = searched): SearchEntry => {
  const found = entriesOf(of).find((each) => each.title === title);
  if (found === undefined) throw new Error(`“${title}” is not found`);
  return found;
};
const titles = (group: SearchEntry['group'], of: Searched = searched) =>
  entriesOf(of).flatMap((each) => (each.group === group ? [each.title] : []));

/** Where an entry leads. */
const ways = (found: SearchEntry): readonly string[] => {
  const gone: string[] = [];
  found.run((path) => void gone.push(path));
  return gone;
};

beforeEach(() => {
  // A field is looked for on the page until it is there.
  jest.useFakeTimers();
  openDesign(demoDesigns.dispensary);
  selectAssembly('second');
  useView.setState({
    findingsOpen: false,
    shownFinding: null,
    shownFigure: null,
    lit: true,
    unit: 'mm',
    theme: 'light',
  });
});

afterEach(() => void jest.useRealTimers());

describe('what can be found from a job', () => {
  it('has a name of its own each', () => {
    const ids = entriesOf({ ...searched, chosen: 1 }).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('has findings first, which open at their step with the list unfolded', () => {
    expect(titles('Findings')).toEqual(['The rows show', 'It is heavy']);
    expect(entriesOf(searched)[0]!.group).toBe('Findings');
    expect(ways(entry('It is heavy'))).toEqual(['/jobs/job/hang']);
    expect(useView.getState()).toMatchObject({ findingsOpen: true, shownFinding: 'heavy' });
    // That of the sign leaves the choice as it is, that of an assembly chooses it.
    expect(useSelection.getState().assemblyId).toBe('second');
    expect(ways(entry('The rows show'))).toEqual(['/jobs/job/face']);
    expect(useSelection.getState().assemblyId).toBe('first');
  });

  it('has every step and field, at the place where it is', () => {
    expect(titles('Steps')).toEqual(expect.arrayContaining(['Try-outs', 'Bench mode']));
    for (const title of titles('Steps')) expect(ways(entry(title))[0]).toMatch(/^\/jobs\/job\/[a-z]+$/);
    expect(entry('Depth inside').detail).toContain('from back to face');
    expect(ways(entry('Depth inside'))).toEqual(['/jobs/job/case']);
  });

  it('has the figures of the sign and of the chosen assembly, no other’s', () => {
    expect(titles('Figures')).toEqual(['420 cd/m² mean', '€120 cost']);
    expect(titles('Figures', { ...searched, chosen: 1 })).toEqual(['90 cd/m² mean', '€120 cost']);
    expect(ways(entry('€120 cost'))).toEqual([]);
    expect(useView.getState().shownFigure).toBe('cost');
  });

  it('has what can be done, and does it', () => {
    ways(entry('Lights on or off'));
    expect(useView.getState().lit).toBe(false);
    ways(entry('Show lengths in inches'));
    ways(entry('Dark page'));
    expect(useView.getState()).toMatchObject({ unit: 'in', theme: 'dark' });
    const before = useDocument.getState().design;
    changeDesign([set(fieldsOf<Design>().name, 'Other')]);
    ways(entry('Undo'));
    expect(useDocument.getState().design).toEqual(before);
    ways(entry('Redo'));
    expect(useDocument.getState().design?.name).toBe('Other');
  });

  it('has the guide to every build', () => {
    const guides = entriesOf(searched).filter(({ id }) => allPages.some(({ name }) => id === `guide ${name}`));
    expect(guides).toHaveLength(allPages.length);
    expect(guides.flatMap(ways)).toEqual(allPages.map(({ name }) => `/guide/${name}`));
  });

  it('is less before the light is there, and not nothing', () => {
    const dark = { ...searched, evaluation: null };
    expect([titles('Findings', dark), titles('Figures', dark)]).toEqual([[], []]);
    expect(titles('Steps', dark).length).toBeGreaterThan(8);
  });
});
