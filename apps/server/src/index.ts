export { createApp } from './create-app.js';
export { readConfig, type Config } from './config.js';
