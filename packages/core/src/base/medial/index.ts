export { medialAxis, strokeMiddles, wideStrokes, type MedialLine } from './medial-axis.js';
