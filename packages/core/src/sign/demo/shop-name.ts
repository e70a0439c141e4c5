/** Whose shop the demo is: all made up. */
export const shopName = 'Sallow Lane Signs, Port Sallow';
