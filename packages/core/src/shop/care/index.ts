export { careOf, nextCare, type CareDue } from './care.js';
