export { benchDesign } from './bench-design.js';
export { commissionSteps, expectedIn, judgeReading, readingWords } from './steps.js';
export { segmentTests, type SegmentTest, type TestTime } from './segment-tests.js';
export { temperatureAt, type ThermometerPlace } from './thermometer.js';
export type { BenchSetting, CommissionStep, Expected, ReadingVerdict, TakenReading } from './types.js';
