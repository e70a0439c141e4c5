export type { Diagram, DiagramBox, DiagramKind, DiagramLink } from './types.js';
export { wiringDiagram } from './wiring-diagram.js';
