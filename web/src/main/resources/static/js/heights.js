import {askOfRun} from './ask.js';
import {trace} from './paths.js';

// A picture of the stock as it is at the moment of the replay: its depths, shaded as if light fell on it, with what is
// left and what is gone beyond what is wanted. It is asked for as finely as the table shows it.

const MOST_COLUMNS = 600;
const HUNDREDTHS = 100;

/** ms of a view at rest before it is asked for more finely */
const REST = 160;

/** How much a slope towards or away from the light changes the shade. */
const RELIEF = 0.55;

export function registerHeights(bench) {
  if (bench.player) {
    new Heights(bench);
  }
}

class Heights {
  #shown = true;
  #picture = null;
  #asking = false;
  #again = false;
  #resting = 0;

  constructor(bench) {
    Object.assign(this, {bench, table: bench.table, player: bench.player});
    this.button = document.getElementById('tool-heights');
    this.button?.addEventListener('click', () => this.#toggle());
    this.table.underlays.push((ctx, painter) => this.#paint(ctx, painter));
    this.player.addEventListener('moment', () => this.#ask());
    this.table.addEventListener('viewpainted', () => {
      clearTimeout(this.#resting);
      this.#resting = setTimeout(() => this.#ask(), REST);
    });
    addEventListener('themechange', () => this.#colour());
    bench.addEventListener('scene', () => {
      this.button.hidden = !bench.scene?.own?.shaded;
    });
  }

  get #active() {
    return this.#shown && this.player.moment > 0 && this.bench.scene?.own?.shaded;
  }

  #toggle() {
    this.#shown = !this.#shown;
    this.button.ariaPressed = String(this.#shown);
    this.#ask();
    this.table.refreshTop();
  }

  /** The part of the stock that is in view. */
  #window() {
    const {view} = this.table;
    const [left, bottom] = view.toWorld(0, view.height);
    const [right, top] = view.toWorld(view.width, 0);
    const [x1, y1, x2, y2] = this.bench.scene.own.bounds;
    const window = [Math.max(x1, left), Math.max(y1, bottom), Math.min(x2, right), Math.min(y2, top)];
    return window[0] < window[2] && window[1] < window[3] ? window : null;
  }

  /** One question at a time: the last moment is what counts. */
  async #ask() {
    const window = this.#active ? this.#window() : null;
    if (!window || this.#asking) {
      this.#again = window !== null;
      return;
    }
    this.#asking = true;
    this.#again = false;
    const [x1, y1, x2, y2] = window.map((v) => v.toFixed(3));
    const columns = Math.max(1, Math.min(MOST_COLUMNS, Math.round((x2 - x1) * this.table.view.k)));
    const bytes = await askOfRun(this.bench.job, 'heights', {x1, y1, x2, y2, columns, t: this.player.moment.toFixed(4)}, 'arrayBuffer');
    this.#asking = false;
    if (bytes) {
      const numbers = new DataView(bytes);
      this.#picture = {box: [x1, y1, x2, y2].map(Number), columns: numbers.getUint16(0), rows: numbers.getUint16(2),
        depths: depthsOf(numbers, 4), canvas: document.createElement('canvas')};
      this.#colour();
    }
    if (this.#again) {
      this.#ask();
    }
  }

  #colour() {
    if (!this.#picture) {
      return;
    }
    const {canvas, columns, rows, depths} = this.#picture;
    canvas.width = columns;
    canvas.height = rows;
    const ctx = canvas.getContext('2d');
    const image = ctx.createImageData(columns, rows);
    this.#shade(image.data, depths, columns, rows);
    ctx.putImageData(image, 0, 0);
    this.table.refreshTop();
  }

  /** Light from above left; what is cut through shows the table. */
  #shade(pixels, depths, columns, rows) {
    const {kept, depth: deep, tableGround} = this.table.colours;
    const [k, d, t] = [kept, deep, tableGround].map(channels);
    const {thickness} = this.bench.scene.own;
    const [x1, , x2] = this.#picture.box;
    const cell = (x2 - x1) / columns;
    for (let i = 0; i < depths.length; i++) {
      const own = depths[i];
      const column = i % columns;
      const beside = column ? depths[i - 1] : own;
      const above = i >= columns ? depths[i - columns] : own;
      const through = own >= thickness - 0.02;
      const slope = Math.max(-1, Math.min(1, (own - beside + own - above) / (2 * cell)));
      const light = through ? 1 : 1 - RELIEF * slope * (slope > 0 ? 1 : 0.4);
      const flat = through ? t : shadeOf(own / thickness, k, d);
      for (let c = 0; c < 3; c++) {
        pixels[4 * i + c] = flat[c] * light;
      }
      pixels[4 * i + 3] = 255;
    }
  }

  #paint(ctx, painter) {
    if (!this.#active || !this.#picture) {
      return;
    }
    const {own} = this.bench.scene;
    const {view} = this.table;
    const [x1, y1, x2, y2] = this.#picture.box;
    const [left, top] = view.toScreen(x1, y2);
    const [right, bottom] = view.toScreen(x2, y1);
    painter.world();
    ctx.save();
    ctx.clip(own.stock, 'evenodd');
    painter.screen();
    ctx.imageSmoothingEnabled = true;
    ctx.drawImage(this.#picture.canvas, left, top, right - left, bottom - top);
    ctx.restore();
    if (this.player.moment >= this.player.total - 1e-6) {
      own.paintFaults(painter);
    }
  }
}

/** mm, of an answer after its first bytes. */
export function depthsOf(numbers, first) {
  const depths = new Float32Array((numbers.byteLength - first) / 2);
  for (let i = 0; i < depths.length; i++) {
    depths[i] = numbers.getUint16(first + 2 * i) / HUNDREDTHS;
  }
  return depths;
}

/** From the colour of what is kept to a deep one, by the share of all that is cut. */
export function shadeOf(share, kept, deep) {
  return share > 0 ? kept.map((v, c) => v + (0.18 + 0.7 * share) * (deep[c] - v)) : kept;
}

/** Red, green and blue of a colour as styles write it. */
export function channels(colour) {
  const ctx = new OffscreenCanvas(1, 1).getContext('2d');
  ctx.fillStyle = colour;
  ctx.fillRect(0, 0, 1, 1);
  return [...ctx.getImageData(0, 0, 1, 1).data].slice(0, 3);
}

/** Closed paths as one. */
export function closed(all) {
  const path = new Path2D();
  for (const d of all) {
    trace(path, d);
    path.closePath();
  }
  return path;
}
