import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../../artwork/lettering/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../../testing/harness.js';
import { traceCheck } from './index.js';
import type { TraceReport } from '../../common/trace-report.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const traced = (change: Readonly<Record<string, unknown>>): TraceReport => {
  let last: TraceReport | null = null;
  let reports = 0;
  for (const report of traceCheck(evaluated(changed(dispensary, inAssembly(change)), fonts))) {
    last = report;
    if (++reports >= 30) break;
  }
  return last!;
};

describe('designs traced against their patches', () => {
  it.each([
    [{}],
    [{ 'light.layout': 'rim', 'light.turnCount': 2 }],
    [{ 'light.rowCount': 4, 'light.facing': 'side' }],
    [{ 'case.block': { widthMm: 240, heightMm: 80, depthMm: 45, offsetXMm: 80, offsetYMm: 20 } }],
    [{ 'face.sheetId': 'diffusing-3', 'case.depthInsideMm': 40, 'light.rowCount': 6 }],
  ])('agree on the light that leaves and on how much of it was reflected: %j', (change) => {
    const report = traced(change);
    expect(Math.abs(report.apartShare)).toBeLessThan(0.01 + 3 * report.outErrorShare);
    const [reflected] = report.shares;
    expect(Math.abs(reflected!.traced - reflected!.quick)).toBeLessThan(0.02);
    expect(report.imbalanceShare).toBeLessThan(0.01);
  });

  it('a lining that is partly a mirror is where they part', () => {
    const [white, tape] = [traced({ 'case.liningId': 'matt-white' }), traced({ 'case.liningId': 'aluminium-tape' })];
    expect(tape.outLm).toBeLessThan(white.outLm);
    expect(Math.abs(tape.apartShare)).toBeLessThan(0.1);
  });

  it('comes to its end by itself, with the error it was asked for', () => {
    const reports = [...traceCheck(evaluated(changed(dispensary, inAssembly({ 'light.rowCount': 1 })), fonts))];
    const last = reports.at(-1)!;
    expect(last.done).toBe(true);
    expect(reports.slice(0, -1).every(({ done }) => !done)).toBe(true);
    expect(last.outErrorShare).toBeLessThan(0.004);
  });
});
