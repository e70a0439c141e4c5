import { buildOf } from '@vitrum/core';

interface Titled {
  readonly label: string;
  readonly build: string;
}

/** What an assembly is called where there are several: “B, halo letters”; nothing where it is the only one. */
export const titleOf = ({ label, build }: Titled): string =>
  label === '' ? '' : `${label}, ${buildOf({ build }).words.name.toLowerCase()}`;
