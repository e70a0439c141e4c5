import { pdfEngine } from '../../artwork/drawings/pdf/engine.js';

/** All words of a PDF, page by page, by pdf.js. */
export const wordsOfPdf = async (bytes: Uint8Array): Promise<readonly string[]> => {
  const { getDocument } = await pdfEngine();
  const document = await getDocument({ data: Uint8Array.from(bytes), verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, at) => {
      const { items } = await (await document.getPage(at + 1)).getTextContent();
      return items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ');
    }),
  );
};
