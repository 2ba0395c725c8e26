import {forSegments, length, placeAt, pointOf, segmentLength, trace} from './paths.js';
import {paintRulers, RULER} from './rulers.js';
import {MOST_NAMED, ShapePainter} from './shape-painter.js';

// Draws what does not move: stock, material, paths and marks; on Shape with the help of another. Line widths are in pixels.

const TICK_EVERY = 9;
const TICK = 5;
const SHORTEST_WITH_TICKS = 26;

// Ticks of a contour at the least, and how many pixels of it ask for one more.
const FEWEST_TICKS = 3;
const PIXELS_PER_TICK = 14;

/** Thousands of cuts of few pixels are drawn as hair lines: wider ones run into each other, and take ten times as long. */
const CROWD = 1000;
const ROOM = 24;
const HAIR = 0.9;

/** The colours of the present theme, from the variables of the style sheet. */
export function readColours() {
  const style = getComputedStyle(document.documentElement);
  const names = ['ink', 'ink-soft', 'paper', 'card', 'line', 'line-strong', 'leaf', 'leaf-deep', 'leaf-pale', 'rose', 'rose-pale',
    'sea', 'amber', 'amber-pale', 'table-ground', 'stock', 'kept', 'hatch', 'travel', 'ruler', 'free', 'free-tips', 'depth'];
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
        new ShapePainter(this).paint(scene);
      } else {
        this.#sheet(scene);
      }
      this.#axes(scene.isDrawing ? scene.box : scene.stock);
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

  #sheet(scene) {
    if (scene.isDrawing) {
      this.#kept(scene);
      this.stroke(scene.drawnPath, this.c.rose, 1.4);
      return;
    }
    this.#stock(scene);
    this.#kept(scene);
    const replay = scene.stage === 'proof' || scene.stage === 'release';
    if (replay) {
      this.#slats(scene);
    }
    const fine = scene.stops.length > CROWD && scene.usualSize * this.view.k < ROOM;
    this.ctx.globalAlpha = replay ? 0.45 : 1;
    this.stroke(scene.travelPath, this.c.travel, 1, [1.5, 3]);
    this.stroke(scene.lowPath, this.c.travel, 0.8);
    if (scene.own?.paint) {
      scene.own.paint(this);
    } else {
      this.stroke(scene.mainPath, this.c.rose, fine ? HAIR : 1.4);
    }
    this.stroke(scene.markPath, this.c.sea, 1.2, [7, 3, 2, 3]);
    this.stroke(scene.leadPath, this.c.sea, fine ? HAIR : 1.4);
    if (scene.stage !== 'sheet') {
      this.#ticksOfStops(scene);
      this.#tabs(scene);
      this.#startMarks(scene);
    }
    this.ctx.globalAlpha = 1;
    this.#clamps(scene);
  }

  #kept(scene) {
    this.world();
    this.ctx.fillStyle = this.c.kept;
    this.ctx.fill(scene.keptPath, 'evenodd');
    this.stroke(scene.keptPath, this.c.leaf, 0.7);
  }

  #clamps(scene) {
    for (const [left, bottom, right, top] of scene.keepOut ?? []) {
      this.world();
      this.ctx.fillStyle = this.c.inkSoft;
      this.ctx.fillRect(left, bottom, right - left, top - bottom);
      this.screen();
      const [x, y] = this.view.toScreen((left + right) / 2, (bottom + top) / 2);
      this.ctx.fillStyle = this.c.paper;
      this.ctx.font = '600 11px Commissioner, sans-serif';
      if ((right - left) * this.view.k > 40) {
        this.ctx.fillText('clamp', x - 16, y + 4);
      }
    }
  }

  /** Where the slats lie under the sheet. */
  #slats({stock: [left, bottom, right, top], slats}) {
    const path = new Path2D();
    for (let x = Math.ceil(left / slats) * slats; slats > 0 && x <= right; x += slats) {
      path.moveTo(x, bottom);
      path.lineTo(x, top);
    }
    this.stroke(path, this.c.lineStrong, 0.8, [2, 6]);
  }

  #stock({stock: [left, bottom, right, top], outline}) {
    const [x0, y0] = this.view.toScreen(left, top);
    const [x1, y1] = this.view.toScreen(right, bottom);
    this.screen();
    this.ctx.save();
    const shape = new Path2D();
    if (outline?.length) {
      this.world();
      outline.forEach((d) => {
        trace(shape, d);
        shape.closePath();
      });
    } else {
      shape.rect(x0, y0, x1 - x0, y1 - y0);
    }
    this.ctx.fillStyle = this.c.stock;
    this.ctx.fill(shape, 'evenodd');
    this.ctx.clip(shape, 'evenodd');
    this.screen();
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
    if (outline?.length) {
      this.stroke(shape, this.c.lineStrong, 1);
      return;
    }
    this.ctx.strokeStyle = this.c.lineStrong;
    this.ctx.lineWidth = 1;
    this.ctx.strokeRect(x0, y0, x1 - x0, y1 - y0);
  }

  #ticksOfStops(scene) {
    const ticks = new Path2D();
    for (const stop of scene.stops) {
      if (stop.scrap && stop.box) {
        this.ticks(ticks, stop.main, stop.box, stop.scrap);
      }
    }
    this.stroke(ticks, this.c.rose, 0.8);
  }

  /** Short ticks along a contour that point to the scrap (side 1: left of the travel). */
  ticks(path, d, box, side) {
    const shown = length(d) * this.view.k;
    if (!this.view.isVisible(box) || shown < SHORTEST_WITH_TICKS) {
      return;
    }
    // on small contours, as of many copies on a sheet, a few ticks say the side; more would be noise
    const most = FEWEST_TICKS + shown / PIXELS_PER_TICK;
    const every = Math.max(TICK_EVERY, shown / most) / this.view.k;
    const reach = side * Math.min(TICK, Math.max(3, shown / 40)) / this.view.k;
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

  /** Amber bars across the path; wide ones as wide as the tab is long. */
  #tabs(scene) {
    this.screen();
    const ctx = this.ctx;
    ctx.beginPath();
    for (const stop of scene.stops) {
      if (!stop.tabs.length || !this.view.isVisible(stop.box)) {
        continue;
      }
      for (let i = 0; i < stop.tabs.length; i += 2) {
        const p = placeAt(stop.main, (stop.tabs[i] + stop.tabs[i + 1]) / 2);
        const [sx, sy] = this.view.toScreen(p.x, p.y);
        const half = Math.max(1.5, (stop.tabs[i + 1] - stop.tabs[i]) / 2 * this.view.k);
        const size = Math.min(stop.box[2] - stop.box[0], stop.box[3] - stop.box[1]) * this.view.k;
        const reach = Math.max(2.5, Math.min(7, size / 8));
        for (const [a, b] of [[-half, -reach], [half, -reach], [half, reach], [-half, reach]]) {
          const x = sx + a * p.dx + b * p.dy;
          const y = sy - a * p.dy + b * p.dx;
          if (a < 0 && b < 0) {
            ctx.moveTo(x, y);
          } else {
            ctx.lineTo(x, y);
          }
        }
        ctx.closePath();
      }
    }
    ctx.fillStyle = this.c.amber;
    ctx.fill();
  }

  /** A programmed stop: two short parallel bars where the head waits for people. */
  #halts(path, stop, sx, sy) {
    const ends = [stop.out, stop.over, stop.main].find((d) => d.length);
    const places = [];
    if (stop.halts & 1) {
      places.push([sx, sy]);
    }
    if (stop.halts & 2) {
      places.push(this.view.toScreen(ends[ends.length - 3], ends[ends.length - 2]));
    }
    for (const [x, y] of places) {
      path.rect(x - 11, y + 6, 3, 11);
      path.rect(x - 5, y + 6, 3, 11);
    }
  }

  /** Pierce rings, arrow heads where leads join, order numbers; marks of a kind in one path, for there may be thousands. */
  #startMarks(scene) {
    const visible = scene.stops.filter((s) => s.box && this.view.isVisible(s.box));
    const [rings, arrows, halts] = [new Path2D(), new Path2D(), new Path2D()];
    const numbered = [];
    for (const stop of visible) {
      const start = stop.in.length ? stop.in : stop.main;
      const [sx, sy] = this.view.toScreen(start[0], start[1]);
      const size = Math.max(stop.box[2] - stop.box[0], stop.box[3] - stop.box[1]) * this.view.k;
      if (size > 7) {
        const r = size > 22 ? 3.4 : 2;
        rings.moveTo(sx + r, sy);
        rings.arc(sx, sy, r, 0, 2 * Math.PI);
      }
      if (stop.in.length && length(stop.in) * this.view.k > 12) {
        this.#arrow(arrows, stop.in);
      }
      this.#halts(halts, stop, sx, sy);
      if (visible.length < MOST_NAMED && size > 26) {
        numbered.push([stop, sx, sy]);
      }
    }
    this.screen();
    this.ctx.lineWidth = 1.2;
    this.#solid(rings, this.c.card, this.c.ink);
    this.#solid(arrows, this.c.sea);
    this.#solid(halts, this.c.ink);
    this.ctx.font = '600 11px Commissioner, sans-serif';
    this.ctx.textBaseline = 'middle';
    numbered.forEach((place) => this.#number(...place));
  }

  #solid(path, colour, edge = null) {
    this.ctx.fillStyle = colour;
    this.ctx.fill(path);
    if (edge) {
      this.ctx.strokeStyle = edge;
      this.ctx.stroke(path);
    }
  }

  #arrow(path, d) {
    const at = d.length - 5;
    const [x0, y0] = at === 0 ? [d[0], d[1]] : [d[at - 1], d[at]];
    const end = pointOf(x0, y0, d[d.length - 3], d[d.length - 2], d[d.length - 1], 1);
    const [sx, sy] = this.view.toScreen(end.x, end.y);
    const dx = end.dx;
    const dy = -end.dy;
    path.moveTo(sx, sy);
    path.lineTo(sx - 7 * dx - 3 * dy, sy - 7 * dy + 3 * dx);
    path.lineTo(sx - 7 * dx + 3 * dy, sy - 7 * dy - 3 * dx);
    path.closePath();
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
