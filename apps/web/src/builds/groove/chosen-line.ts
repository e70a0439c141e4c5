import { create } from 'zustand';

/** Which drawn line is being worked on, by its place in the drawing; kept by the page, never in the design. */
export const useChosenLine = create<{ readonly line: number }>(() => ({ line: 0 }));

export const chooseLine = (line: number): void => useChosenLine.setState({ line });
