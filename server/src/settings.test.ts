import { readSettings } from './settings';

test('without settings it is this machine, port 4700, no demo', () => {
  expect(readSettings({})).toEqual({
    folder: '.data',
    port: 4700,
    host: null,
    doorPort: 4743,
    own: null,
    rate: 6000,
    web: 'web/dist',
    demo: false,
    demoUnits: 'metric',
    demoDay: null,
    log: 'info',
  });
});

test.each([
  ['HUERTA_PORT', '', 'is a number such as 4700'],
  ['HUERTA_PORT', '70000', 'is at most 65535'],
  ['HUERTA_HOST', 'http://here:80', 'without a port'],
  ['HUERTA_DEMO', 'yes', 'is 1 for the demo garden'],
  ['HUERTA_DEMO_UNITS', 'inches', 'is metric, or us for inches'],
  ['HUERTA_LOG', 'loud', 'is a level such as info'],
  ['HUERTA_RATE', 'fast', '0 for no limit'],
  ['HUERTA_CERT', 'only.crt', 'goes with HUERTA_KEY'],
])('%s=‘%s’ is refused with a sentence', (name, value, why) => {
  expect(() => readSettings({ [name]: value })).toThrow(`${name} `);
  expect(() => readSettings({ [name]: value })).toThrow(why);
});
