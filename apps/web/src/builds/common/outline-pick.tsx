import { drawnSize, type AnyAssembly, type DesignChange } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { DrawingPick } from '../../steps/drawing-pick';

type Drawing = NonNullable<AnyAssembly['artwork']['drawing']>;

interface OutlinePickProps {
  readonly label: string;
  /** How wide what it is cut from may be (mm). */
  readonly leastMm: number;
  readonly mostMm: number;
  /** What taking the drawing changes, at this width (mm). */
  readonly change: (drawing: Drawing, widthMm: number) => DesignChange;
}

/** An outline from a drawing: taken as wide as it is drawn, within what may be. */
export const OutlinePick = ({ label, leastMm, mostMm, change }: OutlinePickProps) => (
  <DrawingPick
    label={label}
    button="Outline …"
    onUse={(drawing) => {
      const widthMm = Math.round(drawnSize(drawing).widthMm);
      const [wrong] = changeDesign(change(drawing, Math.min(mostMm, Math.max(leastMm, widthMm))));
      return wrong?.message ?? null;
    }}
  />
);
