import {trace} from './paths.js';

// Draws the line work of Shape: what is cut, marked or ignored, what is wrong with it, dimensions and guides.

const SPECK = 3;

/** Above so many, names and numbers would cover what they name. */
export const MOST_NAMED = 500;

/** Colour, width and dashes by what is done with a line. */
const STYLES = {
  cut: ['rose', 1.5, []],
  stale: ['rose', 1.5, [9, 4]],
  open: ['rose', 1.8, [5, 4]],
  mark: ['sea', 1.3, [7, 3, 2, 3]],
  ignore: ['lineStrong', 1, [2, 3]],
  fold: ['inkSoft', 1.2, [12, 4]],
  start: ['ink', 1.2, [1.5, 2]],
};

export class ShapePainter {
  constructor(painter) {
    this.painter = painter;
    this.ctx = painter.ctx;
    this.view = painter.view;
    this.c = painter.c;
  }

  paint(scene) {
    this.painter.world();
    this.ctx.fillStyle = this.c.kept;
    this.ctx.fill(scene.keptPath, 'evenodd');
    this.#guides(scene.guides);
    const ticks = new Path2D();
    const paths = {};
    const open = [];
    for (const f of scene.features) {
      if (scene.hiddenLayers.has(f.layer) || !this.view.isVisible(f.box)) {
        continue;
      }
      const style = this.#styleOf(f, scene.stale);
      const path = paths[style] ??= new Path2D();
      if (Math.max(f.box[2] - f.box[0], f.box[3] - f.box[1]) * this.view.k < SPECK) {
        // too small to tell its form: its box stands for it
        path.rect(f.box[0], f.box[1], f.box[2] - f.box[0], f.box[3] - f.box[1]);
        continue;
      }
      trace(path, f.d);
      if (style === 'open') {
        open.push(f.d);
      } else if (style === 'cut' || style === 'stale') {
        this.painter.ticks(ticks, f.d, f.box, f.kind === 'opening' ? 1 : -1);
      }
    }
    for (const [style, path] of Object.entries(paths)) {
      const [colour, width, dash] = STYLES[style];
      this.painter.stroke(path, this.c[colour], width, dash);
    }
    open.forEach((d) => this.#ends(d));
    this.painter.stroke(ticks, this.c.rose, 0.8);
    this.#points(scene.points);
    if (!this.painter.hidesDimensions) {
      this.#dimensions(scene.dimensions);
    }
    this.#faults(scene.faults);
    this.#words(scene.features.filter((f) => scene.stale.includes(f.id)));
  }

  #styleOf(f, stale) {
    if (f.purpose !== 'cut') {
      return f.purpose;
    }
    return !f.closed ? 'open' : stale.includes(f.id) ? 'stale' : 'cut';
  }

