import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import {
  createEvaluator,
  loadFontBook,
  shippedCatalogue,
  type Design,
  type Evaluation,
  type FontBook,
} from '@vitrum/core';
import type { ReactNode } from 'react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { CatalogueContext } from '../job/catalogue-context';

const packages = createRequire(import.meta.url);
/** Maps so coarse that a test does not wait for them. */
const coarse = { grid: { longSide: 40, maxCells: 2000, maxPairs: 1e6, patches: 40, rays: 500 } } as const;

let fonts: Promise<FontBook> | null = null;
const fontBook = (): Promise<FontBook> =>
  (fonts ??= loadFontBook(async (file) => {
    const { buffer, byteOffset, byteLength } = await readFile(packages.resolve(file));
    return buffer.slice(byteOffset, byteOffset + byteLength);
  }));

/** A design lit as a page lights it, but for how fine its maps are; no fixes are tried. */
export const litOf = async (design: Design): Promise<Evaluation> => {
  const found = createEvaluator(shippedCatalogue, await fontBook(), coarse).evaluate(design);
  if (!found.ok) throw new Error(found.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return found.value;
};

/** What the page last heard of the light of its design; null: nothing yet. */
export const showLit = (evaluation: Evaluation | null): void =>
  useEvaluation.setState({ ...useEvaluation.getInitialState(), evaluation }, true);

/** A step as the page of a job shows it, with the shipped catalogue. */
export const InShop = ({ children }: { readonly children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>
    <CatalogueContext.Provider value={shippedCatalogue}>{children}</CatalogueContext.Provider>
  </QueryClientProvider>
);
