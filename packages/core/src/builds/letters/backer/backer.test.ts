import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../../artwork/lettering/index.js';
import { inOutline, outlineArea, outlineBounds } from '../../../base/outlines/index.js';
import { changed, curlew, evaluatedCoarsely, inAssembly, tern, testFonts } from '../../../testing/harness.js';
import { hungSection } from '../../../making/hanging/index.js';
import { findingOn, mendedBy } from '../../../testing/mended.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const board = { kind: 'board', boardId: 'ply-12', marginMm: 60 };
const box = { kind: 'box', boardId: 'composite-3', marginMm: 60, depthMm: 30 };
const onBoard = (
  own: object = {},
  hanging: object = { way: 'spacers' },
  more: Readonly<Record<string, unknown>> = {},
) => changed(curlew, { ...inAssembly({ backer: { ...board, ...own }, hanging }), ...more });
const onBox = (own: object = {}, hanging: object = { way: 'cleat' }) =>
  changed(tern, inAssembly({ backer: { ...box, ...own }, hanging }));

describe('a backer', () => {
  it('is as large as its letters with a margin, drilled for every post, and weighs what it is', () => {
    const { cut, lettering, posts } = evaluatedCoarsely(onBoard(), fonts);
    const backer = cut.find(({ id }) => id === 'backer')!;
    const bounds = outlineBounds(lettering.outline)!;
    expect(backer.widthMm).toBeCloseTo(bounds.width + 120, 6);
    expect(backer.heightMm).toBeCloseTo(bounds.height + 120, 6);
    expect(backer.kg).toBeCloseTo((backer.widthMm * backer.heightMm * 12 * 650) / 1e9, 9);
    const holes = backer.layers.flatMap(({ shapes }) => shapes).filter((shape) => shape.kind === 'hole');
    const [post] = posts[0]!.posts;
    expect(holes).toContainEqual({
      kind: 'hole',
      x: expect.closeTo(post!.at[0] - bounds.x + 60, 6),
      y: expect.closeTo(post!.at[1] - bounds.y + 60, 6),
      diameterMm: post!.diameterMm,
    });
    // Thirteen posts, four spacers.
    expect(holes).toHaveLength(13 + 4);
  });

  it('has rounded corners where they are asked for', () => {
    const backer = evaluatedCoarsely(onBoard({ cornerMm: 40 }), fonts).cut.find(({ id }) => id === 'backer')!;
    const [shape] = backer.layers[0]!.shapes;
    const outline = shape?.kind === 'outline' ? shape.outline : [];
    expect(backer.widthMm * backer.heightMm - outlineArea(outline)).toBeCloseTo((4 - Math.PI) * 40 ** 2, -1);
    expect(inOutline([2, 2], outline)).toBe(false);
  });

  it('hangs in one piece, letters and all, in front of what it is behind', () => {
    const alone = evaluatedCoarsely(curlew, fonts);
    const { hang, parts, depthMm, design } = { ...evaluatedCoarsely(onBoard(), fonts) };
    expect(hang!.bodies).toHaveLength(1);
    expect(hang!.kg).toBeCloseTo(parts.kg, 6);
    expect(hang!.kg).toBeGreaterThan(alone.parts.kg + 4);
    expect(hang!.fixings).toHaveLength(4);
    expect(depthMm).toBeCloseTo(alone.depthMm + 12, 6);
    expect(design.assemblies).toHaveLength(1);
    // Its centre lies within the board and the letters before it.
    expect(hang!.centre[2]).toBeGreaterThan(6);
    expect(hang!.centre[2]).toBeLessThan(12 + 32);
  });

  it('is drawn in the slice behind its letters, with what it hangs by', () => {
    const slice = (design: Parameters<typeof evaluatedCoarsely>[0]) => {
      const own = evaluatedCoarsely(design, fonts);
      return { own, section: hungSection(own.section, own.hang, own.placing) };
    };
    const { own, section } = slice(onBoard());
    // The board takes the place of the wall that letters are drawn before; the wall stands 20 mm behind it.
    const [wall, ...more] = section.shapes.filter(({ role }) => role === 'wall');
    expect(more).toEqual([]);
    expect(Math.max(...wall!.ring.map(([z]) => z))).toBeCloseTo(-12 - 20, 9);
    const [board] = section.shapes.filter(({ role }) => role === 'back');
    expect(Math.max(...board!.ring.map(([z]) => z))).toBe(0);
    expect(section.heightMm).toBeCloseTo(own.hang!.bodies[0]!.bounds.height, 0);
    for (const { ring } of section.shapes.filter(({ role }) => role === 'fixing'))
      for (const [, y] of ring) expect(Math.abs(y)).toBeLessThan(section.heightMm / 2);

    const clad = slice(onBox()).section;
    // Cladding of 3 mm and two sides of 30, flush to the wall: the cleat hides between them.
    expect(clad.shapes.filter(({ role, material }) => role === 'back' && material === 'cladding')).toHaveLength(3);
    expect(clad.rearZMm).toBeCloseTo(-3 - 3 - 30 - 8, 6);
  });

  it('as a clad box has four sides, set-ups for them, and a recess for its cleat', () => {
    const { cut, hang, setUps, buildList } = evaluatedCoarsely(onBox(), fonts);
    expect(cut.filter(({ member }) => member !== undefined).map(({ id }) => id)).toEqual([
      'backer-top',
      'backer-bottom',
      'backer-left',
      'backer-right',
    ]);
    expect(setUps.mm.ok && setUps.mm.value.length).toBeGreaterThan(0);
    expect(hang!.cleat!.footMm).toBe(0);
    expect(buildList.steps.map(({ id }) => id)).toEqual(expect.arrayContaining(['backer', 'clad-box', 'cleat']));
    // No two steps share a name: ticks are kept by them.
    expect(new Set(buildList.steps.map(({ id }) => id)).size).toBe(buildList.steps.length);
  });

  it('is painted, and its cladding glued', () => {
    const { finishing } = evaluatedCoarsely(onBoard(), fonts);
    expect(finishing.surfaces.find(({ id }) => id === 'backer')!.layers.length).toBe(2);
    const clad = evaluatedCoarsely(onBox(), fonts).finishing.bonds.find(({ id }) => id === 'cladding');
    expect(clad).toMatchObject({ holds: true });
    expect(clad!.glue!.id).toBe('construction');
  });

  it('of a board that nobody knows is told with its field', () => {
    expect(() => evaluatedCoarsely(onBoard({ boardId: 'slate' }), fonts)).toThrow(/backer\.boardId “slate”/);
  });
});

