import {nearest, snapPlaces} from './paths.js';

// What lies under a place of the screen. Picks are [id, path, box]; reach in pixels.

const REACH = 9;

function* near(picks, view, {x, y}) {
  const [wx, wy] = view.toWorld(x, y);
  const reach = REACH / view.k;
  for (const [id, d, box] of picks) {
    if (wx > box[0] - reach && wx < box[2] + reach && wy > box[1] - reach && wy < box[3] + reach) {
      yield {id, d, wx, wy};
    }
  }
}

/** The id of the nearest chain within reach, or null. */
export function pickAt(picks, view, at) {
  let best = null;
  let least = REACH / view.k;
  for (const {id, d, wx, wy} of near(picks, view, at)) {
    const found = nearest(d, wx, wy);
    if (found.distance < least) {
      least = found.distance;
      best = id;
    }
  }
  return best;
}

/** The ids of all chains within a rectangle of the screen. */
export function pickWithin(picks, view, {x, y, nowX, nowY}) {
  const [left, bottom] = view.toWorld(Math.min(x, nowX), Math.max(y, nowY));
  const [right, top] = view.toWorld(Math.max(x, nowX), Math.min(y, nowY));
  return picks.filter(([, , box]) => box[0] >= left && box[1] >= bottom && box[2] <= right && box[3] <= top)
      .map(([id]) => id);
}

/** The nearest end, middle or centre within reach, with its kind in words; null when there is none. */
export function snapAt(picks, view, at) {
  let best = null;
  let least = REACH / view.k;
  for (const {d, wx, wy} of near(picks, view, at)) {
    for (const place of snapPlaces(d)) {
      const distance = Math.hypot(place.x - wx, place.y - wy);
      if (distance < least) {
        least = distance;
        best = place;
      }
    }
  }
  return best;
}
