import type { StockDone } from '@vitrum/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { enterStock, type StockEntry } from '../api/stock';
import { newId } from '../api/new-id';

/** Enters something in the ledger once: sent again after a lost answer it keeps its id. */
export const useEntry = (
  onDone: (done: StockDone) => void,
): { readonly enter: (entry: StockEntry) => void; readonly busy: boolean; readonly problem: string | null } => {
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const sent = useRef<{ readonly text: string; readonly op: string } | null>(null);
  const send = async (entry: StockEntry): Promise<void> => {
    const text = JSON.stringify(entry);
    sent.current = sent.current?.text === text ? sent.current : { text, op: newId() };
    setBusy(true);
    setProblem(null);
    try {
      const done = await enterStock(sent.current.op, entry);
      sent.current = null;
      await queries.invalidateQueries({ queryKey: ['stock'] });
      onDone(done);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  return { enter: (entry) => void send(entry), busy, problem };
};
