import {pointOf, segmentLength, traceSegment} from './paths.js';

// The replay: a moment in machine time, and where the machine is then. Any moment is reached by
// binary search; speeds within a move follow its trapezoid, as the server computed them.

const [KIND, X, Y, BULGE, END, STOP, ENTRY, PEAK, EXIT, ACCELERATION] = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

export class Player extends EventTarget {
  constructor(table) {
    super();
    this.table = table;
    this.rows = [];
    this.moment = 0;
    this.index = 0;
    this.speed = 1;
    this.playing = false;
    this.traced = -1;
    table.overlays.push((ctx, painter) => this.#paint(ctx, painter));
    table.addEventListener('viewpainted', () => this.#retrace());
  }

  load(scene) {
    this.rows = scene.motion;
    this.stops = scene.stops;
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
    this.seek(Math.min(this.moment, this.total));
    this.#retrace();
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
    this.#trace();
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
    const order = [...new Set(this.rows.map((r) => r[STOP]).filter((s) => s >= 0))];
    const at = order.indexOf(current);
    const begin = this.rows.findIndex((r) => r[STOP] === current);
    const within = by < 0 && at >= 0 && this.moment > this.begins(begin) + 1e-9;
    const wanted = order[Math.max(0, within ? at : at + by)];
    if (wanted === undefined) {
      this.seek(this.total);
    } else {
      this.seek(this.begins(this.rows.findIndex((r) => r[STOP] === wanted)));
    }
  }

  seekStop(id) {
    const i = this.rows.findIndex((r) => r[STOP] >= 0 && this.stops[r[STOP]].id === id);
    if (i >= 0) {
      this.seek(this.begins(i));
    }
  }

  get stopId() {
    const stop = this.rows[this.index]?.[STOP] ?? -1;
    return stop >= 0 ? this.stops[stop].id : null;
  }

  toggle() {
    this.playing = !this.playing && this.rows.length > 0;
    if (this.playing) {
      if (this.moment >= this.total) {
        this.seek(0);
      }
      this.last = performance.now();
      requestAnimationFrame((now) => this.#tick(now));
    }
    this.dispatchEvent(new Event('moment'));
  }

  #tick(now) {
    if (!this.playing) {
      return;
    }
    const next = this.moment + Math.min(0.25, (now - this.last) / 1000) * this.speed;
    this.last = now;
    this.playing = next < this.total;
    this.seek(next);
    if (this.playing) {
      requestAnimationFrame((later) => this.#tick(later));
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

  // ---- what was cut so far, on a layer of its own that is only added to while time goes on

  #retrace() {
    this.traced = -1;
    const layer = this.table.traceLayer;
    const ctx = layer.getContext('2d');
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.clearRect(0, 0, layer.width, layer.height);
    this.#trace();
  }

  #trace() {
    if (this.index - 1 < this.traced) {
      this.traced = -1;
      const layer = this.table.traceLayer;
      const ctx = layer.getContext('2d');
      ctx.setTransform(1, 0, 0, 1, 0, 0);
      ctx.clearRect(0, 0, layer.width, layer.height);
    }
    const path = new Path2D();
    for (let i = this.traced + 1; i < this.index; i++) {
      const row = this.rows[i];
      if (row[KIND] === 1) {
        path.moveTo(this.startX[i], this.startY[i]);
        traceSegment(path, this.startX[i], this.startY[i], row[X], row[Y], row[BULGE]);
      }
    }
    this.traced = Math.max(this.traced, this.index - 1);
    const {k, ox, oy} = this.table.view;
    const ctx = this.table.traceLayer.getContext('2d');
    const ratio = this.table.ratio;
    ctx.setTransform(k * ratio, 0, 0, -k * ratio, ox * ratio, oy * ratio);
    ctx.strokeStyle = this.table.colours.rose;
    ctx.lineWidth = 2.2 / k;
    ctx.stroke(path);
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
