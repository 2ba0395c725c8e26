import {arc, forSegments, nearest} from './paths.js';

// What lies under a place of the screen; reach in pixels.

export const REACH = 9;

/** Picks within reach, with the place in world coordinates. */
export function near(index, view, {x, y}, reach = REACH) {
  const [wx, wy] = view.toWorld(x, y);
  const r = reach / view.k;
  return {wx, wy, reach: r, picks: index.touching([wx - r, wy - r, wx + r, wy + r])};
}

/** The nearest chain within reach: {id, d, place}, or null. */
export function chainAt(index, view, at) {
  const {wx, wy, reach, picks} = near(index, view, at);
  let best = null;
  let least = reach;
  for (const [id, d] of picks) {
    const place = nearest(d, wx, wy);
    if (place.distance < least) {
      least = place.distance;
      best = {id, d, place};
    }
  }
  return best;
}

/** The id of the nearest chain within reach, or null. */
export const pickAt = (index, view, at) => chainAt(index, view, at)?.id ?? null;

/** Radius of the arc of a path at a place; null on a straight stretch. */
export function radiusAt(d, {x, y}) {
  let found = null;
  let least = Infinity;
  forSegments(d, (x0, y0, x1, y1, b) => {
    const distance = nearest([x0, y0, x1, y1, b], x, y).distance;
    if (distance < least) {
      least = distance;
      found = b === 0 ? null : arc(x0, y0, x1, y1, b).r;
    }
  });
  return found;
}

/** The ids of all chains within a rectangle of the screen. */
export function pickWithin(index, view, {x, y, nowX, nowY}) {
  const [left, bottom] = view.toWorld(Math.min(x, nowX), Math.max(y, nowY));
  const [right, top] = view.toWorld(Math.max(x, nowX), Math.min(y, nowY));
  return index.touching([left, bottom, right, top])
      .filter(([, , box]) => box[0] >= left && box[1] >= bottom && box[2] <= right && box[3] <= top)
      .map(([id]) => id);
}
