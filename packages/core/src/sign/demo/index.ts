export { newFaceLit, type NewFaceLit } from './face-lit-designs.js';
export { newHalo, type NewHalo } from './halo-designs.js';
export { demoDesigns, newLightbox, type NewLightbox } from './designs.js';
export { demoJobs, jobStatuses, type DemoJob, type JobStatus } from './jobs.js';
