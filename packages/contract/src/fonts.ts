/** A font file unpacked, as a design keeps it. */
export interface UnpackedFont {
  readonly base64: string;
}
