import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds } from '../../base/outlines/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';
import type { CutPart } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const evaluate = (change: Readonly<Record<string, unknown>>) => evaluated(changed(dispensary, change), fonts);
const holes = (part: CutPart) => part.layers.flatMap(({ shapes }) => shapes).filter((shape) => shape.kind === 'hole');
const partOf = (parts: readonly CutPart[], id: string): CutPart => parts.find((part) => part.id === id)!;

describe('parts of a light box', () => {
  it('fit together to 0.1 mm: members make the outside, sheets sit in their seats', () => {
    const { parts, geometry } = evaluate({});
    const [top, left, face, back] = ['top', 'left', 'face', 'back'].map((id) => partOf(parts.cut, id)) as [
      CutPart,
      CutPart,
      CutPart,
      CutPart,
    ];
    expect(top.widthMm).toBeCloseTo(geometry.outside.widthMm, 6);
    expect(left.widthMm + 2 * top.thicknessMm).toBeCloseTo(geometry.outside.heightMm, 6);
    const seat = geometry.members[0]!.seats[0]!;
    expect(geometry.inside.widthMm + 2 * seat.depthMm - face.widthMm).toBeCloseTo(2 * 1.2, 6);
    expect(geometry.inside.heightMm + 2 * seat.depthMm - back.heightMm).toBeCloseTo(2 * 1.2, 6);
  });

  it('weigh their volume times density, rabbets taken away', () => {
    const { parts } = evaluate({});
    const face = partOf(parts.cut, 'face');
    expect(face.kg).toBeCloseTo((face.widthMm * face.heightMm * 3 * 1190) / 1e9, 9);
    const top = partOf(parts.cut, 'top');
    const whole = (900 * 90 * 12 * 650) / 1e9;
    const cut = ((3 * 8 + 6 * 8) * (900 - 8) * 650) / 1e9;
    expect(top.kg).toBeCloseTo(whole - cut, 6);
  });

  it('weigh as trapezia where they are mitred: together the frame that they are', () => {
    const { parts, geometry } = evaluate(inAssembly({ 'case.cornerJoint': 'mitre', 'case.retention': 'laid-on' }));
    const members = ['top', 'bottom', 'left', 'right'].map((id) => partOf(parts.cut, id));
    const { widthMm, heightMm } = geometry.outside;
    const [t, deep] = [members[0]!.thicknessMm, members[0]!.heightMm];
    const frame = (widthMm * heightMm - (widthMm - 2 * t) * (heightMm - 2 * t)) * deep;
    // The back sits in a rabbet all round, taken out of the frame as a smaller one.
    const [seat] = geometry.members[0]!.seats;
    const [w, h] = [widthMm - 2 * t, heightMm - 2 * t];
    const rabbet = seat === undefined ? 0 : ((w + 2 * seat.depthMm) * (h + 2 * seat.depthMm) - w * h) * seat.widthMm;
    expect(members.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(((frame - rabbet) * 650) / 1e9, 6);
  });

  it('have screws no farther apart than 150 mm and within the seat, all inside the back', () => {
    const back = partOf(evaluate({}).parts.cut, 'back');
    const along = holes(back)
      .filter(({ y }) => y < 10)
      .map(({ x }) => x)
      .sort((a, b) => a - b);
    along.slice(1).forEach((x, index) => expect(x - along[index]!).toBeLessThanOrEqual(150 + 1e-6));
    // Plates that it hangs by are screwed to it farther in.
    const edge = holes(back).filter(({ x, y }) => Math.min(x, y, back.widthMm - x, back.heightMm - y) < 15);
    expect(holes(back).length - edge.length).toBe(4);
    for (const { x, y } of edge) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(back.widthMm);
      expect(Math.min(x, y, back.widthMm - x, back.heightMm - y)).toBeLessThan(8);
    }
  });

  it.each(['left', 'right', 'top', 'bottom', 'back'])('let the lead out at the %s, and only there', (exit) => {
    const { cut } = evaluate({ 'brief.leadExit': exit }).parts;
    const withLead = cut.filter((part) => holes(part).some(({ diameterMm }) => diameterMm > 10)).map(({ id }) => id);
    expect(withLead).toEqual([exit]);
  });

  it('cut letters from film, or a mask with the letters open', () => {
    const letters = partOf(evaluate({}).parts.cut, 'film');
    const mask = partOf(evaluate(inAssembly({ 'artwork.mode': 'lit-letters' })).parts.cut, 'film');
    const areaOf = (part: CutPart): number =>
      part.layers[0]!.shapes.reduce(
        (sum, shape) => sum + (shape.kind === 'outline' ? outlineArea(shape.outline) : 0),
        0,
      );
    const { geometry, lettering } = evaluate({});
    expect(areaOf(letters)).toBeCloseTo(lettering.areaMm2, 0);
    expect(areaOf(mask)).toBeGreaterThan(geometry.inside.widthMm * geometry.inside.heightMm - lettering.areaMm2);
    const shape = mask.layers[0]!.shapes[0]!;
    expect(shape.kind === 'outline' ? outlineBounds(shape.outline)!.width : 0).toBeGreaterThan(geometry.inside.widthMm);
  });

  it('list strip, supply, wire and small things with quantities that follow the design', () => {
    const { parts, runs } = evaluate(inAssembly({ 'light.rowCount': 4 }));
    const quantity = (id: string) => parts.bought.find((part) => part.id === id)?.quantity ?? 0;
    expect(quantity('coated-white-24v-120')).toBeCloseTo(runs.stripMm / 1000, 9);
    // Its two plates are bolted through, two bolts each.
    expect(quantity('plate-bolt')).toBe(4);
    expect(quantity('screw')).toBe(holes(partOf(parts.cut, 'back')).length - 4);
    expect(quantity('corner-screw-30')).toBe(8);
    expect(quantity('fuse')).toBe(1);
    expect(parts.bought.every((part) => part.quantity > 0 && Number.isFinite(part.kg))).toBe(true);
  });
});

