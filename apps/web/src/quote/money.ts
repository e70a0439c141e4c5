/** “€1,234.50”. */
export const money = (value: number, currency: string): string =>
  `${value < 0 ? '−' : ''}${currency}${Math.abs(value).toLocaleString('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 })}`;

/** “7 years”, “3.5 to 7 years”: as far as anybody knows. */
export const yearsWords = ([least, most]: readonly [number, number]): string => {
  const said = (value: number): string =>
    value > 30 ? 'over 30' : value >= 10 ? `${Math.round(value)}` : `${Math.round(value * 2) / 2}`;
  return said(least) === said(most) ? `${said(least)} years` : `${said(least)} to ${said(most)} years`;
};
