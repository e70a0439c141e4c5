import type { PanelArtwork, PanelResults } from '@vitrum/core';

/** Of the artwork’s letters, so large are those of a new area; between them is left so much (mm). */
const smallerShare = 0.4;
const betweenMm = 8;

/** What an area shows, in a word. */
export const areaLabel = ({ photo, drawing, text }: PanelArtwork): string => {
  if (photo) return 'photograph';
  if (drawing) return 'drawing';
  return text === undefined ? 'artwork' : text.trim() === '' ? 'text' : (text.split('\n')[0] ?? '').slice(0, 14);
};

/** A new area below what is worked already, worked as the artwork is; above it where there is no room below. */
export const newArea = (artwork: PanelArtwork, own: PanelResults | null): PanelArtwork => {
  const capHeightMm = Math.max(2, Math.round(artwork.capHeightMm * smallerShare));
  const bounds = own?.lettering.bounds ?? null;
  const below = bounds === null || own === null ? 0 : bounds.y - betweenMm - capHeightMm / 2;
  const above = bounds === null ? 0 : bounds.y + bounds.height + betweenMm + capHeightMm / 2;
  const fits = own === null || below - capHeightMm / 2 > own.geometry.seen.y;
  const middle = own === null ? 0 : own.geometry.sheet.y + own.geometry.sheet.height / 2;
  return {
    fontId: artwork.fontId,
    text: 'text',
    capHeightMm,
    lineSpacing: artwork.lineSpacing,
    align: artwork.align,
    ...(artwork.toolId === undefined ? {} : { toolId: artwork.toolId }),
    mirrored: artwork.mirrored === true,
    offsetXMm: 0,
    offsetYMm: Math.round((fits ? below : above) - middle),
    depthMm: artwork.depthMm,
    fill: 'solid',
  };
};

/** A list with one place less. */
export const without = <Each>(list: readonly Each[], place: number): readonly Each[] =>
  list.filter((_, each) => each !== place);
