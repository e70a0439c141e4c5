import type { RevisionWithDesign } from '@vitrum/contract';
import type { Design } from '@vitrum/core';
import { openDocument } from '../document/document-store';

/** A design as the head of a job that was just opened. */
export const headOf = (design: Design): RevisionWithDesign => ({
  number: 1,
  parent: null,
  hash: 'h1',
  savedAt: '2030-01-01T00:00:00Z',
  note: '',
  setAside: false,
  design,
});

/** Opens a design in the document store, with nothing to undo. */
export const openDesign = (design: Design): void => openDocument('job', headOf(design), null, '');
