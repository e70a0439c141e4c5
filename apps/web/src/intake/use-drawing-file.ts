import type { DrawingFile } from '@vitrum/core';
import { useState } from 'react';
import { readDrawingFile } from './read-drawing-file';

/** Files that a drawing may be in: drawings, scans and photographs of one. */
export const drawingTypes = '.svg,.svgz,.dxf,.pdf,.png,.jpg,.jpeg';

/** A file that is being taken in, and what was wrong with the last one. */
export const useDrawingFile = () => {
  const [file, setFile] = useState<DrawingFile | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (picked: File): Promise<void> => {
    try {
      setFile(await readDrawingFile(picked));
      setProblem(null);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const close = (wrong: string | null = null): void => {
    setFile(null);
    setProblem(wrong);
  };
  return { file, problem, open, close };
};
