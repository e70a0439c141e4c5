/** What strip that ships has in common unless it says otherwise. */
export const anyStrip = {
  provenance: 'typical',
  protection: 'bare',
  colour: 'white',
  whitesK: [2700, 3000, 3500, 4000, 5000, 6500],
  beamAngleDeg: 120,
  maxBoardC: 60,
  bendRadiusMm: 20,
  reelMm: 5000,
} as const;
