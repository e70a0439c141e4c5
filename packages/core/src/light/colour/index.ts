export { adaptedHue } from './adapted-hue.js';
export {
  atLuminance1,
  channelHue,
  colourOf,
  lightOfMix,
  linearOf,
  luminanceOf,
  mixOf,
  planckianRgb,
  throughTint,
  toLinear,
  uvOf,
  type LightColour,
  type LinearRgb,
} from './light-colour.js';
