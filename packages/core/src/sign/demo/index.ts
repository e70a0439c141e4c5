export { demoDesigns } from './designs.js';
export { demoJobs, jobStatuses, type DemoJob, type JobStatus } from './jobs.js';
export { jobName, newDesign } from './new-design.js';
export { shopName } from './shop-name.js';
