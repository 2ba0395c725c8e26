import {nearest, pointOf, segmentLength, traceSegment} from './paths.js';
import {Trace} from './trace.js';

// The replay: a moment in machine time, and where the machine is then. Any moment is reached by
// binary search; speeds within a move follow its trapezoid, as the server computed them.

const [KIND, X, Y, BULGE, END, STOP, ENTRY, PEAK, EXIT, ACCELERATION] = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

export class Player extends EventTarget {
  #order = [];
  #frame = 0;

  constructor(table) {
    super();
    this.table = table;
    this.rows = [];
    this.moment = 0;
    this.index = 0;
    this.speed = 1;
    this.playing = false;
    this.direction = 1;
    this.loops = false;
    this.follows = false;
    this.trace = new Trace(table);
    table.overlays.push((ctx, painter) => this.#paint(ctx, painter));
    table.addEventListener('viewpainted', () => this.trace.again());
  }

  load(scene, replay) {
    this.rows = replay.motion;
    this.stops = scene.stops;
    this.halts = replay.halts;
    this.startX = new Float64Array(this.rows.length);
    this.startY = new Float64Array(this.rows.length);
    let x = 0;
    let y = 0;
    this.rows.forEach((row, i) => {
      this.startX[i] = x;
      this.startY[i] = y;
      if (row[KIND] === 2) {
        row[X] = x;
        row[Y] = y;
      }
      x = row[X];
      y = row[Y];
    });
    this.moment = Math.max(0, Math.min(this.total, this.moment));
    this.index = this.itemAt(this.moment);
    this.#order = this.#stopsInOrder();
    this.trace.load(this, replay.pieces);
    this.dispatchEvent(new Event('loaded'));
    this.seek(this.moment);
  }

  get total() {
    return this.rows.length ? this.rows[this.rows.length - 1][END] : 0;
  }

  begins(i) {
    return i === 0 ? 0 : this.rows[i - 1][END];
  }

  /** Position of the first item that is not over at a moment. */
  itemAt(moment) {
    let low = 0;
    let high = this.rows.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.rows[middle][END] < moment) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return Math.max(0, low);
  }

  seek(moment) {
    this.moment = Math.max(0, Math.min(this.total, moment));
    this.#arrive(this.itemAt(this.moment));
  }

  /** Goes to the end of an item. */
  seekItem(i) {
    if (this.rows[i]) {
      this.moment = this.rows[i][END];
      this.#arrive(i);
    }
  }

