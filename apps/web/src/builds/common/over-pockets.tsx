import type { FieldRef } from '@vitrum/core';
import { NumberField } from '../../fields/design-fields';

interface OverPocketsProps {
  readonly field: FieldRef<number | null | undefined>;
  /** As it is now, by hand or as is usual (mm); null while nobody knows. */
  readonly overMm: number | null;
}

/** How much wider letters that are let in are cut than their pockets. */
export const OverPockets = ({ field, overMm }: OverPocketsProps) => (
  <NumberField
    label="Over their pockets"
    field={field}
    unit="mm"
    step={0.05}
    optional
    hint={`both sides together; empty: as is usual${overMm === null ? '' : ` (${overMm.toFixed(2)} mm)`}; negative is loose`}
  />
);