  /** Construction lines go right across the table. */
  #guides(guides) {
    if (!guides.length) {
      return;
    }
    this.painter.screen();
    const far = 2 * (this.view.width + this.view.height);
    this.ctx.beginPath();
    for (const [x, y, angle] of guides) {
      const [sx, sy] = this.view.toScreen(x, y);
      const dx = far * Math.cos(angle);
      const dy = -far * Math.sin(angle);
      this.ctx.moveTo(sx - dx, sy - dy);
      this.ctx.lineTo(sx + dx, sy + dy);
    }
    this.ctx.setLineDash([10, 4, 1, 4]);
    this.ctx.strokeStyle = this.c.lineStrong;
    this.ctx.lineWidth = 0.9;
    this.ctx.stroke();
    this.ctx.setLineDash([]);
  }

  #points(points) {
    this.painter.screen();
    this.ctx.beginPath();
    for (const [x, y] of points) {
      const [sx, sy] = this.view.toScreen(x, y);
      this.ctx.moveTo(sx - 4, sy - 4);
      this.ctx.lineTo(sx + 4, sy + 4);
      this.ctx.moveTo(sx - 4, sy + 4);
      this.ctx.lineTo(sx + 4, sy - 4);
    }
    this.ctx.strokeStyle = this.c.ink;
    this.ctx.lineWidth = 1.2;
    this.ctx.stroke();
  }

  /** A thin line beside what is measured, strokes at its ends, the distance over its middle. */
  #dimensions(dimensions) {
    this.painter.screen();
    const ctx = this.ctx;
    ctx.font = '500 12px Commissioner, sans-serif';
    ctx.textAlign = 'center';
    for (const [x0, y0, x1, y1, away] of dimensions) {
      const l = Math.hypot(x1 - x0, y1 - y0) || 1;
      const nx = -(y1 - y0) / l * away;
      const ny = (x1 - x0) / l * away;
      const [ax, ay] = this.view.toScreen(x0 + nx, y0 + ny);
      const [bx, by] = this.view.toScreen(x1 + nx, y1 + ny);
      ctx.beginPath();
      for (const [wx, wy, ex, ey] of [[x0, y0, ax, ay], [x1, y1, bx, by]]) {
        ctx.moveTo(...this.view.toScreen(wx, wy));
        ctx.lineTo(ex, ey);
        ctx.moveTo(ex - 4, ey + 4);
        ctx.lineTo(ex + 4, ey - 4);
      }
      ctx.moveTo(ax, ay);
      ctx.lineTo(bx, by);
      ctx.strokeStyle = this.c.inkSoft;
      ctx.lineWidth = 0.9;
      ctx.stroke();
      const text = l.toFixed(2);
      ctx.lineWidth = 4;
      ctx.strokeStyle = this.c.tableGround;
      ctx.strokeText(text, (ax + bx) / 2, (ay + by) / 2 - 4);
      ctx.fillStyle = this.c.ink;
      ctx.fillText(text, (ax + bx) / 2, (ay + by) / 2 - 4);
    }
    ctx.textAlign = 'left';
  }

  /** Mended places are small rings; what has to be decided is a square on its corner with the size. */
  #faults(faults) {
    this.painter.screen();
    const ctx = this.ctx;
    ctx.font = '600 11px Commissioner, sans-serif';
    for (const {x, y, state, size} of faults) {
      const [sx, sy] = this.view.toScreen(x, y);
      const decide = state === 'decide';
      if (sx < 0 || sy < 0 || sx > this.view.width || sy > this.view.height || state === 'left') {
        continue;
      }
      ctx.beginPath();
      if (decide) {
        ctx.moveTo(sx, sy - 8);
        ctx.lineTo(sx + 8, sy);
        ctx.lineTo(sx, sy + 8);
        ctx.lineTo(sx - 8, sy);
        ctx.closePath();
      } else {
        ctx.arc(sx, sy, 4, 0, 2 * Math.PI);
      }
      ctx.strokeStyle = decide ? this.c.amber : this.c.leaf;
      ctx.lineWidth = decide ? 2 : 1;
      ctx.stroke();
      if (size && (decide || this.view.k > 4)) {
        ctx.lineWidth = 4;
        ctx.strokeStyle = this.c.tableGround;
        const wide = ctx.measureText(size).width;
        const left = sx + 11 + wide > this.view.width ? sx - 11 - wide : sx + 11;
        ctx.strokeText(size, left, sy - 6);
        ctx.fillStyle = this.c.ink;
        ctx.fillText(size, left, sy - 6);
      }
    }
  }

  /** What is stale is said in a word. */
  #words(stale) {
    this.painter.screen();
    this.ctx.font = '600 11px Commissioner, sans-serif';
    this.ctx.fillStyle = this.c.amber;
    for (const f of stale.slice(0, MOST_NAMED)) {
      const [sx, sy] = this.view.toScreen(f.box[0], f.box[3]);
      this.ctx.fillText('stale', sx, sy - 4);
    }
  }

  /** Open ends: small squares, so that they are found without colour. */
  #ends(d) {
    this.painter.screen();
    this.ctx.fillStyle = this.c.rose;
    for (const [x, y] of [[d[0], d[1]], [d[d.length - 3], d[d.length - 2]]]) {
      const [sx, sy] = this.view.toScreen(x, y);
      this.ctx.fillRect(sx - 3.5, sy - 3.5, 7, 7);
    }
  }
}
