/** What a maker wants to know of a build before and while it is made. */
export interface Guide {
  /** What it is, and for what it is good. */
  readonly about: string;
  /** What decides whether it comes out well. */
  readonly decides: readonly string[];
  /** The order of work, each step with what to mind. */
  readonly order: readonly (readonly [title: string, text: string])[];
  /** What goes wrong, and where it comes from. */
  readonly wrong: readonly (readonly [seen: string, cause: string])[];
  /** Pictures of a demo job, with what to see in them. */
  readonly pictures: readonly { readonly file: string; readonly caption: string }[];
}
