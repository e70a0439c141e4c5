import { edgeLitPage } from './edge-lit/page';
import { faceLitPage } from './face-lit/page';
import { framePage } from './frame/page';
import { groovePage } from './groove/page';
import { haloPage } from './halo/page';
import { layersPage } from './layers/page';
import { lightboxPage } from './lightbox/page';
import { stackedPage } from './stacked/page';
import type { BuildPage } from './common/build-page';

/** The page’s part of every build, a folder each. A new one is one line here. */
export const registry: readonly BuildPage[] = [
  lightboxPage,
  haloPage,
  faceLitPage,
  edgeLitPage,
  groovePage,
  framePage,
  layersPage,
  stackedPage,
];
