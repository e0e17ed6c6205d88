import { sayHour, setDateOrder, usualOrder, usualWeek, writeAgo, writeDate } from './dates';

afterEach(() => setDateOrder('day-first'));

const plain = (text: string) => text.replaceAll('\u00a0', ' ');

test('day and month stay on one line, in either order', () => {
  setDateOrder('day-first');
  expect(writeDate('2026-05-01', 'year')).toBe('1\u00a0May 2026');
  setDateOrder('month-first');
  expect(writeDate('2026-05-01', 'short')).toBe('May\u00a01');
  setDateOrder('day-first');
});

test('a day is the same day in every time zone, in the order that was chosen', () => {
  expect(plain(writeDate('2026-05-01', 'year'))).toBe('1 May 2026');
  expect(plain(writeDate('2026-12-31', 'short'))).toBe('31 Dec');
  setDateOrder('month-first');
  expect(plain(writeDate('2026-05-01', 'year'))).toBe('May 1, 2026');
  expect(plain(writeDate('2026-05-01', 'long'))).toBe('May 1');
});

test('a week begins as the browser’s language has it, on Monday where it does not say', () => {
  const info = (firstDay: number) => () => ({ firstDay });
  const locale = Intl.Locale.prototype as { getWeekInfo?(): { firstDay: number } };
  const before = locale.getWeekInfo;
  try {
    locale.getWeekInfo = info(7);
    expect(usualWeek('en-US')).toBe('sunday');
    locale.getWeekInfo = info(6);
    expect(usualWeek('ar-EG')).toBe('saturday');
    delete locale.getWeekInfo;
    expect(usualWeek('de-DE')).toBe('monday');
  } finally {
    if (before) locale.getWeekInfo = before;
  }
});

test('the browser’s language says which order is usual', () => {
  expect(['en-US', 'en-GB', 'es-MX', 'de'].map(usualOrder)).toEqual([
    'month-first',
    'day-first',
    'day-first',
    'day-first',
  ]);
});

test('how long ago is said in the largest unit that is full', () => {
  const now = Date.UTC(2026, 4, 8, 12);
  const ago = (seconds: number) => writeAgo(now - seconds * 1000, now);
  expect(ago(20)).toBe('just now');
  expect(ago(90)).toBe('1 minute ago');
  expect(ago(3 * 3600 + 5)).toBe('3 hours ago');
  expect(ago(7 * 86_400)).toBe('1 week ago');
});

test.each([
  [0, 'about midnight'],
  [7, 'about 7\u00a0in the morning'],
  [12, 'about noon'],
  [15, 'about 3\u00a0in the afternoon'],
  [19, 'about 7\u00a0in the evening'],
])('hour %i is said %s', (hour, said) => expect(sayHour(hour)).toBe(said));
