import type { ButtonHTMLAttributes, Ref } from 'react';
declare const looks: {
  readonly plain: 'border-ink bg-sheet text-ink hover:bg-paper';
  readonly strong: 'border-ink bg-ink text-sheet hover:opacity-90';
  readonly quiet: 'border-transparent bg-transparent text-ink hover:border-line';
};
interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: keyof typeof looks;
  readonly ref?: Ref<HTMLButtonElement>;
}
export declare const Button: ({ look, className, type, ...rest }: ButtonProps) => import('react').JSX.Element;
export {};
