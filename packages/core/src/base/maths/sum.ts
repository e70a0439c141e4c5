/** Sum of numbers; 0 of none. */
export const sum = (numbers: readonly number[]): number => numbers.reduce((total, number) => total + number, 0);
