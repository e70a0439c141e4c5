import type { Guide } from '../../guide/types';

/** How a layered scene is designed and made. */
export const guide: Guide = {
  about:
    'Sheets cut out and painted stand one behind the other on spacers in a shallow box. Strip round its rim, hidden behind the border of the foremost sheet, lights the fronts of those behind it; every edge throws a shadow on the next.',
  decides: [
    'Which layer goes where. What is light and large stands at the back, what is dark and slim in front: each step must be told from the next.',
    'Heights. Ten to fifteen millimetres from sheet to sheet throw soft shadows; less looks flat, more leaves the rear sheets dark.',
    'Where the strip runs. It lights what is behind it. Just behind the foremost sheet it lights all others.',
    'Overlap. The border must reach in farther than the strip stands behind it, times the tangent of the viewing angle.',
  ],
  order: [
    ['Brief', 'Where it hangs, from where it is looked at, how bright the place is.'],
    ['Sheets', 'Layers of a drawing or a picture become sheets; each with its height, stuff and colours.'],
    ['Box', 'Size, depth, wood and corners. The back comes off and carries the scene.'],
    ['Light', 'Round the rim, looking in, behind the foremost sheet.'],
    ['Power', 'Supply with a fifth to spare; lead out at the bottom or through the back.'],
    ['Look', 'Which layers are told apart, whether an LED or a spacer is in sight.'],
    [
      'Cut and build',
      'Sheets cut and stacked dry on their spacers, tried lit; then filled, painted, glued from the back on by the spacer plans.',
    ],
    ['Prove', 'An hour lit, then looked at from both sides, in the dark and by day.'],
  ],
  wrong: [
    ['LEDs are seen from aside', 'The border overlaps too little. A wider one, or strip nearer behind it.'],
    [
      'Two layers run into one',
      'Colours too near. Darker in front, lighter behind, or more room between them for a shadow.',
    ],
    ['A layer stays dark', 'No light gets to its front. Strip before it, or a second turn deeper in.'],
    ['A spacer is seen', 'It stands too near an edge. Nearer the middle, or painted like what is behind it.'],
    [
      'The sheet does not go in',
      'It meets the strip at the rim. A gap as wide as the strip, or a sheet that keeps off the rim.',
    ],
    [
      'Brads come out in front',
      'Longer than what they go into. Measure sheet and spacer together, and take two millimetres less.',
    ],
  ],
  pictures: [
    { file: 'layers-face.jpg', caption: 'A scene of five sheets, lit from the rim.' },
    { file: 'layers-case.jpg', caption: 'The slice with its sheets, and how well they are told apart.' },
  ],
};
