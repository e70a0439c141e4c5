import type { ButtonHTMLAttributes, Ref } from 'react';

const looks = {
  plain: 'border-ink bg-sheet text-ink hover:bg-paper',
  strong: 'border-ink bg-ink text-sheet hover:opacity-90',
  quiet: 'border-transparent bg-transparent text-ink hover:border-line',
} as const;

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: keyof typeof looks;
  readonly ref?: Ref<HTMLButtonElement>;
}

export const Button = ({ look = 'plain', className = '', type = 'button', ...rest }: ButtonProps) => (
  <button
    type={type}
    className={`inline-flex min-h-7 items-center gap-1.5 rounded-[3px] border px-2.5 pt-[5px] pb-[3px] font-semibold whitespace-nowrap disabled:cursor-not-allowed disabled:opacity-45 ${looks[look]} ${className}`}
    {...rest}
  />
);

/** A link that is pressed like a button: it goes somewhere, or fetches a file. */
export const linkLook =
  'inline-flex min-h-7 items-center gap-1.5 rounded-[3px] border border-ink bg-sheet px-2.5 pt-[5px] pb-[3px] font-semibold whitespace-nowrap hover:bg-paper';
