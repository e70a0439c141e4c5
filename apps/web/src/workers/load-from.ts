/** Loads files that the build has put somewhere, each by the name that the core has for it. */
export const loadFrom =
  (urls: Readonly<Record<string, string>>) =>
  async (file: string): Promise<ArrayBuffer> => {
    const url = urls[file];
    if (url === undefined) throw new Error(`the build does not carry ${file}`);
    const response = await fetch(url);
    if (!response.ok) throw new Error(`${file} did not load (${response.status})`);
    return response.arrayBuffer();
  };
