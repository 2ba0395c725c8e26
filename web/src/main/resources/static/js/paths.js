// Flat paths: [x, y of the start, then x, y, bulge of each segment]. bulge = tan(sweep / 4).

/** Calls back with (x0, y0, x1, y1, bulge) for every segment. */
export function forSegments(d, visit) {
  for (let i = 2; i < d.length; i += 3) {
    visit(d[i === 2 ? 0 : i - 3], d[i === 2 ? 1 : i - 2], d[i], d[i + 1], d[i + 2]);
  }
}

/** Centre, radius, start angle and signed sweep of an arc. */
export function arc(x0, y0, x1, y1, bulge) {
  const left = (1 - bulge * bulge) / (4 * bulge);
  const cx = (x0 + x1) / 2 - left * (y1 - y0);
  const cy = (y0 + y1) / 2 + left * (x1 - x0);
  return {cx, cy, r: Math.hypot(x0 - cx, y0 - cy), from: Math.atan2(y0 - cy, x0 - cx), sweep: 4 * Math.atan(bulge)};
}

/** Adds one segment to a path whose pen is at its start. */
export function traceSegment(path, x0, y0, x1, y1, bulge) {
  if (bulge === 0) {
    path.lineTo(x1, y1);
  } else {
    const a = arc(x0, y0, x1, y1, bulge);
    path.arc(a.cx, a.cy, a.r, a.from, a.from + a.sweep, a.sweep < 0);
  }
}

export function trace(path, d) {
  if (d.length) {
    path.moveTo(d[0], d[1]);
    forSegments(d, (x0, y0, x1, y1, b) => traceSegment(path, x0, y0, x1, y1, b));
  }
  return path;
}

export function segmentLength(x0, y0, x1, y1, bulge) {
  if (bulge === 0) {
    return Math.hypot(x1 - x0, y1 - y0);
  }
  const a = arc(x0, y0, x1, y1, bulge);
  return a.r * Math.abs(a.sweep);
}

/** Point and direction at a share (0 to 1) of a segment. */
export function pointOf(x0, y0, x1, y1, bulge, share) {
  if (bulge === 0) {
    const l = Math.hypot(x1 - x0, y1 - y0) || 1;
    return {x: x0 + (x1 - x0) * share, y: y0 + (y1 - y0) * share, dx: (x1 - x0) / l, dy: (y1 - y0) / l};
  }
  const a = arc(x0, y0, x1, y1, bulge);
  const angle = a.from + a.sweep * share;
  const turn = Math.sign(a.sweep);
  return {x: a.cx + a.r * Math.cos(angle), y: a.cy + a.r * Math.sin(angle), dx: -turn * Math.sin(angle), dy: turn * Math.cos(angle)};
}

export function length(d) {
  let sum = 0;
  forSegments(d, (...s) => {
    sum += segmentLength(...s);
  });
  return sum;
}

/** Point and direction at a distance along a path. */
export function placeAt(d, along) {
  let left = along;
  let found = null;
  forSegments(d, (x0, y0, x1, y1, b) => {
    const l = segmentLength(x0, y0, x1, y1, b);
    if (!found && (left <= l || d[d.length - 3] === x1 && d[d.length - 2] === y1)) {
      found = pointOf(x0, y0, x1, y1, b, Math.min(1, left / (l || 1)));
    }
    left -= l;
  });
  return found;
}

/** The stretch of a path between two distances along it. */
export function between(d, from, to) {
  const out = [];
  let before = 0;
  forSegments(d, (x0, y0, x1, y1, b) => {
    const l = segmentLength(x0, y0, x1, y1, b);
    const a = Math.max(0, (from - before) / l);
    const z = Math.min(1, (to - before) / l);
    if (a < z) {
      const p = pointOf(x0, y0, x1, y1, b, a);
      const q = pointOf(x0, y0, x1, y1, b, z);
      if (!out.length) {
        out.push(p.x, p.y);
      }
      out.push(q.x, q.y, b && Math.tan(Math.atan(b) * (z - a)));
    }
    before += l;
  });
  return out;
}

/** Enclosed area, exact for arcs. */
export function area(d) {
  let double = 0;
  forSegments(d, (x0, y0, x1, y1, b) => {
    double += (x0 - d[0]) * (y1 - d[1]) - (x1 - d[0]) * (y0 - d[1]);
    if (b !== 0) {
      const a = arc(x0, y0, x1, y1, b);
      double += a.r * a.r * (a.sweep - Math.sin(a.sweep));
    }
  });
  return Math.abs(double) / 2;
}

