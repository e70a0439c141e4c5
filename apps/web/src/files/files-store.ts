import { fileName, type Catalogue } from '@vitrum/core';
import { create } from 'zustand';
import { useDocument } from '../document/document-store';
import { tell } from '../ui/notices-store';
import { saveFile } from '../ui/save-file';
import { workers } from '../workers/clients';
import { makeZip, type Making, type ZipKind } from './make-zip';

interface FilesState {
  /** What is being made, or `null`. */
  readonly busy: ZipKind | null;
  /** Why the last one was not made. */
  readonly problem: string | null;
}

export const useFiles = create<FilesState>(() => ({ busy: null, problem: null }));

const endings: Readonly<Record<ZipKind, string>> = { pack: '', maps: '-light' };

let making: Making | null = null;

/** Makes a ZIP of the open design and hands it to the browser to save; one at a time. */
export const saveZip = async (kind: ZipKind, catalogue: Catalogue): Promise<void> => {
  const { design } = useDocument.getState();
  if (design === null || making !== null) return;
  useFiles.setState({ busy: kind, problem: null });
  try {
    making = makeZip(workers.files, catalogue, kind, design);
    const zip = await making.zip;
    if (zip === null) return;
    saveFile(`${fileName(design.name)}${endings[kind]}.zip`, zip.bytes, 'application/zip');
    if (zip.note !== null) tell({ words: zip.note, stays: true });
  } catch (error) {
    useFiles.setState({ problem: error instanceof Error ? error.message : String(error) });
  } finally {
    making = null;
    useFiles.setState({ busy: null });
  }
};

/** Ends what is being made, if anything; nothing is saved. */
export const cancelZip = (): void => making?.cancel();
