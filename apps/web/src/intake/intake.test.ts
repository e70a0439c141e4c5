import { describe, expect, it } from '@jest/globals';
import { usualIntake, type DrawingFile, type IntakeOptions, type TakenDrawing } from '@vitrum/core';
import { fakePassingLight } from '../testing/fake-clients';
import { askIntake, type Intake } from './ask-intake';
import { drawingKind, readDrawingFile } from './read-drawing-file';

const file: DrawingFile = { kind: 'svg', name: 'a.svg', text: '<svg/>' };
const drawing = (widthMm: number): TakenDrawing => ({
  outline: [],
  widthMm,
  heightMm: 1,
  layers: [],
  sizeStated: true,
  notes: [],
  changes: [],
  open: [],
});

const open = () => {
  const threads = fakePassingLight();
  const told: Intake[] = [];
  const ask = (options: IntakeOptions) => askIntake(threads.client, file, options, (intake) => told.push(intake));
  const gaps = () => threads.sent.map((request) => (request.kind === 'take' ? request.options.gapMm : -1));
  return { ...threads, told, ask, gaps };
};

describe('taking a drawing in', () => {
  it('keeps one options in flight and only the newest waiting, and tells nothing that is out of date', () => {
    const { ask, answer, told, gaps } = open();
    for (const gapMm of [0.1, 0.2, 0.3]) ask({ ...usualIntake, gapMm });
    expect(gaps()).toEqual([0.1]);
    answer('take', { kind: 'taken', drawing: drawing(1) });
    expect(told).toEqual([]);
    expect(gaps()).toEqual([0.1, 0.3]);
    answer('take', { kind: 'taken', drawing: drawing(2) });
    expect(told).toEqual([{ drawing: drawing(2), problem: null }]);
    ask({ ...usualIntake, gapMm: 0.4 });
    expect(gaps()).toEqual([0.1, 0.3, 0.4]);
  });

  it('tells what is wrong, with the place', () => {
    const { ask, answer, told, fail } = open();
    ask(usualIntake);
    answer('take', {
      kind: 'refused',
      problems: [
        { path: 'line 3', message: 'carries a script' },
        { path: '', message: 'no' },
      ],
    });
    ask(usualIntake);
    answer('take', { kind: 'crashed', message: 'boom' });
    ask(usualIntake);
    fail('out of memory');
    expect(told.map(({ problem }) => problem)).toEqual(['line 3: carries a script; no', 'boom', 'out of memory']);
  });

  it('ends its thread when it is put away in the midst of it', () => {
    const { ask, running } = open();
    ask(usualIntake)();
    expect(running()).toBe(0);
  });
});

describe('a drawing file', () => {
  it.each([
    ['a.svg', 'svg'],
    ['B.DXF', 'dxf'],
    ['scan.jpeg', 'picture'],
    ['scan.PNG', 'picture'],
    ['a.pdf', 'svg'],
    ['a.doc', null],
    ['none', null],
  ])('%s is %s', (name, kind) => expect(drawingKind(name)).toBe(kind));

  it('is read as text, or refused by name', async () => {
    await expect(readDrawingFile(new File(['<svg/>'], 'a.svg'))).resolves.toEqual(file);
    await expect(readDrawingFile(new File(['x'], 'a.doc'))).rejects.toThrow('a.doc is no drawing');
    await expect(readDrawingFile(new File(['x'], 'a.png'))).rejects.toThrow('a.png is no picture');
  });
});
