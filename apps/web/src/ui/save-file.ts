/** Hands bytes to the browser as a download. */
export const saveFile = (name: string, bytes: Uint8Array | string, type: string): void => {
  const url = URL.createObjectURL(new Blob([bytes as BlobPart], { type }));
  const anchor = document.createElement('a');
  anchor.href = url;
  anchor.download = name;
  anchor.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
};
