import { pictureProblem, refuseLarge } from './picture-size';
import { readPdf } from '../workers/read-pdf';
import { drawingText, greyOf, isPdf, type DrawingFile, type GreyPicture } from '@vitrum/core';

/** What a file is by its name; `null` when it is no drawing. */
export const drawingKind = (name: string): DrawingFile['kind'] | null => {
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase();
  if (ending === 'svg' || ending === 'dxf') return ending;
  if (ending === 'svgz' || ending === 'pdf') return 'svg';
  return ending === 'png' || ending === 'jpg' || ending === 'jpeg' ? 'picture' : null;
};

/** Larger pictures are made smaller first: a letter’s edge needs no more. */
const longestPx = 2000;

/** A picture as its bytes of red, green, blue and cover, made smaller where a side is longer or it has more pixels than asked for. */
export const pixelsOf = async (file: Blob, longest: number, most: number): Promise<ImageData> => {
  await refuseLarge(file);
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(
    1,
    longest / Math.max(bitmap.width, bitmap.height),
    Math.sqrt(most / (bitmap.width * bitmap.height)),
  );
  const [width, height] = [
    Math.max(1, Math.floor(bitmap.width * scale)),
    Math.max(1, Math.floor(bitmap.height * scale)),
  ];
  const context = new OffscreenCanvas(width, height).getContext('2d');
  if (context === null) throw new Error('this browser cannot read pictures');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
};

/** The same as shades of grey. */
export const pictureOf = async (file: Blob, longest = longestPx, most = longest ** 2): Promise<GreyPicture> => {
  const { width, height, data } = await pixelsOf(file, longest, most);
  return { width, height, grey: greyOf(data) };
};

/** Reads a file as a drawing, or throws with a sentence. */
export const readDrawingFile = async (file: File): Promise<DrawingFile> => {
  const kind = drawingKind(file.name);
  if (kind === null) throw new Error(`${file.name} is no drawing that Vitrum reads; SVG, DXF, PDF, PNG and JPEG are`);
  if (kind !== 'picture') {
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (isPdf(bytes)) {
      const read = await readPdf(bytes);
      if (!read.ok) throw new Error(`${file.name}: ${read.problems[0]!.message}`);
      return { kind: 'svg', name: file.name, text: read.value.text, told: read.value.notes };
    }
    const text = drawingText(bytes);
    if (!text.ok) throw new Error(`${file.name}: ${text.problems[0]!.message}`);
    return { kind, name: file.name, text: text.value };
  }
  try {
    return { kind, name: file.name, picture: await pictureOf(file) };
  } catch (reason) {
    throw new Error(pictureProblem(file.name, reason), { cause: reason });
  }
};