  #arrive(i) {
    this.index = i;
    this.trace.upTo(i);
    if (this.follows && this.playing) {
      this.#follow();
    }
    this.table.refreshTop();
    this.dispatchEvent(new Event('moment'));
  }

  /** By motions: items that take time or move. */
  stepItem(by) {
    let i = this.index + by;
    while (this.rows[i] && this.rows[i][END] === this.begins(i)) {
      i += by;
    }
    if (i < 0) {
      this.seek(0);
    } else {
      this.seekItem(Math.min(i, this.rows.length - 1));
    }
  }

  stepStop(by) {
    const current = this.rows[this.index]?.[STOP] ?? -1;
    const at = this.#order.findIndex((s) => s.stop === current);
    const within = by < 0 && at >= 0 && this.moment > this.#order[at].begins + 1e-9;
    const wanted = this.#order[Math.max(0, within ? at : at + by)];
    this.seek(wanted ? wanted.begins : this.total);
  }

  #stopsInOrder() {
    const seen = new Set();
    const order = [];
    this.rows.forEach((row, i) => {
      if (row[STOP] >= 0 && !seen.has(row[STOP])) {
        seen.add(row[STOP]);
        order.push({stop: row[STOP], begins: this.begins(i)});
      }
    });
    return order;
  }

  /** To the next place where the program stops for people, or back to the one before. */
  stepHalt(by) {
    const next = by > 0 ? this.halts.find((i) => this.begins(i) > this.moment + 1e-6)
        : this.halts.filter((i) => this.begins(i) < this.moment - 1e-6).at(-1);
    if (next === undefined) {
      this.seek(by > 0 ? this.total : 0);
    } else {
      // the wait itself, not the move that ends where it begins
      this.moment = this.begins(next);
      this.#arrive(next);
    }
  }

  seekStop(id) {
    const i = this.rows.findIndex((r) => r[STOP] >= 0 && this.stops[r[STOP]].id === id);
    if (i >= 0) {
      this.seek(this.begins(i));
    }
  }

  /** Goes to the motion of a stop that passes nearest to a place, which lights its line of the program. */
  seekNear(id, {x, y}) {
    let found = -1;
    let least = Infinity;
    this.rows.forEach((row, i) => {
      if (row[KIND] === 1 && row[STOP] >= 0 && this.stops[row[STOP]].id === id) {
        const away = nearest([this.startX[i], this.startY[i], row[X], row[Y], row[BULGE]], x, y).distance;
        if (away < least) {
          least = away;
          found = i;
        }
      }
    });
    if (found >= 0) {
      this.seekItem(found);
    }
  }

  get stopId() {
    const stop = this.rows[this.index]?.[STOP] ?? -1;
    return stop >= 0 ? this.stops[stop].id : null;
  }

  /** Plays in a direction, or pauses when it plays that way already. */
  toggle(direction = 1) {
    this.playing = this.rows.length > 0 && !(this.playing && this.direction === direction);
    this.direction = direction;
    if (this.playing) {
      const over = direction > 0 ? this.moment >= this.total : this.moment <= 0;
      if (over) {
        this.seek(direction > 0 ? 0 : this.total);
      }
      this.last = performance.now();
      this.#schedule();
    }
    this.dispatchEvent(new Event('moment'));
  }

  #schedule() {
    cancelAnimationFrame(this.#frame);
    this.#frame = requestAnimationFrame((now) => this.#tick(now));
  }

  #tick(now) {
    if (!this.playing) {
      return;
    }
    const by = Math.min(0.25, Math.max(0, now - this.last) / 1000) * this.speed * this.direction;
    this.last = now;
    let next = this.moment + by;
    const over = this.direction > 0 ? next >= this.total : next <= 0;
    if (over) {
      this.playing = this.loops && this.total > 0;
      next = this.loops ? (this.direction > 0 ? 0 : this.total) : next;
    }
    this.seek(next);
    if (this.playing) {
      this.#schedule();
    }
  }

  /** Keeps the head in the middle half of the table. */
  #follow() {
    const at = this.position();
    const {view} = this.table;
    if (!at) {
      return;
    }
    const [sx, sy] = view.toScreen(at.x, at.y);
    const away = Math.abs(sx - view.width / 2) > view.width / 4 || Math.abs(sy - view.height / 2) > view.height / 4;
    if (away) {
      view.centre(at.x, at.y);
      this.table.moved();
    }
  }

  /** Where the head is now. */
  position() {
    const row = this.rows[this.index];
    if (!row) {
      return null;
    }
    return pointOf(this.startX[this.index], this.startY[this.index], row[X], row[Y], row[BULGE], this.#share(row));
  }

  /** x and y of it. */
  get place() {
    const at = this.position();
    return at && [at.x, at.y];
  }

  #share(row) {
    const length = segmentLength(this.startX[this.index], this.startY[this.index], row[X], row[Y], row[BULGE]);
    const t = this.moment - this.begins(this.index);
    const all = row[END] - this.begins(this.index);
    if (length === 0 || all <= 0 || t >= all) {
      return 1;
    }
    const up = (row[PEAK] - row[ENTRY]) / row[ACCELERATION];
    const down = (row[PEAK] - row[EXIT]) / row[ACCELERATION];
    if (t <= up) {
      return (row[ENTRY] * t + row[ACCELERATION] * t * t / 2) / length;
    }
    if (t >= all - down) {
      const left = all - t;
      return (length - row[EXIT] * left - row[ACCELERATION] * left * left / 2) / length;
    }
    const risen = (row[PEAK] ** 2 - row[ENTRY] ** 2) / (2 * row[ACCELERATION]);
    return (risen + row[PEAK] * (t - up)) / length;
  }

  #paint(ctx, painter) {
    const row = this.rows[this.index];
    const at = this.position();
    if (!row || !at) {
      return;
    }
    if (row[KIND] !== 2) {
      const lit = new Path2D();
      lit.moveTo(this.startX[this.index], this.startY[this.index]);
      traceSegment(lit, this.startX[this.index], this.startY[this.index], row[X], row[Y], row[BULGE]);
      painter.stroke(lit, this.table.colours.amber, 4);
    }
    painter.screen();
    const [sx, sy] = this.table.view.toScreen(at.x, at.y);
    ctx.beginPath();
    ctx.arc(sx, sy, 6, 0, 2 * Math.PI);
    ctx.fillStyle = row[KIND] === 1 ? this.table.colours.rose : this.table.colours.card;
    ctx.fill();
    ctx.strokeStyle = this.table.colours.ink;
    ctx.lineWidth = 1.6;
    ctx.stroke();
    ctx.beginPath();
    for (const [dx, dy] of [[1, 0], [-1, 0], [0, 1], [0, -1]]) {
      ctx.moveTo(sx + 6 * dx, sy + 6 * dy);
      ctx.lineTo(sx + 13 * dx, sy + 13 * dy);
    }
    ctx.stroke();
  }
}
