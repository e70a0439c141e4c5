export { medialAxis, wideStrokes, type MedialLine } from './medial-axis.js';
