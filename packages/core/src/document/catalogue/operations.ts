/** What is done to a part, one layer of its drawing each: in this order, so that nothing is cut loose before it is worked. */
export const operations = ['mark', 'film', 'engrave', 'drill', 'seat', 'rout', 'bit-path', 'cut', 'tab'] as const;
export type Operation = (typeof operations)[number];

/** Colours of lines in files for machines, as #rrggbb. */
export type LayerColours = Readonly<Record<Operation, string>>;

/** Colours that every drawing program tells apart; many machines choose what to do by them. */
export const usualColours: LayerColours = {
  cut: '#ff0000',
  tab: '#ff7f00',
  drill: '#0000ff',
  seat: '#00ff00',
  mark: '#808080',
  film: '#ff00ff',
  engrave: '#00ffff',
  rout: '#bfbf00',
  'bit-path': '#bf00ff',
};

/** The colours of a shop: its own where it has set one. */
export const coloursOf = (own: Readonly<Partial<LayerColours>> | undefined): LayerColours => ({
  ...usualColours,
  ...own,
});
