export { demoStock, type DemoLot } from './demo-stock.js';
export { allot } from './allot.js';
export { shoppingList, type ShoppingLine } from './shopping.js';
export type { LaidSheet } from './laid.js';
export type { Allotted, Claim, Lot, Short } from './types.js';
export { stockForm, stockUnit } from './forms.js';
