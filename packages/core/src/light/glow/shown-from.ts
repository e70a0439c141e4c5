/** Nobody looks at a sign for its LEDs from farther off than this; where they would show from there, they show (mm). */
const farthestMm = 50_000;

/** From where what vanishes at so many millimetres is seen, in words: “nearer than 4.2 m”. */
export const shownFrom = (vanishesAtMm: number): string => {
  if (vanishesAtMm > farthestMm) return 'from any distance';
  return `nearer than ${vanishesAtMm < 10_000 ? Math.round(vanishesAtMm / 100) / 10 : Math.round(vanishesAtMm / 1000)} m`;
};
