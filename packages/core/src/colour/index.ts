export {
  channelHue,
  colourOf,
  linearOf,
  luminanceOf,
  mixOf,
  planckianRgb,
  throughTint,
  uvOf,
  type LightColour,
  type LinearRgb,
} from './light-colour.js';
