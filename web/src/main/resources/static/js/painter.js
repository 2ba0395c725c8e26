import {forSegments, length, pointOf, segmentLength, trace} from './paths.js';
import {paintRulers, RULER} from './rulers.js';

// Draws what does not move: stock, material, paths and marks. Line widths are in pixels.

const TICK_EVERY = 9;
const TICK = 5;
const SHORTEST_WITH_TICKS = 26;
const MOST_NUMBERS = 500;

/** The colours of the present theme, from the variables of the style sheet. */
export function readColours() {
  const style = getComputedStyle(document.documentElement);
  const names = ['ink', 'ink-soft', 'paper', 'card', 'line', 'line-strong', 'leaf', 'leaf-deep', 'rose', 'rose-pale',
    'sea', 'amber', 'amber-pale', 'table-ground', 'stock', 'kept', 'hatch', 'travel', 'ruler'];
  const colours = {};
  for (const name of names) {
    colours[name.replace(/-(\w)/g, (m, c) => c.toUpperCase())] = style.getPropertyValue('--' + name).trim();
  }
  return colours;
}

export class Painter {
  constructor(ctx, view, ratio, colours) {
    this.ctx = ctx;
    this.view = view;
    this.ratio = ratio;
    this.c = colours;
  }

  paint(scene) {
    this.screen();
    this.ctx.fillStyle = this.c.tableGround;
    this.ctx.fillRect(0, 0, this.view.width, this.view.height);
    if (scene) {
      if (scene.stage === 'shape') {
        this.#shape(scene);
      } else {
        this.#sheet(scene);
      }
      this.#axes(scene.stage === 'shape' ? scene.box : scene.stock);
    }
    this.screen();
    paintRulers(this.ctx, this.view, this.c);
  }

  world() {
    const {k, ox, oy} = this.view;
    this.ctx.setTransform(k * this.ratio, 0, 0, -k * this.ratio, ox * this.ratio, oy * this.ratio);
  }

  screen() {
    this.ctx.setTransform(this.ratio, 0, 0, this.ratio, 0, 0);
  }

  stroke(path, colour, width, dash = []) {
    this.world();
    this.ctx.strokeStyle = colour;
    this.ctx.lineWidth = width / this.view.k;
    this.ctx.setLineDash(dash.map((n) => n / this.view.k));
    this.ctx.stroke(path);
    this.ctx.setLineDash([]);
  }

