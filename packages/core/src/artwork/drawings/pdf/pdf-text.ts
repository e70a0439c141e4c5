import { failure, success, type Result } from '../../../base/result.js';
import { limits } from '../limits.js';
import { pdfEngine } from './engine.js';
import { pageSvg } from './page-svg.js';

/** Larger files are no drawings (bytes). */
const mostBytes = 30_000_000;
/** More operators than this has no drawing. */
const mostOperators = 400_000;

const refused = (message: string): Result<never> => failure({ path: '', message });

/** Whether these are the bytes of a PDF. */
export const isPdf = (bytes: Uint8Array): boolean =>
  new TextDecoder('latin1').decode(bytes.subarray(0, 1024)).includes('%PDF-');

const reasonOf = (error: unknown): string => {
  const { name, message } = error instanceof Error ? error : { name: '', message: String(error) };
  return name === 'PasswordException'
    ? 'this PDF is locked with a password; save it without one'
    : `this PDF could not be read (${message}); save it anew, or as SVG`;
};

/**
 * A page of a PDF (from 1) as the text of an SVG drawing in points, with what was left out of it as `notes`. Fails with a
 * sentence where the file is broken, locked or too large, or the page is not there.
 */
export const pdfAsSvg = async (
  bytes: Uint8Array,
  number = 1,
): Promise<Result<{ readonly text: string; readonly notes: readonly string[]; readonly pages: number }>> => {
  if (bytes.length > mostBytes) return refused(`the file is larger than ${mostBytes / 1e6} MB; simplify the drawing`);
  const { getDocument, OPS, VerbosityLevel } = await pdfEngine();
  const task = getDocument({
    // The engine keeps what it is given.
    data: Uint8Array.from(bytes),
    isEvalSupported: false,
    disableFontFace: true,
    useSystemFonts: false,
    // Pictures are not looked at.
    maxImageSize: 1,
    verbosity: VerbosityLevel.ERRORS,
  });
  try {
    const document = await task.promise;
    const pages = document.numPages;
    if (number < 1 || number > pages)
      return refused(`there is no page ${number}: this PDF has ${pages} ${pages === 1 ? 'page' : 'pages'}`);
    const page = await document.getPage(number);
    const [operators, content] = [await page.getOperatorList(), await document.getOptionalContentConfig()];
    if (operators.fnArray.length > mostOperators)
      return refused(`the page has more than ${mostOperators.toLocaleString('en')} parts; simplify the drawing`);
    const { width, height, transform } = page.getViewport({ scale: 1 });
    const [a, b, c, d, e, f] = transform as [number, number, number, number, number, number];
    const drawn = pageSvg(operators, OPS, [a, b, c, d, e, f], {
      of: (id) => {
        const group = content.getGroup(id) as { readonly name?: string | null; readonly visible: boolean } | null;
        return group === null ? null : { name: group.name ?? id, shown: group.visible };
      },
    });
    if (drawn === 'too-large')
      return refused(`the page is larger than ${limits.characters / 1e6} MB; simplify the drawing`);
    const ofMany = pages > 1 ? [`page ${number} of ${pages} was read`] : [];
    return success({
      text: `<svg xmlns="http://www.w3.org/2000/svg" width="${width}pt" height="${height}pt" viewBox="0 0 ${width} ${height}">${drawn.body}</svg>`,
      notes: [...ofMany, ...drawn.notes],
      pages,
    });
  } catch (error) {
    return refused(reasonOf(error));
  } finally {
    await task.destroy();
  }
};
