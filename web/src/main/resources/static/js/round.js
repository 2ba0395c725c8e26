import {askOfRun} from './ask.js';
import {channels, depthsOf, shadeOf} from './heights.js';

// Round work as it is at the moment of the replay, from above and from its end, turned by hand or with the machine.

const COLUMNS = 120;
const ANGLES = 720;
const HIGH = 130;
const WIDE = 420;
const GAP = 16;

export function registerRound(bench) {
  const card = document.getElementById('turned');
  if (card) {
    new Round(bench, card);
  }
}

class Round {
  #work = null;
  #asking = false;
  #again = false;

  constructor(bench, card) {
    Object.assign(this, {bench, card, canvas: card.querySelector('canvas'), range: card.querySelector('input'), said: card.querySelector('output')});
    this.range.addEventListener('input', () => this.#draw());
    bench.addEventListener('scene', () => {
      card.hidden = !this.#stock;
      this.#ask();
    });
    bench.player?.addEventListener('moment', () => this.#ask());
    addEventListener('themechange', () => this.#draw());
  }

  get #stock() {
    return this.bench.scene?.own?.round ?? null;
  }

  /** One question at a time: the last moment is what counts. */
  async #ask() {
    if (!this.#stock || this.#asking) {
      this.#again = this.#stock !== null;
      return;
    }
    this.#asking = true;
    this.#again = false;
    const {player} = this.bench;
    const moment = player?.moment > 0 ? {t: player.moment.toFixed(4)} : {};
    const bytes = await askOfRun(this.bench.job, 'round', {columns: COLUMNS, angles: ANGLES, ...moment}, 'arrayBuffer');
    this.#asking = false;
    if (bytes) {
      const numbers = new DataView(bytes);
      this.#work = depthsOf(numbers, 8);
      if (player?.moment > 0) {
        this.range.value = ((numbers.getFloat32(4) % 360) + 360) % 360;
      }
      this.#draw();
    }
    if (this.#again) {
      this.#ask();
    }
  }

  #draw() {
    const stock = this.#stock;
    if (!stock || !this.#work) {
      return;
    }
    const turn = Number(this.range.value);
    this.said.textContent = `${turn.toFixed(1)}°`;
    const ratio = devicePixelRatio || 1;
    const long = stock.to - stock.from;
    const k = Math.min((WIDE - GAP) / (long + 2 * stock.radius), HIGH / (2 * stock.radius));
    this.canvas.width = Math.round(((long + 2 * stock.radius) * k + GAP) * ratio);
    this.canvas.height = Math.round(2 * stock.radius * k * ratio);
    this.canvas.style.width = `${this.canvas.width / ratio}px`;
    this.canvas.style.height = `${this.canvas.height / ratio}px`;
    const ctx = this.canvas.getContext('2d');
    this.#fromAbove(ctx, Math.max(1, Math.round(long * k * ratio)), stock, turn);
    this.#fromTheEnd(ctx, (long * k + GAP) * ratio, k * ratio, stock, turn);
  }

  /** Each strip across the axis is drawn point by point, the highest over the others. */
  #fromAbove(ctx, wide, {radius}, turn) {
    const high = ctx.canvas.height;
    const {colours} = this.bench.table;
    const [kept, deep] = [channels(colours.kept), channels(colours.depth)];
    const image = ctx.createImageData(wide, high);
    const heights = new Float32Array(high);
    for (let x = 0; x < wide; x++) {
      const column = Math.min(COLUMNS - 1, Math.floor(x * COLUMNS / wide));
      heights.fill(-Infinity);
      for (let i = 0; i < ANGLES; i++) {
        const from = this.#place(i, column, radius, turn);
        const to = this.#place((i + 1) % ANGLES, column, radius, turn);
        this.#strip(image.data, heights, {x, wide, high, radius}, [from, to], (depth) => shadeOf(depth / radius, kept, deep));
      }
    }
    ctx.putImageData(image, 0, 0);
  }

  /** Where a point of the surface is: beside the axis, above it, and how deep it is cut. */
  #place(i, column, radius, turn) {
    const depth = this.#work[i * COLUMNS + column];
    const angle = 2 * Math.PI * i / ANGLES - turn * Math.PI / 180;
    return [(radius - depth) * Math.sin(angle), (radius - depth) * Math.cos(angle), depth];
  }

  #strip(pixels, heights, {x, wide, high, radius}, [from, to], colour) {
    if (from[1] < 0 && to[1] < 0) {
      return;
    }
    const row = (y) => (radius - y) / (2 * radius) * high;
    const [a, b] = [row(from[0]), row(to[0])];
    const rgb = colour(Math.max(from[2], to[2]));
    for (let y = Math.max(0, Math.floor(Math.min(a, b))); y <= Math.min(high - 1, Math.ceil(Math.max(a, b))); y++) {
      const share = a === b ? 0 : Math.max(0, Math.min(1, (y - a) / (b - a)));
      const z = from[1] + share * (to[1] - from[1]);
      if (z > heights[y]) {
        heights[y] = z;
        const light = 0.62 + 0.38 * Math.max(0, z) / radius;
        const at = 4 * (y * wide + x);
        rgb.forEach((v, c) => {
          pixels[at + c] = v * light;
        });
        pixels[at + 3] = 255;
      }
    }
  }

  /** The deepest along the axis, at each angle. */
  #fromTheEnd(ctx, left, k, {radius}, turn) {
    const {colours} = this.bench.table;
    const [cx, cy] = [left + radius * k, radius * k];
    ctx.beginPath();
    for (let i = 0; i < ANGLES; i++) {
      let depth = 0;
      for (let column = 0; column < COLUMNS; column++) {
        depth = Math.max(depth, this.#work[i * COLUMNS + column]);
      }
      const angle = 2 * Math.PI * i / ANGLES - turn * Math.PI / 180;
      ctx.lineTo(cx + (radius - depth) * k * Math.sin(angle), cy - (radius - depth) * k * Math.cos(angle));
    }
    ctx.closePath();
    ctx.fillStyle = colours.kept;
    ctx.fill();
    ctx.strokeStyle = colours.leafDeep;
    ctx.lineWidth = 1.2;
    ctx.stroke();
    ctx.beginPath();
    const up = turn * Math.PI / 180;
    ctx.moveTo(cx, cy);
    ctx.lineTo(cx - 0.55 * radius * k * Math.sin(up), cy - 0.55 * radius * k * Math.cos(up));
    ctx.stroke();
  }
}