describe('bars', () => {
  it('hold all four returns of the box in one, kerfs counted; a deeper case does not fit them', () => {
    const pine = (depthInsideMm: number) =>
      evaluate(inAssembly({ 'case.returnBoardId': 'pine-bar-20', 'case.depthInsideMm': depthInsideMm }));
    const bars = pine(81).packing.sheets.find(({ form }) => form === 'bar')!;
    // 2 × 900 + 2 × 260 and three kerfs of 3.2 are 2329.6 of 2400 mm.
    expect(bars).toMatchObject({ sheets: 1, tooLarge: [] });
    expect(Math.max(...bars.placed.map(({ x, widthMm }) => x + widthMm))).toBeCloseTo(2329.6, 6);
    expect(pine(140).findings.map(({ id }) => id)).toContain('larger-than-sheet');
  });
});

describe('cost and plan', () => {
  it('cost is the sum of its lines and hours, by the shop’s rate', () => {
    const { cost } = evaluate({ 'brief.quantity': 3 });
    expect(cost.materials).toBeCloseTo(
      cost.lines.reduce((sum, { price }) => sum + price, 0),
      9,
    );
    expect(cost.labour).toBeCloseTo(cost.hours * 38, 9);
    expect(cost.order).toBeCloseTo(3 * cost.perSign, 9);
  });

  it('steps carry the usual cautions where they can hurt', () => {
    const { buildList: plan } = evaluate({});
    const caution = (id: string) => plan.steps.find((step) => step.id === id)?.caution ?? '';
    expect(caution('rip')).toContain('riving knife');
    expect(caution('lead')).toContain('licensed electrician');
    expect(caution('face')).toContain('PVC');
    expect(plan.workMinutes).toBe(plan.steps.reduce((sum, { minutes }) => sum + minutes, 0));
  });

  it('draw the letters mirrored, and say so, when they are worked from behind', () => {
    const film = (mirrored: boolean) => {
      const {
        parts,
        lettering,
        buildList: plan,
      } = evaluate(inAssembly({ 'artwork.mirrored': mirrored, 'artwork.offsetXMm': 30 }));
      const part = partOf(parts.cut, 'film');
      const outline = part.layers.flatMap(({ shapes }) =>
        shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : [])),
      );
      return { part, face: partOf(parts.cut, 'face'), lettering, plan, bounds: outlineBounds(outline)!, outline };
    };
    const [plain, turned] = [film(false), film(true)];
    expect(turned.bounds.width).toBeCloseTo(plain.bounds.width, 6);
    expect(outlineArea(turned.outline)).toBeCloseTo(outlineArea(plain.outline), 6);
    // What stood 30 mm right of the middle stands 30 mm left of it; seen from the front, nothing has moved.
    const middle = ({ x, width }: { readonly x: number; readonly width: number }) => x + width / 2;
    const { widthMm } = plain.face;
    expect(middle(plain.bounds) + middle(turned.bounds)).toBeCloseTo(widthMm, 6);
    expect(turned.lettering.bounds).toEqual(plain.lettering.bounds);
    expect(turned.face.note).toContain('drawn mirrored');
    expect(plain.face.note).toContain('not mirrored');
    const lay = turned.plan.steps.find(({ id }) => id === 'lettering')!;
    expect(lay.detail).toContain('cut mirrored');
  });
});
