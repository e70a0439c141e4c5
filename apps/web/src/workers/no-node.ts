/** Stands for what only Node has, in packages that ask where they run before they use it. */
export const createRequire = (): never => {
  throw new Error('this runs in a page');
};
