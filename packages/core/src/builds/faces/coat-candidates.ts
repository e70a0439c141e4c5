import type { Catalogue, Coating } from '../../document/catalogue/index.js';
import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';
import type { FacedAssembly, FacedResults } from './results.js';

type Given = Pick<FacedResults, 'index' | 'assembly' | 'materials'>;
type NamedCoats = NonNullable<FacedAssembly['face']['coats']>;

const coatsOf = ({ assembly }: Given): NamedCoats => assembly.face.coats ?? [];

const withCoats = (results: Given, label: string, coats: NamedCoats): Candidate => ({
  label,
  change: [set(fieldsIn(results).face.coats, coats)],
});

/** One more of a coating, after what is there; as another coat where it is there already. */
const oneMore = (results: Given, { id, kind, name }: Coating): Candidate => {
  const now = coatsOf(results);
  const there = now.find(({ coatingId }) => coatingId === id);
  return there === undefined
    ? withCoats(
        results,
        kind === 'sanding' ? `Sand its inner side, ${name.replace(/^\D+/, '')}` : `${name} on its inner side`,
        [...now, { coatingId: id, coats: 1 }],
      )
    : withCoats(
        results,
        `${there.coats + 1} coats of ${name.toLowerCase()}`,
        now.map((each) => (each === there ? { ...each, coats: each.coats + 1 } : each)),
      );
};

const coatsAtMost = 8;
const kindsAtMost = 5;

/** Sanding is offered where the inner side is bare: nobody sands over film or paint. */
export const sandFace = (results: Given, { coatings }: Catalogue): Remedy => ({
  id: 'sand-face',
  candidates:
    coatsOf(results).length > 0
      ? []
      : coatings
          .filter(({ kind }) => kind === 'sanding')
          .sort((a, b) => b.transmittance - a.transmittance)
          .map((coating) => oneMore(results, coating)),
});

/** Film on the inner side, or a coat more of paint or spray. */
export const coatMore = (results: Given, { coatings }: Catalogue): Remedy => {
  const now = coatsOf(results);
  return {
    id: 'coat-more',
    candidates: coatings
      .filter(({ id, kind }) => {
        const there = now.find(({ coatingId }) => coatingId === id);
        if (kind === 'film') return there === undefined && now.length < kindsAtMost;
        return kind === 'paint' && (there === undefined ? now.length < kindsAtMost : there.coats < coatsAtMost);
      })
      .sort((a, b) => b.transmittance - a.transmittance)
      .map((coating) => oneMore(results, coating)),
  };
};

/** Coats of paint or spray fewer, one by one, down to none; or the film off. */
export const coatLess = (results: Given): Remedy => {
  const now = coatsOf(results);
  const fewer = ({ coating, coats }: Given['materials']['faceCoats'][number]): readonly Candidate[] =>
    Array.from({ length: coats }, (_, less) => coats - less - 1).map((left) =>
      withCoats(
        results,
        left === 0
          ? `Without the ${coating.name.toLowerCase()}`
          : `${left} coat${left === 1 ? '' : 's'} of ${coating.name.toLowerCase()}`,
        now.flatMap((each) => (each.coatingId !== coating.id ? [each] : left > 0 ? [{ ...each, coats: left }] : [])),
      ),
    );
  return {
    id: 'coat-less',
    candidates: results.materials.faceCoats
      .filter(({ coating }) => coating.kind === 'paint' || coating.kind === 'film')
      .flatMap(fewer),
  };
};

/** Film in place of all paint. */
export const filmForPaint = (results: Given, { coatings }: Catalogue): Remedy => {
  const paints = results.materials.faceCoats.filter(({ coating }) => coating.kind === 'paint');
  const kept = coatsOf(results).filter(({ coatingId }) => paints.every(({ coating }) => coating.id !== coatingId));
  return {
    id: 'film-for-paint',
    candidates: coatings
      .filter(({ kind }) => kind === 'film')
      .map(({ id, name }) =>
        withCoats(results, `${name} in place of the paint`, [
          ...kept.filter(({ coatingId }) => coatingId !== id),
          { coatingId: id, coats: 1 },
        ]),
      ),
  };
};
