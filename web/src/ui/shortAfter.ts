/** When plants go short, in days from leaving: 'after 3 days', or 'on the first day'. @param write a number of days */
export const shortAfter = (days: number, write: (value: number, kind: 'days') => string): string =>
  days < 0.5 ? 'on the first day' : `after ${write(days, 'days')}`;
