import { tell } from '../units';
import { likePeople } from './words';

const kgPerM2 = (kg: number) => kg * 9.80665;

test('a load is told by as many people of 80 kg as would stand there, once that is more than one', () => {
  expect(tell(likePeople(kgPerM2(320)), 'metric')).toMatch(/^, like 4.people per m²$/);
  // A square yard is 0.836 m².
  expect(tell(likePeople(kgPerM2(320)), 'us')).toMatch(/^, like 3.people per yd²$/);
  expect(tell(likePeople(kgPerM2(100)), 'metric')).toBe('');
});