  #shape(scene) {
    this.world();
    this.ctx.fillStyle = this.c.kept;
    this.ctx.fill(scene.keptPath, 'evenodd');
    const ticks = new Path2D();
    for (const f of scene.features) {
      const path = trace(new Path2D(), f.d);
      if (f.purpose === 'mark') {
        this.stroke(path, this.c.sea, 1.3, [7, 3, 2, 3]);
      } else if (f.purpose === 'ignore') {
        this.stroke(path, this.c.lineStrong, 1, [2, 3]);
      } else if (f.purpose === 'fold') {
        this.stroke(path, this.c.inkSoft, 1.2, [12, 4]);
      } else if (!f.closed) {
        this.stroke(path, this.c.rose, 1.8, [5, 4]);
        this.#ends(f.d);
      } else {
        this.stroke(path, this.c.rose, 1.5);
        this.#ticks(ticks, f.d, f.box, f.kind === 'opening' ? 1 : -1);
      }
    }
    this.stroke(ticks, this.c.rose, 0.8);
  }

  /** Open ends: small squares, so that they are found without colour. */
  #ends(d) {
    this.screen();
    this.ctx.fillStyle = this.c.rose;
    for (const [x, y] of [[d[0], d[1]], [d[d.length - 3], d[d.length - 2]]]) {
      const [sx, sy] = this.view.toScreen(x, y);
      this.ctx.fillRect(sx - 3.5, sy - 3.5, 7, 7);
    }
  }

  #sheet(scene) {
    if (!scene.stock) {
      return;
    }
    this.#stock(scene.stock);
    this.world();
    this.ctx.fillStyle = this.c.kept;
    this.ctx.fill(scene.keptPath, 'evenodd');
    this.stroke(scene.keptPath, this.c.leaf, 0.7);
    const replay = scene.stage === 'proof' || scene.stage === 'release';
    this.ctx.globalAlpha = replay ? 0.45 : 1;
    this.stroke(scene.travelPath, this.c.travel, 1, [1.5, 3]);
    this.stroke(scene.mainPath, this.c.rose, 1.4);
    this.stroke(scene.markPath, this.c.sea, 1.2, [7, 3, 2, 3]);
    this.stroke(scene.leadPath, this.c.sea, 1.4);
    if (scene.stage !== 'sheet') {
      this.#ticksOfStops(scene);
      this.#startMarks(scene);
    }
    this.ctx.globalAlpha = 1;
  }

  #stock([left, bottom, right, top]) {
    const [x0, y0] = this.view.toScreen(left, top);
    const [x1, y1] = this.view.toScreen(right, bottom);
    this.screen();
    this.ctx.save();
    this.ctx.beginPath();
    this.ctx.rect(x0, y0, x1 - x0, y1 - y0);
    this.ctx.fillStyle = this.c.stock;
    this.ctx.fill();
    this.ctx.clip();
    this.ctx.beginPath();
    const from = Math.max(x0, 0);
    const to = Math.min(x1, this.view.width);
    const high = Math.max(y0, 0);
    const low = Math.min(y1, this.view.height);
    for (let s = Math.floor((from + high) / 14) * 14; s < to + low; s += 14) {
      this.ctx.moveTo(s - high, high);
      this.ctx.lineTo(s - low, low);
    }
    this.ctx.strokeStyle = this.c.hatch;
    this.ctx.lineWidth = 0.8;
    this.ctx.stroke();
    this.ctx.restore();
    this.ctx.strokeStyle = this.c.lineStrong;
    this.ctx.lineWidth = 1;
    this.ctx.strokeRect(x0, y0, x1 - x0, y1 - y0);
  }

  #ticksOfStops(scene) {
    const ticks = new Path2D();
    for (const stop of scene.stops) {
      if (stop.scrap && stop.box) {
        this.#ticks(ticks, stop.main, stop.box, stop.scrap);
      }
    }
    this.stroke(ticks, this.c.rose, 0.8);
  }

  /** Short ticks along a contour that point to the scrap (side 1: left of the travel). */
  #ticks(path, d, box, side) {
    if (!this.view.isVisible(box) || length(d) * this.view.k < SHORTEST_WITH_TICKS) {
      return;
    }
    const every = TICK_EVERY / this.view.k;
    const reach = side * TICK / this.view.k;
    let next = every / 2;
    forSegments(d, (x0, y0, x1, y1, b) => {
      const l = segmentLength(x0, y0, x1, y1, b);
      for (; next < l; next += every) {
        const p = pointOf(x0, y0, x1, y1, b, next / l);
        path.moveTo(p.x, p.y);
        path.lineTo(p.x - p.dy * reach, p.y + p.dx * reach);
      }
      next -= l;
    });
  }

  /** Pierce rings, arrow heads where leads join, order numbers. */
  #startMarks(scene) {
    const visible = scene.stops.filter((s) => s.box && this.view.isVisible(s.box));
    this.screen();
    this.ctx.font = '600 11px Commissioner, sans-serif';
    this.ctx.textBaseline = 'middle';
    for (const stop of visible) {
      const start = stop.in.length ? stop.in : stop.main;
      const [sx, sy] = this.view.toScreen(start[0], start[1]);
      const size = Math.max(stop.box[2] - stop.box[0], stop.box[3] - stop.box[1]) * this.view.k;
      if (size > 7) {
        this.ctx.beginPath();
        this.ctx.arc(sx, sy, size > 22 ? 3.4 : 2, 0, 2 * Math.PI);
        this.ctx.fillStyle = this.c.card;
        this.ctx.fill();
        this.ctx.strokeStyle = this.c.ink;
        this.ctx.lineWidth = 1.2;
        this.ctx.stroke();
      }
      if (stop.in.length && length(stop.in) * this.view.k > 12) {
        this.#arrow(stop.in);
      }
      if (visible.length < MOST_NUMBERS && size > 26) {
        this.#number(stop, sx, sy);
      }
    }
  }

  #arrow(d) {
    const at = d.length - 5;
    const [x0, y0] = at === 0 ? [d[0], d[1]] : [d[at - 1], d[at]];
    const end = pointOf(at === 0 ? d[0] : x0, at === 0 ? d[1] : y0, d[d.length - 3], d[d.length - 2], d[d.length - 1], 1);
    const [sx, sy] = this.view.toScreen(end.x, end.y);
    const dx = end.dx;
    const dy = -end.dy;
    this.ctx.beginPath();
    this.ctx.moveTo(sx, sy);
    this.ctx.lineTo(sx - 7 * dx - 3 * dy, sy - 7 * dy + 3 * dx);
    this.ctx.lineTo(sx - 7 * dx + 3 * dy, sy - 7 * dy - 3 * dx);
    this.ctx.closePath();
    this.ctx.fillStyle = this.c.sea;
    this.ctx.fill();
  }

  #number(stop, sx, sy) {
    const text = String(stop.number);
    this.ctx.lineWidth = 3;
    this.ctx.strokeStyle = this.c.card;
    this.ctx.strokeText(text, sx + 6, sy - 7);
    this.ctx.fillStyle = this.c.ink;
    this.ctx.fillText(text, sx + 6, sy - 7);
  }

  /** The zero point and its axes. */
  #axes(near) {
    if (!near) {
      return;
    }
    const [sx, sy] = this.view.toScreen(0, 0);
    if (sx < -40 || sy < -40 || sx > this.view.width + 40 || sy > this.view.height + 40) {
      return;
    }
    this.screen();
    const ctx = this.ctx;
    ctx.strokeStyle = this.c.ink;
    ctx.fillStyle = this.c.card;
    ctx.lineWidth = 1.6;
    ctx.beginPath();
    ctx.moveTo(sx + 34, sy);
    ctx.lineTo(sx, sy);
    ctx.lineTo(sx, sy - 34);
    ctx.moveTo(sx + 28, sy - 4);
    ctx.lineTo(sx + 34, sy);
    ctx.lineTo(sx + 28, sy + 4);
    ctx.moveTo(sx - 4, sy - 28);
    ctx.lineTo(sx, sy - 34);
    ctx.lineTo(sx + 4, sy - 28);
    ctx.stroke();
    ctx.beginPath();
    ctx.arc(sx, sy, 3.6, 0, 2 * Math.PI);
    ctx.fill();
    ctx.stroke();
  }
}

export {RULER};
