/** The light that the sign stands in, in words. */
export const ambientNames = {
  noon: 'noon sun',
  overcast: 'overcast',
  shop: 'shop light',
  evening: 'dusk',
  dark: 'dark',
} as const;
