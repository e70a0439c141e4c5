/** A text as it begins a sentence. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A text as part of a file’s name or an id: small letters, digits, hyphens; empty where it has none of them. */
export const slugOf = (text: string): string =>
  text
    .normalize('NFD')
    .toLowerCase()
    .replace(/\p{M}+/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
