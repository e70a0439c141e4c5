/** How one works with Vitrum, whatever is built: headings and what stands under them. */
export const generalGuide: readonly (readonly [title: string, text: string])[] = [
  [
    'The piece is always lit',
    'The middle of the page shows the sign as it will look, under the light that you choose above it. Everything else explains or mends what is seen there. L switches the sign on and off, C shows it as a camera would, exposed for the glow.',
  ],
  [
    'A new job begins solved',
    'Say what it is, what it says and how large. Vitrum chooses depth, strip, rows, face and supply so that nothing stops the build and nothing disappoints, says what it chose, and leaves all of it open.',
  ],
  [
    'Findings',
    'The band at the top right counts what stops the build and what will disappoint. Each finding has its number, its place and remedies that were tried whole, with before and after. One click applies one; undo takes it back.',
  ],
  [
    'The slice',
    'Under the picture lies the section, to scale. Drag the back or the standoff there; arrow keys do the same, a millimetre at a time, ten with Shift.',
  ],
  [
    'Lengths as you write them',
    '45, 45mm, 4.5 cm, 1 3/4in, 1-3/4", 5\' 6-1/2", ½, and sums such as 600/2-12 are all understood. What could be read two ways is asked.',
  ],
  [
    'Try-outs',
    'Depth, rows, faces and linings tried against price and evenness; the design as it is stands among them, ringed. Pin variants and see them side by side.',
  ],
  [
    'Bench pack and bench mode',
    'The bench pack holds drawings, templates, lists and the design. Bench mode shows one step at a time with its drawing, large enough to read from the bench; it works on when the network is away, and the ticks stay with the job.',
  ],
  [
    'Files for machines',
    'In the bench pack, “parts” has every part at its net size; “toolpaths” has what a machine cuts, half a kerf beside it, inside first, with leads and tabs; “film” goes to the plotter, “layouts” shows each sheet and bar, “release-12” is for older machines. A layer is named by what is done and how deep: SEAT-9_5MM is a groove 9.5 mm deep. Colours of lines are set under Shelf, The shop’s settings; leads and tabs belong to the tool on the shelf. Try a new machine on a test piece first.',
  ],
  [
    'Papers in the pack',
    '“build-steps” is the build to tick off, with everything bought by name; “wiring” and “labels” are for the bench, templates print at 100 %, “care-sheet” goes with the sign. A letter that no font here has prints as a question mark, and the page says so: load a font that has it for the sign’s letters.',
  ],
  [
    'Shelf and stock',
    'On the shelf stand the materials that designs choose from: add your own, copy and change them, take whole lists in and out as CSV. A design keeps what it has as it was, and is offered what is newer. Stock is what lies in the shop: enter what comes in, is used or counted; the step Cut tells what a job is short of, and one list what to buy for all.',
  ],
  [
    'Computed, typical, measured',
    'Every figure says where it comes from: = computed, ~ typical, • measured. Click any figure of the tape below to see how it came about; measure your own materials on the shelf.',
  ],
];
