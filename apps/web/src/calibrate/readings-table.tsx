import { fieldLook } from '../fields/field-row';
import { changeRow, type ReadingRow } from './reading-rows';

interface ReadingsTableProps {
  readonly rows: readonly ReadingRow[];
  readonly onChange: (rows: readonly ReadingRow[]) => void;
  /** Over the columns, with their unit, and what each is called when it is read out. */
  readonly heads: readonly [first: string, second: string];
  readonly names: readonly [first: string, second: string];
  /** What each reading is off by, once there is a fit. */
  readonly offShares: readonly number[] | null;
}

/** Pairs of readings to be typed in; there is always room for one more. */
export const ReadingsTable = ({ rows, onChange, heads, names, offShares }: ReadingsTableProps) => (
  <table className="figure w-full text-[13px]">
    <thead>
      <tr className="text-left font-sans text-xs text-soft">
        {heads.map((head) => (
          <th key={head}>{head}</th>
        ))}
        <th className="text-right">off the fit</th>
      </tr>
    </thead>
    <tbody>
      {rows.map((row, index) => (
        <tr key={index}>
          {(['first', 'second'] as const).map((key, column) => (
            <td key={key} className="py-0.5 pr-2">
              <input
                className={`${fieldLook} figure w-28 text-right`}
                inputMode="decimal"
                aria-label={`${names[column]}, reading ${index + 1}`}
                value={row[key]}
                onChange={({ target }) => onChange(changeRow(rows, index, { ...row, [key]: target.value }))}
              />
            </td>
          ))}
          <td className="text-right">
            {offShares?.[index] === undefined ? '' : `${(offShares[index] * 100).toFixed(1)} %`}
          </td>
        </tr>
      ))}
    </tbody>
  </table>
);