/** Nearest place: distance along the path, number of its segment from 0, point, and how far away it is. */
export function nearest(d, px, py) {
  let best = {along: 0, index: 0, x: d[0], y: d[1], distance: Infinity};
  let before = 0;
  let index = 0;
  forSegments(d, (x0, y0, x1, y1, b) => {
    const l = segmentLength(x0, y0, x1, y1, b);
    const share = nearestShare(x0, y0, x1, y1, b, px, py);
    const p = pointOf(x0, y0, x1, y1, b, share);
    const distance = Math.hypot(p.x - px, p.y - py);
    if (distance < best.distance) {
      best = {along: before + share * l, index, x: p.x, y: p.y, dx: p.dx, dy: p.dy, distance};
    }
    before += l;
    index++;
  });
  return best;
}

function nearestShare(x0, y0, x1, y1, b, px, py) {
  if (b === 0) {
    const dx = x1 - x0;
    const dy = y1 - y0;
    const t = ((px - x0) * dx + (py - y0) * dy) / (dx * dx + dy * dy || 1);
    return Math.max(0, Math.min(1, t));
  }
  const a = arc(x0, y0, x1, y1, b);
  let ahead = (Math.atan2(py - a.cy, px - a.cx) - a.from) * Math.sign(a.sweep);
  ahead = ((ahead % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  const whole = Math.abs(a.sweep);
  if (ahead <= whole) {
    return ahead / whole;
  }
  return ahead - whole < (2 * Math.PI - whole) / 2 ? 1 : 0;
}

/** [left, bottom, right, top]; arcs by their quadrants. */
export function box(d) {
  const found = [Infinity, Infinity, -Infinity, -Infinity];
  const take = (x, y) => {
    found[0] = Math.min(found[0], x);
    found[1] = Math.min(found[1], y);
    found[2] = Math.max(found[2], x);
    found[3] = Math.max(found[3], y);
  };
  if (d.length) {
    take(d[0], d[1]);
  }
  forSegments(d, (x0, y0, x1, y1, b) => {
    take(x1, y1);
    if (b !== 0) {
      const a = arc(x0, y0, x1, y1, b);
      for (let q = 0; q < 4; q++) {
        const angle = q * Math.PI / 2;
        const ahead = (((angle - a.from) * Math.sign(a.sweep)) % (2 * Math.PI) + 2 * Math.PI) % (2 * Math.PI);
        if (ahead < Math.abs(a.sweep)) {
          take(a.cx + a.r * Math.cos(angle), a.cy + a.r * Math.sin(angle));
        }
      }
    }
  });
  return found;
}

/** Places worth snapping to, with their kind in words. */
export function snapPlaces(d) {
  const places = d.length ? [{kind: 'end', x: d[0], y: d[1]}] : [];
  forSegments(d, (x0, y0, x1, y1, b) => {
    places.push({kind: 'end', x: x1, y: y1});
    const middle = pointOf(x0, y0, x1, y1, b, 0.5);
    places.push({kind: 'middle', x: middle.x, y: middle.y});
    if (b !== 0) {
      const a = arc(x0, y0, x1, y1, b);
      places.push({kind: 'centre', x: a.cx, y: a.cy});
      for (let q = 0; q < 4; q++) {
        const ahead = (((q * Math.PI / 2 - a.from) * Math.sign(a.sweep)) % (2 * Math.PI) + 2 * Math.PI) % (2 * Math.PI);
        if (ahead <= Math.abs(a.sweep)) {
          places.push({kind: 'quadrant', x: a.cx + a.r * Math.cos(q * Math.PI / 2), y: a.cy + a.r * Math.sin(q * Math.PI / 2)});
        }
      }
    }
  });
  return places;
}

/** (x, y) through six numbers: (a x + c y + e, b x + d y + f). */
export const apply = (t, x, y) => [t[0] * x + t[2] * y + t[4], t[1] * x + t[3] * y + t[5]];

/** The same path, placed; a mirroring turns its arcs round. */
export function placed(d, t) {
  const sign = t[0] * t[3] - t[1] * t[2] < 0 ? -1 : 1;
  const out = new Array(d.length);
  for (let i = 0; i < d.length; i += i === 0 ? 2 : 3) {
    [out[i], out[i + 1]] = apply(t, d[i], d[i + 1]);
    if (i > 0) {
      out[i + 2] = sign * d[i + 2];
    }
  }
  return out;
}

/** The map back. */
export function inverse(t) {
  const det = t[0] * t[3] - t[1] * t[2];
  return [t[3] / det, -t[1] / det, -t[2] / det, t[0] / det,
    (t[2] * t[5] - t[3] * t[4]) / det, (t[1] * t[4] - t[0] * t[5]) / det];
}

/** Paths of what would be drawn and of what would go, from flat chains. */
export function ghostOf({drawn, gone}) {
  const path = (chains) => {
    const all = new Path2D();
    chains.forEach((d) => trace(all, d));
    return all;
  };
  return {drawn: path(drawn), gone: path(gone)};
}
