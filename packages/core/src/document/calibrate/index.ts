export { fitBrightness } from './fit-brightness.js';
export { fitCoupon, type CouponFit, type CouponPhoto } from './fit-coupon.js';
export { fitKerf, fitSawKerf, type KerfFit, type KerfPair, type SawnPair } from './fit-kerf.js';
export { fitTransmittance } from './fit-transmittance.js';
export { measurableKinds, withMeasured, type MeasurableKind, type MeasuredFigures } from './measured-item.js';
export type { BrightnessPair, Fit, LuxPair } from './types.js';
