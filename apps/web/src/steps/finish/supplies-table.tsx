import type { Supplies } from '@vitrum/core';
import { useEvaluation } from '../../evaluation/evaluation-store';

const amount = (value: number, unit: Supplies['unit']): string =>
  unit === 'L' ? `${value.toFixed(2)} L` : `${Math.ceil(value)} ml`;

/** What several assemblies want of one thing, in one. */
const together = (all: readonly Supplies[]): readonly Supplies[] => {
  const byItem = new Map<string, Supplies>();
  for (const item of all) {
    const known = byItem.get(item.itemId);
    const needed = (known?.needed ?? 0) + item.needed;
    const count = Math.ceil(needed / item.each - 1e-9);
    byItem.set(item.itemId, { ...item, needed, count, left: count * item.each - needed });
  }
  return [...byItem.values()];
};

/** Cans and tubes to have for the order, and what is left of the last of each. */
export const SuppliesTable = () => {
  const assemblies = useEvaluation((state) => state.evaluation?.assemblies) ?? [];
  const supplies = together(assemblies.flatMap(({ finishing }) => finishing.supplies));
  if (supplies.length === 0) return null;
  return (
    <section aria-label="Cans and tubes">
      <h3 className="mt-3 font-bold">Cans and tubes to have</h3>
      <table className="w-full text-[13px]">
        <tbody>
          {supplies.map(({ itemId, name, needed, unit, count, left }) => (
            <tr key={itemId} className="border-b border-line">
              <td className="py-0.5 pr-2">
                {count} × {name}
              </td>
              <td className="figure text-right whitespace-nowrap">{amount(needed, unit)}</td>
              <td className="figure pl-2 text-right whitespace-nowrap text-soft">{amount(left, unit)} left</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
};
