import type { QuoteAnswerView } from '@vitrum/contract';

/** What was said to a quote, in the order in which it was. */
export const AnswerLines = ({ answers }: { readonly answers: readonly QuoteAnswerView[] }) =>
  answers.map(({ at, name, what, remark }) => (
    <p key={at} className={`mt-1 border-l-4 pl-2 text-[13px] ${what === 'yes' ? 'border-sound' : 'border-line'}`}>
      <b>{name}</b> {what === 'yes' ? 'said yes' : 'remarked'}, {at.slice(0, 10)}
      {remark === '' ? '.' : `: ${remark}`}
    </p>
  ));
