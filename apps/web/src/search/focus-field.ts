import { tell } from '../ui/notices-store';

/** How long a step may take to come (ms). */
const patienceMs = 4000;
const askEveryMs = 60;

const controlOf = (label: string): HTMLElement | null => {
  const found = [...document.querySelectorAll<HTMLLabelElement>('aside label[for]')].find(
    ({ textContent }) => textContent === label,
  );
  return found === undefined ? null : document.getElementById(found.htmlFor);
};

/** Goes to the field of this label once its step is there; says so where the design has no use for it. */
export const focusField = (label: string): void => {
  const begun = Date.now();
  const timer = setInterval(() => {
    const control = controlOf(label);
    if (control === null && Date.now() - begun < patienceMs) return;
    clearInterval(timer);
    if (control === null) return tell({ words: `“${label}” is not asked for while the design is as it is.` });
    control.scrollIntoView({ block: 'center' });
    control.focus();
  }, askEveryMs);
};
