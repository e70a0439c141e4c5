import type { ShopFileReport } from '@vitrum/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError } from '../api/client';
import { putShopFile, shopFileAddress } from '../api/shop-file';
import { linkLook } from '../ui/button';
import { FileButton } from '../ui/file-button';

const names: Readonly<Record<string, string>> = {
  jobs: 'jobs',
  revisions: 'revisions',
  catalogueItems: 'items of the shelf',
  quotes: 'quotes',
  quoteAnswers: 'answers to quotes',
  stockLots: 'lots of stock',
  stockEntries: 'entries of the ledger',
  stockClaims: 'claims of jobs',
  shopPapers: 'papers of the plan',
};

/** What a file has brought, in words. */
export const broughtWords = ({ added }: Pick<ShopFileReport, 'added'>): string => {
  const found = Object.entries(added).filter(([, count]) => count > 0);
  return found.length === 0
    ? 'All of it was there already; nothing was added.'
    : `Added: ${found.map(([table, count]) => `${count} ${names[table] ?? table}`).join(', ')}.`;
};

/** The whole shop as one file, and back. */
export const ShopFile = () => {
  const queries = useQueryClient();
  const [told, setTold] = useState<{ readonly words: string; readonly wrong: boolean } | null>(null);
  const read = async (file: File): Promise<void> => {
    setTold({ words: 'Reading it …', wrong: false });
    try {
      setTold({ words: broughtWords(await putShopFile(file)), wrong: false });
      await queries.invalidateQueries();
    } catch (error) {
      const place = error instanceof ApiError ? error.report.problems[0]?.path : undefined;
      const words = error instanceof Error ? error.message : String(error);
      setTold({ words: `${place ? `${place}: ` : ''}${words} Nothing was taken.`, wrong: true });
    }
  };
  return (
    <section aria-label="The shop as a file" className="mt-8 border-t border-line pt-3 text-[13px]">
      <p className="flex flex-wrap items-center gap-3">
        <span className="text-soft">
          Jobs with all their revisions, shelf, stock and plan as one file, to keep elsewhere or to take along:
        </span>
        <a href={shopFileAddress} download className={linkLook}>
          Take the shop out
        </a>
        <FileButton label="Read one back …" accept=".gz,.ndjson" onFile={read} />
      </p>
      {told !== null && (
        <p role={told.wrong ? 'alert' : 'status'} className={`mt-2 ${told.wrong ? 'font-semibold text-signal' : ''}`}>
          {told.words}
        </p>
      )}
    </section>
  );
};
