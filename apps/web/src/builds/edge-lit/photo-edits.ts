import {
  mostTones,
  set,
  type DesignChange,
  type Fields,
  type GreyPicture,
  type PanelArtwork,
  type PanelPhoto,
  type PicturePlace,
} from '@vitrum/core';
import { fromByteArray } from 'base64-js';

/** A side of a photograph’s tones is at most so long. */
export const longestTones = 400;
/** Larger files are no photograph that anybody took. */
export const mostPhotoBytes = 60_000_000;

/** A picture’s greys as the design keeps a photograph, so wide on the sheet. */
export const photoFrom = (name: string, { width, height, grey }: GreyPicture, widthMm: number): PanelPhoto => ({
  name: name.slice(0, 160),
  columns: width,
  rows: height,
  tones: fromByteArray(grey),
  widthMm,
});

/** Why a picture cannot be taken as a photograph; null where it can. */
export const photoAmiss = ({ width, height }: Pick<GreyPicture, 'width' | 'height'>): string | null =>
  width < 2 || height < 2
    ? 'is too narrow to be a photograph: it has to be two pixels wide and high at least'
    : width * height > mostTones
      ? 'has more tones than a design keeps'
      : null;

/** A photograph in the place of text and drawing, its dots as close as the tool makes them; a new one where there is room for it. */
export const takePhoto = (
  fields: Fields<PanelArtwork>,
  photo: PanelPhoto,
  spacingMm: number,
  at: Omit<PicturePlace, 'widthMm'> | null,
): DesignChange => [
  set(fields.photo, photo),
  set(fields.drawing, null),
  set(fields.fill, 'dots'),
  set(fields.spacingMm, spacingMm),
  set(fields.graded, null),
  ...(at === null ? [] : [set(fields.offsetXMm, at.offsetXMm), set(fields.offsetYMm, at.offsetYMm)]),
];
