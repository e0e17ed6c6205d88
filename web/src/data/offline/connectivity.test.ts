import { refusalOf } from '@huerta/contract';
import { noteAnswer, noteRefusedAnswer, onRecovered, useConnectivity } from './connectivity';
import { growingWaits } from './waits';

const problem = (status: number) => ({
  ...{ type: '', title: '', kind: 'internal', status },
  detail: 'The disk is full.',
});
const state = () => {
  const { away, later } = useConnectivity.getState();
  return { away, later };
};
beforeEach(() => noteAnswer());

test.each([
  [null, null, { away: true, later: true }],
  [502, '<html>', { away: true, later: true }],
  [503, null, { away: true, later: true }],
  // Huerta itself answers: it is there, and cannot take it now.
  [507, problem(507), { away: false, later: true }],
  [500, '<html>', { away: false, later: true }],
  [429, problem(429), { away: false, later: true }],
  // It is there, and says no.
  [422, problem(422), { away: false, later: false }],
  [401, null, { away: false, later: false }],
])(
  'an answer of %s says whether the server is there, and whether to try again',
  (status, body, is) => {
    noteRefusedAnswer(refusalOf(status, body));
    expect(state()).toEqual(is);
  },
);

test('once something is answered after that, it is tried again at once, and only then', () => {
  const recovered = jest.fn();
  const end = onRecovered(recovered);
  noteAnswer();
  expect(recovered).not.toHaveBeenCalled();
  noteRefusedAnswer(refusalOf(507, problem(507)));
  noteRefusedAnswer(refusalOf(null, null));
  expect(recovered).not.toHaveBeenCalled();
  noteAnswer();
  expect(recovered).toHaveBeenCalledTimes(1);
  end();
  noteRefusedAnswer(refusalOf(null, null));
  noteAnswer();
  expect(recovered).toHaveBeenCalledTimes(1);
});

test('waits double up to a minute, and begin anew once it works', () => {
  const waits = growingWaits();
  const some = Array.from({ length: 8 }, () => waits.next());
  expect(some).toEqual([2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000, 60_000]);
  waits.reset();
  expect(waits.next()).toBe(2000);
});
