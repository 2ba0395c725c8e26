// Bodies on a sheet: parts with half their gap round them, so that those which do not overlap keep it. Tells at once where
// a part that is dragged has room; the server, which knows the true arcs, decides where it is laid.

const TURN = Math.PI * (3 - Math.sqrt(5));
const DIRECTIONS = 16;
const FINE = 0.05;
const EDGE = 1e-3;

/** Edges of one body that have a box of their own. */
const GROUP = 8;

export class Bodies {

  /** @param data room as a box, fixed and parts as lists of loops of corners */
  constructor({room, fixed, parts}) {
    this.room = room;
    this.fixed = fixed.map((loops) => new Body(loops));
    this.parts = parts.map((loops) => new Body(loops));
  }

  /** Whether a part lies free when it is moved so far. */
  free(part, dx, dy) {
    const own = this.parts[part];
    const [x0, y0, x1, y1] = this.room;
    if (own.box[0] + dx < x0 - EDGE || own.box[1] + dy < y0 - EDGE || own.box[2] + dx > x1 + EDGE || own.box[3] + dy > y1 + EDGE) {
      return false;
    }
    return this.parts.every((other, i) => i === part || !own.overlaps(other, dx, dy)) && this.fixed.every((other) => !own.overlaps(other, dx, dy));
  }

  /**
   * The nearest free place to where a part is wished.
   *
   * @param last a free place, from which it goes as near as it can when none is found in time
   * @param most ms
   * @return dx and dy; last when there is none nearer
   */
  nearest(part, wish, last, most) {
    if (this.free(part, ...wish)) {
      return wish;
    }
    const end = performance.now() + most;
    const start = this.#around(part, wish, (performance.now() + end) / 2) ?? last;
    let best = start;
    for (let step = Math.hypot(wish[0] - start[0], wish[1] - start[1]) / 4; step >= FINE && performance.now() < end;) {
      const nearer = this.#step(part, best, wish, step);
      step /= nearer ? 1 : 2;
      best = nearer ?? best;
    }
    return best;
  }

  /** The first free place on a spiral, within the size of the part. */
  #around(part, wish, end) {
    const {size} = this.parts[part];
    for (let i = 1, r = 0; r < size && (i % 16 || performance.now() < end); i++) {
      r = size * i / 1500;
      const place = [wish[0] + r * Math.cos(TURN * i), wish[1] + r * Math.sin(TURN * i)];
      if (this.free(part, ...place)) {
        return place;
      }
    }
    return null;
  }

  /** A free place one step away that is nearer to the wish, straight towards it if that goes. */
  #step(part, [x, y], wish, step) {
    const [ex, ey] = [wish[0] - x, wish[1] - y];
    const left = Math.hypot(ex, ey);
    const towards = Math.atan2(ey, ex);
    for (let i = 0; i <= DIRECTIONS / 2; i++) {
      for (const side of i ? [-1, 1] : [1]) {
        const angle = towards + side * i * Math.PI / DIRECTIONS;
        const far = Math.min(step, left);
        const place = [x + far * Math.cos(angle), y + far * Math.sin(angle)];
        if (Math.hypot(wish[0] - place[0], wish[1] - place[1]) < left - 1e-9 && this.free(part, ...place)) {
          return place;
        }
      }
    }
    return null;
  }
}

/** Closed loops of corners; even and odd tell inside from outside. */
class Body {
  constructor(loops) {
    this.groups = loops.flatMap((loop) => [...groups(loop)]);
    this.box = this.groups.reduce(([a, b, c, d], {box}) => [Math.min(a, box[0]), Math.min(b, box[1]), Math.max(c, box[2]), Math.max(d, box[3])],
        [Infinity, Infinity, -Infinity, -Infinity]);
    this.size = Math.hypot(this.box[2] - this.box[0], this.box[3] - this.box[1]);
    this.first = [loops[0][0], loops[0][1]];
  }

  /** Whether it overlaps another one when it is moved so far. */
  overlaps(other, dx, dy) {
    if (!meet(this.box, other.box, dx, dy)) {
      return false;
    }
    const [x, y] = this.first;
    return this.groups.some((g) => meet(g.box, other.box, dx, dy) && other.groups.some((h) => meet(g.box, h.box, dx, dy) && cross(g.edges, h.edges, dx, dy)))
        || other.holds(x + dx, y + dy) || this.holds(other.first[0] - dx, other.first[1] - dy);
  }

  holds(x, y) {
    let inside = false;
    for (const {edges, box} of this.groups) {
      if (box[1] > y || box[3] < y || box[2] < x) {
        continue;
      }
      for (let i = 0; i < edges.length; i += 4) {
        const [x0, y0, x1, y1] = [edges[i], edges[i + 1], edges[i + 2], edges[i + 3]];
        if (y0 > y !== y1 > y && x < x0 + (y - y0) * (x1 - x0) / (y1 - y0)) {
          inside = !inside;
        }
      }
    }
    return inside;
  }
}

/** Edges of a loop, a few at a time, each few with their box. */
function* groups(loop) {
  const n = loop.length / 2;
  for (let from = 0; from < n; from += GROUP) {
    const to = Math.min(n, from + GROUP);
    const edges = new Float64Array(4 * (to - from));
    const box = [Infinity, Infinity, -Infinity, -Infinity];
    for (let i = from; i < to; i++) {
      const j = (i + 1) % n;
      edges.set([loop[2 * i], loop[2 * i + 1], loop[2 * j], loop[2 * j + 1]], 4 * (i - from));
      box[0] = Math.min(box[0], loop[2 * i], loop[2 * j]);
      box[1] = Math.min(box[1], loop[2 * i + 1], loop[2 * j + 1]);
      box[2] = Math.max(box[2], loop[2 * i], loop[2 * j]);
      box[3] = Math.max(box[3], loop[2 * i + 1], loop[2 * j + 1]);
    }
    yield {edges, box};
  }
}

function meet(a, b, dx, dy) {
  return a[0] + dx < b[2] && a[2] + dx > b[0] && a[1] + dy < b[3] && a[3] + dy > b[1];
}

function cross(a, b, dx, dy) {
  for (let i = 0; i < a.length; i += 4) {
    const [ax, ay, bx, by] = [a[i] + dx, a[i + 1] + dy, a[i + 2] + dx, a[i + 3] + dy];
    for (let j = 0; j < b.length; j += 4) {
      if (side(ax, ay, bx, by, b[j], b[j + 1]) !== side(ax, ay, bx, by, b[j + 2], b[j + 3])
          && side(b[j], b[j + 1], b[j + 2], b[j + 3], ax, ay) !== side(b[j], b[j + 1], b[j + 2], b[j + 3], bx, by)) {
        return true;
      }
    }
  }
  return false;
}

function side(ax, ay, bx, by, px, py) {
  return (bx - ax) * (py - ay) > (by - ay) * (px - ax);
}