describe('findings of backers', () => {
  it('nothing to hang it by', () => {
    const bare = changed(curlew, inAssembly({ backer: board }));
    expect(mendedBy(bare, fonts, 'nothing-to-hang-by', 'hang-spacers').gone).toBe(true);
    expect(findingOn(curlew, fonts, 'nothing-to-hang-by')).toBeNull();
  });

  it('wires pinched behind it where it lies on the wall', () => {
    const pinched = onBoard({}, { way: 'holes' }, { 'power.crossings': 'holes' });
    const { finding, gone } = mendedBy(pinched, fonts, 'wires-behind-backer', 'on-spacers');
    expect(finding.numbers.map(({ value }) => value)).toEqual([0, 6]);
    expect(gone).toBe(true);
    expect(findingOn(onBoard({}, { way: 'holes' }), fonts, 'wires-behind-backer')).toBeNull();
  });

  it('cladding that stands out past its box', () => {
    expect(mendedBy(onBox({ overMm: 1 }), fonts, 'cladding-proud', 'flush-trim').gone).toBe(true);
    expect(findingOn(onBox({ overMm: 1, trimmed: true }), fonts, 'cladding-proud')).toBeNull();
  });

  it('a box too shallow for its cleat', () => {
    const { finding, gone } = mendedBy(
      onBox({ depthMm: 12 }, { way: 'cleat', cleatMm: 18 }),
      fonts,
      'box-too-shallow',
      'deeper-box',
    );
    expect(finding.numbers[0]).toMatchObject({ value: 6, unit: 'mm' });
    expect(gone).toBe(true);
  });

  it('a glow that is wider than it: a note', () => {
    const { finding, gone } = mendedBy(onBoard({ marginMm: 4 }), fonts, 'glow-past-backer', 'wider-backer');
    expect(finding.severity).toBe('note');
    expect(gone).toBe(true);
    expect(findingOn(onBoard(), fonts, 'glow-past-backer')).toBeNull();
  });

  it('takes no glue blocks, for it has no frame to glue them to; a thin one is mended otherwise', () => {
    const thin = onBoard({ boardId: 'composite-3' }, { way: 'keyholes', count: 2, blocks: true });
    expect(evaluatedCoarsely(thin, fonts).hang).toMatchObject({ blocks: false, takesBlocks: false });
    expect(evaluatedCoarsely(thin, fonts).cut.some(({ id }) => id === 'glue-block')).toBe(false);
  });

  it('is bought with the screws of its corners, and those that hold letters by their backs', () => {
    const screws = (design: Parameters<typeof evaluatedCoarsely>[0]) =>
      evaluatedCoarsely(design, fonts)
        .parts.bought.filter(({ id }) => id.startsWith('corner-screw'))
        .reduce((sum, { quantity }) => sum + quantity, 0);
    const { cut } = evaluatedCoarsely(onBox(), fonts);
    const backs = cut.flatMap(({ fixedAt }) => fixedAt ?? []).length;
    const [side] = cut.flatMap(({ member }) => member ?? []);
    expect(backs).toBeGreaterThan(6);
    expect(screws(onBox())).toBe(backs + 4 * side!.fasteners.length);
    expect(screws(onBoard())).toBe(0);
    expect(screws(tern)).toBe(0);
  });
});
