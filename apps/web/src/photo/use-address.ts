import { useEffect, useMemo } from 'react';

/** An address by which the page can show what it holds, for as long as it is shown. */
export const useAddress = (file: Blob | null): string | null => {
  const address = useMemo(() => (file === null ? null : URL.createObjectURL(file)), [file]);
  useEffect(
    () => () => {
      if (address !== null) URL.revokeObjectURL(address);
    },
    [address],
  );
  return address;
};
