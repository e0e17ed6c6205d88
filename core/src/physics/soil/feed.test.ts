import { FEED_DOSES, FEEDS } from '../../catalog';
import { STARTING_POINTS } from '../../document';
import { feedOf } from '.';

const { soil } = STARTING_POINTS[0]!.design;
const VOLUME = 0.02;

test('every usual dose lies in what growers usually give', () => {
  for (const [feed, feedDose] of Object.entries(FEED_DOSES)) {
    const kind = feed as keyof typeof FEED_DOSES;
    const given = feedOf(
      { ...soil, feed: kind, feedDose, feedNitrogen: FEEDS[kind].nitrogen },
      VOLUME,
    )!;
    expect(given.mass).toBeCloseTo(feedDose * VOLUME, 12);
    expect(given.mass).toBeGreaterThanOrEqual(given.least);
    expect(given.mass).toBeLessThanOrEqual(given.most);
  }
});

test('the richer the feed, the less of it; a bag that says nothing is as such feeds are', () => {
  const of = (feedNitrogen: number) =>
    feedOf({ ...soil, feed: 'organic', feedDose: 5, feedNitrogen }, VOLUME)!;
  expect(of(0.1).most).toBeCloseTo(of(0.05).most / 2, 12);
  expect(of(0)).toEqual(of(0.05));
  expect(feedOf({ ...soil, feed: 'liquid' }, VOLUME)).toBeNull();
});
