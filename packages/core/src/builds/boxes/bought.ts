import type { Catalogue } from '../../document/catalogue/index.js';
import type { BoxMaterials } from './materials.js';
import { cornerFixings } from '../common/corner-fixings.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { sundry, type BoughtPart } from '../../making/parts/index.js';
import { backHoldOf, holdPlaces } from './back-hold.js';
import { cornerReachMm } from './corner-reach.js';
import type { PartFacts } from './types.js';

/** Weight of one coat of paint or one layer of film (kg/m²), typical. */
const coatKgPerM2 = 0.12;

const lined = ({ lining }: BoxMaterials, { inside }: CaseGeometry): readonly BoughtPart[] => {
  const { widthMm: w, heightMm: h, depthMm: d } = inside;
  const m2 = (w * h + 2 * d * (w + h)) / 1e6;
  if (lining.price === 0) return [];
  return [
    {
      id: lining.id,
      name: lining.name,
      quantity: m2,
      unit: 'm²',
      unitPrice: lining.price,
      kg: m2 * lining.kgPerM2,
      hangs: true,
    },
  ];
};

/** What is done to or laid on the sheets of the face, by the square metre and coat. */
const coated = ({ faceCoats, second }: BoxMaterials, { face, inside }: CaseGeometry): readonly BoughtPart[] => {
  const front = (face.widthMm * face.heightMm) / 1e6;
  const behind = (inside.widthMm * inside.heightMm) / 1e6;
  return [
    ...faceCoats.map((each) => ({ ...each, m2: front })),
    ...(second?.coats ?? []).map((each) => ({ ...each, m2: behind })),
  ].map(({ coating, coats, m2 }, index) => ({
    id: `coat-${index + 1}-${coating.id}`,
    name: coats === 1 ? coating.name : `${coating.name}, ${coats} coats`,
    quantity: m2 * coats,
    unit: 'm²',
    unitPrice: coating.price,
    kg: coating.kind === 'sanding' ? 0 : m2 * coats * coatKgPerM2,
    hangs: true,
  }));
};

/** What is bought for a case with a lit face, for one sign. */
export const boxBought = (catalogue: Catalogue, facts: PartFacts): readonly BoughtPart[] => {
  const { geometry, materials, design } = facts;
  const held = holdPlaces(geometry.back, design, cornerReachMm(geometry, design)).length;
  const faceRoundM = (2 * (geometry.inside.widthMm + geometry.inside.heightMm)) / 1000;
  return [
    ...lined(materials, geometry),
    ...coated(materials, geometry),
    ...backHoldOf(design).bought.flatMap((id) => sundry(catalogue, id, held)),
    ...cornerFixings(catalogue, geometry.members),
    ...sundry(catalogue, 'face-tape', design.retention === 'groove' ? 0 : Math.ceil(faceRoundM)),
    ...sundry(
      catalogue,
      'spacer-strip',
      materials.second !== null && materials.second.gapMm > 0 && !materials.second.seated ? Math.ceil(faceRoundM) : 0,
    ),
  ];
};
