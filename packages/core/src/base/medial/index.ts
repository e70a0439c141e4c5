export { medialAxis, strokeMiddles, type MedialLine } from './medial-axis.js';
