import { describe, expect, it } from '@jest/globals';
import { usualIntake, type DrawingFile, type SessionReply, type SessionRequest, type TakenDrawing } from '@vitrum/core';
import { connectIntake, type Intake, type IntakeThread } from './intake-thread';
import { drawingKind, greyOf, readDrawingFile } from './read-drawing-file';

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
  const sent: SessionRequest[] = [];
  const told: Intake[] = [];
  const thread: IntakeThread = { postMessage: (request) => sent.push(request), onmessage: null };
  const ask = connectIntake(thread, (intake) => told.push(intake));
  const reply = (data: SessionReply) => thread.onmessage?.({ data } as MessageEvent<SessionReply>);
  const gaps = () => sent.map((request) => (request.kind === 'take' ? request.options.gapMm : -1));
  return { sent, told, ask, reply, gaps };
};

describe('taking a drawing in', () => {
  it('keeps one options in flight and only the newest waiting, and tells nothing that is out of date', () => {
    const { ask, reply, told, gaps } = open();
    for (const gapMm of [0.1, 0.2, 0.3]) ask(file, { ...usualIntake, gapMm });
    expect(gaps()).toEqual([0.1]);
    reply({ kind: 'taken', id: 1, drawing: drawing(1) });
    expect(told).toEqual([]);
    expect(gaps()).toEqual([0.1, 0.3]);
    reply({ kind: 'taken', id: 2, drawing: drawing(2) });
    expect(told).toEqual([{ drawing: drawing(2), problem: null }]);
    ask(file, { ...usualIntake, gapMm: 0.4 });
    expect(gaps()).toEqual([0.1, 0.3, 0.4]);
  });

  it('tells what is wrong, with the place', () => {
    const { ask, reply, told } = open();
    ask(file, usualIntake);
    reply({
      kind: 'refused',
      id: 1,
      problems: [
        { path: 'line 3', message: 'carries a script' },
        { path: '', message: 'no' },
      ],
    });
    ask(file, usualIntake);
    reply({ kind: 'crashed', id: 2, message: 'boom' });
    expect(told.map(({ problem }) => problem)).toEqual(['line 3: carries a script; no', 'boom']);
  });
});

describe('a drawing file', () => {
  it.each([
    ['a.svg', 'svg'],
    ['B.DXF', 'dxf'],
    ['scan.jpeg', 'picture'],
    ['scan.PNG', 'picture'],
    ['a.pdf', null],
    ['none', null],
  ])('%s is %s', (name, kind) => expect(drawingKind(name)).toBe(kind));

  it('is read as text, or refused by name', async () => {
    await expect(readDrawingFile(new File(['<svg/>'], 'a.svg'))).resolves.toEqual(file);
    await expect(readDrawingFile(new File(['x'], 'a.pdf'))).rejects.toThrow('a.pdf is no drawing');
    await expect(readDrawingFile(new File(['x'], 'a.png'))).rejects.toThrow('a.png is no picture');
  });

  it('in colour comes to shades of grey, on white paper where it is clear', () => {
    const grey = greyOf(
      Uint8ClampedArray.of(0, 0, 0, 255, 255, 255, 255, 255, 0, 0, 0, 0, 255, 0, 0, 255, 0, 0, 0, 128),
    );
    expect(Array.from(grey)).toEqual([0, 255, 255, 54, 127]);
  });
});
