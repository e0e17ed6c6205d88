import { PROBLEM_KINDS } from './problem';
import { refusalKindOf, refusalOf } from './refusal';

test.each([
  [null, 'later'],
  [204, 'later'],
  [302, 'later'],
  [400, 'for-good'],
  [401, 'let-in'],
  [403, 'let-in'],
  [404, 'for-good'],
  [408, 'later'],
  [409, 'for-good'],
  [413, 'for-good'],
  [422, 'for-good'],
  [425, 'later'],
  [429, 'later'],
  [500, 'later'],
  [502, 'later'],
  [503, 'later'],
  [507, 'later'],
] as const)('an answer of %s means %s', (status, kind) => {
  expect(refusalKindOf(status)).toBe(kind);
});

test('a problem says its own sentence; any other body never shows', () => {
  const problem = {
    type: '',
    kind: 'internal',
    title: '',
    status: 507,
    detail: 'The disk is full.',
  };
  expect(refusalOf(507, problem)).toMatchObject({ kind: 'later', problem });
  expect(refusalOf(507, problem).sentence).toMatch(/^The disk is full\. /);
  for (const body of [null, '<html>', { detail: 'no' }, { ...problem, kind: 'odd' }]) {
    const { sentence, problem: said } = refusalOf(502, body);
    expect(said).toBeNull();
    expect(sentence).toMatch('does not answer');
  }
  expect(PROBLEM_KINDS).toContain('internal');
});

test('keeping is promised only where this device keeps', () => {
  for (const status of [null, 429, 500, 503, 507]) {
    expect(refusalOf(status, null, true).sentence).toMatch('kept on this device');
    expect(refusalOf(status, null, false).sentence).not.toMatch('kept on this device');
    expect(refusalOf(status, null, false).sentence).toMatch('leave this page open');
  }
});
