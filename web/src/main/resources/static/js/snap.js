import {arc, forSegments, nearest, snapPlaces} from './paths.js';
import {near} from './picker.js';

// Places worth snapping to near the pointer, each with its kind in words. A kind that stands earlier is
// taken before one that is only nearer.

const ORDER = ['end', 'centre', 'crossing', 'point', 'middle', 'quadrant', 'perpendicular', 'tangent',
  'crossing of guides', 'on the guide', 'on the line', 'grid'];
const MOST_CROSSED = 24;

/**
 * The best place within reach, or null.
 *
 * @param from where a line comes from, for perpendicular and tangent; may be null
 */
export function snapAt(index, view, at, {points = [], guides = [], from = null, grid = false} = {}) {
  const {wx, wy, reach, picks} = near(index, view, at);
  const places = [];
  const add = (kind, x, y) => {
    const distance = Math.hypot(x - wx, y - wy);
    if (distance <= reach) {
      places.push({kind, x, y, distance});
    }
  };
  const close = [];
  for (const [, d] of picks) {
    snapPlaces(d).forEach((p) => add(p.kind, p.x, p.y));
    forSegments(d, (...s) => {
      if (nearest([s[0], s[1], s[2], s[3], s[4]], wx, wy).distance <= reach) {
        close.push(s);
      }
    });
    if (from) {
      feet(d, from).forEach(([kind, x, y]) => add(kind, x, y));
    }
  }
  crossings(close.slice(0, MOST_CROSSED)).forEach(([x, y]) => add('crossing', x, y));
  points.forEach(([x, y]) => add('point', x, y));
  onGuides(guides, close, wx, wy, add);
  if (!places.length && close.length) {
    const p = nearest([close[0][0], close[0][1], close[0][2], close[0][3], close[0][4]], wx, wy);
    add('on the line', p.x, p.y);
  }
  if (!places.length && grid) {
    const step = gridStep(view);
    add('grid', Math.round(wx / step) * step, Math.round(wy / step) * step);
  }
  places.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || a.distance - b.distance);
  return places[0] ?? null;
}

/** 1, 2 or 5 times a power of ten, at least 14 pixels. */
export function gridStep(view) {
  const least = 14 / view.k;
  const power = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((n) => n * power).find((s) => s >= least);
}

/** Where a line from a place meets a path squarely or touches its arcs. */
function feet(d, {x, y}) {
  const found = [];
  forSegments(d, (x0, y0, x1, y1, b) => {
    if (b === 0) {
      const dx = x1 - x0;
      const dy = y1 - y0;
      const t = ((x - x0) * dx + (y - y0) * dy) / (dx * dx + dy * dy || 1);
      if (t > 0 && t < 1) {
        found.push(['perpendicular', x0 + t * dx, y0 + t * dy]);
      }
      return;
    }
    const a = arc(x0, y0, x1, y1, b);
    const distance = Math.hypot(x - a.cx, y - a.cy);
    const toward = Math.atan2(y - a.cy, x - a.cx);
    for (const angle of [toward, toward + Math.PI]) {
      found.push(['perpendicular', a.cx + a.r * Math.cos(angle), a.cy + a.r * Math.sin(angle)]);
    }
    if (distance > a.r) {
      const off = Math.acos(a.r / distance);
      for (const angle of [toward + off, toward - off]) {
        found.push(['tangent', a.cx + a.r * Math.cos(angle), a.cy + a.r * Math.sin(angle)]);
      }
    }
  });
  return found;
}

function crossings(segments) {
  const found = [];
  for (let i = 0; i < segments.length; i++) {
    for (let j = i + 1; j < segments.length; j++) {
      found.push(...meet(segments[i], segments[j]));
    }
  }
  return found;
}

/** Common places of two lines, a line and a circle, or two circles. */
function meet(s, t) {
  if (s[4] === 0 && t[4] === 0) {
    return linesMeet(s[0], s[1], s[2] - s[0], s[3] - s[1], t[0], t[1], t[2] - t[0], t[3] - t[1]);
  }
  if (s[4] !== 0 && t[4] !== 0) {
    return circlesMeet(arc(...s), arc(...t));
  }
  const [line, round] = s[4] === 0 ? [s, arc(...t)] : [t, arc(...s)];
  return lineMeets(line[0], line[1], line[2] - line[0], line[3] - line[1], round);
}

function linesMeet(ax, ay, adx, ady, bx, by, bdx, bdy) {
  const cross = adx * bdy - ady * bdx;
  if (Math.abs(cross) < 1e-12) {
    return [];
  }
  const t = ((bx - ax) * bdy - (by - ay) * bdx) / cross;
  return [[ax + t * adx, ay + t * ady]];
}

function lineMeets(x, y, dx, dy, {cx, cy, r}) {
  const l = Math.hypot(dx, dy) || 1;
  const along = ((cx - x) * dx + (cy - y) * dy) / l;
  const fx = x + along * dx / l;
  const fy = y + along * dy / l;
  const rest = r * r - (fx - cx) ** 2 - (fy - cy) ** 2;
  if (rest < 0) {
    return [];
  }
  const h = Math.sqrt(rest);
  return [[fx + h * dx / l, fy + h * dy / l], [fx - h * dx / l, fy - h * dy / l]];
}

function circlesMeet(a, b) {
  const dx = b.cx - a.cx;
  const dy = b.cy - a.cy;
  const d = Math.hypot(dx, dy);
  const along = (d * d + a.r * a.r - b.r * b.r) / (2 * d || 1);
  const rest = a.r * a.r - along * along;
  if (d === 0 || rest < 0) {
    return [];
  }
  const h = Math.sqrt(rest);
  const fx = a.cx + along * dx / d;
  const fy = a.cy + along * dy / d;
  return [[fx - h * dy / d, fy + h * dx / d], [fx + h * dy / d, fy - h * dx / d]];
}

/** Guides are [x, y, angle]. */
function onGuides(guides, close, wx, wy, add) {
  guides.forEach(([x, y, angle], i) => {
    const dx = Math.cos(angle);
    const dy = Math.sin(angle);
    const along = (wx - x) * dx + (wy - y) * dy;
    add('on the guide', x + along * dx, y + along * dy);
    guides.slice(i + 1).forEach(([ox, oy, other]) =>
        linesMeet(x, y, dx, dy, ox, oy, Math.cos(other), Math.sin(other)).forEach(([px, py]) => add('crossing of guides', px, py)));
    close.forEach((s) => (s[4] === 0 ? linesMeet(x, y, dx, dy, s[0], s[1], s[2] - s[0], s[3] - s[1]) : lineMeets(x, y, dx, dy, arc(...s)))
        .forEach(([px, py]) => add('crossing of guides', px, py)));
  });
}
