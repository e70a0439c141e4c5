import { formatLength } from '@vitrum/core';
import { useView } from './view-store';

/** Shows a length (mm) in the user's unit. */
export const useLength = (): ((mm: number) => string) => {
  const unit = useView((view) => view.unit);
  return (mm) => formatLength(mm, unit);
};
