import type { Guide } from '../../guide/types';

/** How halo letters are designed and made. */
export const guide: Guide = {
  about:
    'Letters that stand off a wall on posts, with strip behind them that lights the wall: dark fronts in a ring of glow. Best on a pale, matt wall, and in the evening.',
  decides: [
    'Standoff. Nearer to the wall the glow is narrow and bright, farther it grows wide and soft. Drag it in the slice.',
    'Setback of strip from the edge. Too near, and LEDs show as scallops; too far, and the edge is dark.',
    'The wall. White and matt gives most of the light back; brick swallows it, gloss mirrors every LED.',
    'Thin strokes. Strip must fit behind them; where it does not, strokes stay dark.',
  ],
  order: [
    ['Brief', 'What it says, from how far, on which wall, what light is around it.'],
    ['Artwork', 'A typeface with strokes wide enough for strip, or a drawing.'],
    ['Letters', 'Plates or hollow letters, standoff, posts for the weight, white backs.'],
    [
      'Light',
      'Strip along the outline, up the middle of strokes or in rows; where to start so that runs come out even.',
    ],
    ['Power', 'From letter to letter through the wall or across it; chains, supply, drop.'],
    ['Wall', 'What the glow falls on, and how wide it is.'],
    [
      'Cut and build',
      'Letters, blind holes by the template, finish, strip, joints; an hour at full power against a board.',
    ],
    ['Hang', 'Template level on the wall, drill, plug, posts to the same depth, letters on, lead last.'],
  ],
  wrong: [
    ['Scallops along the edge', 'LED pitch too coarse for the standoff, or strip too near to the edge.'],
    ['Shadows of posts', 'A post in the light, near to the edge. Move it under strip, or to the middle.'],
    ['LEDs mirrored in the wall', 'Gloss paint or tiles. A matt backer behind the letters.'],
    ['Bright wire between letters', 'Wires across the wall in the glow. Through the wall, or sleeved in its colour.'],
    ['A letter dimmer than its neighbours', 'The far end of the chain. Feed it there too.'],
  ],
  pictures: [
    { file: 'halo-face.jpg', caption: 'The glow on a white wall at dusk.' },
    { file: 'halo-case.jpg', caption: 'The slice: letter, post, strip and wall, with the luminance along it.' },
  ],
};
