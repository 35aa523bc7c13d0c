import type { Change } from './change';
import { countFault } from './fault-counts';
import { followSheet } from './makers-sheets';
import { followValveAsLeft } from './valves-as-left';
import { followShelf } from './shelf';
import { followScrews } from './screw-effects';
import { followDrawn } from './drawn-parts';
import { followOrders } from './kept-orders';
import { followLife } from './valve-lives';
import { followTimes } from './work-times';

/** What follows from new entries outside the job itself: all of it with them, or none. */
const FOLLOWERS: readonly ((change: Change) => Promise<void>)[] = [
  followSheet,
  countFault,
  followShelf,
  followScrews,
  followValveAsLeft,
  followDrawn,
  followOrders,
  followLife,
  followTimes,
];

export async function follow(change: Change): Promise<void> {
  for (const each of FOLLOWERS) await each(change);
}
