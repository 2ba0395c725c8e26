import {trace as tracePath, traceSegment} from './paths.js';

// What was done so far, on a layer of its own that is only added to while time goes on: lines that were
// cut, and under them the pieces that have come free. Going back starts from the nearest of some
// pictures kept on the way, so that any moment is reached within a frame.

const [KIND, X, Y, BULGE] = [0, 1, 2, 3];
const CUT = 1;
const PICTURES = 10;
const LEAST_BETWEEN = 400;

/** Pictures kept between two of those while time goes back, and the most of these. */
const BETWEEN = 8;
const MOST_FINE = 12;

/** Rows of pieces: stop, item that closes it, whether it is kept, and what becomes of it. */
const [PIECE_STOP, PIECE_ITEM, KEPT, REST] = [0, 1, 2, 3];
const TIPS = 2;
const FALLS = 3;

export class Trace {
  #done = -1;
  #pictures = [];

  constructor(table) {
    this.table = table;
  }

  load(player, pieces) {
    this.player = player;
    this.stops = player.stops;
    this.pieces = pieces;
    this.every = Math.max(LEAST_BETWEEN, Math.ceil(player.rows.length / PICTURES));
    this.again();
  }

  /** The view has changed: no picture fits any more. */
  again() {
    this.#pictures = [];
    this.#clear();
    if (this.player) {
      this.upTo(this.player.index);
    }
  }

  /** Shows everything before an item. */
  upTo(index) {
    const back = index - 1 < this.#done;
    if (back) {
      this.#goBack(index - 1);
    }
    const step = back ? Math.ceil(this.every / BETWEEN) : this.every;
    while (this.#done < index - 1) {
      const next = (Math.floor((this.#done + 1) / step) + 1) * step - 1;
      this.#add(Math.min(index - 1, next));
      if (this.#done === next) {
        this.#keep(back && (next + 1) % this.every !== 0);
      }
    }
  }

  #clear() {
    this.#done = -1;
    const {traceLayer: layer} = this.table;
    const ctx = layer.getContext('2d');
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.clearRect(0, 0, layer.width, layer.height);
  }

  #goBack(to) {
    this.#clear();
    const kept = this.#pictures.filter((p) => p.done <= to).at(-1);
    if (kept) {
      this.table.traceLayer.getContext('2d').drawImage(kept.canvas, 0, 0);
      this.#done = kept.done;
    }
  }

  #keep(fine) {
    if (this.#pictures.some((p) => p.done === this.#done)) {
      return;
    }
    const fineOnes = this.#pictures.filter((p) => p.fine);
    const oldest = fine && fineOnes.length >= MOST_FINE ? fineOnes.at(-1) : null;
    const canvas = oldest?.canvas ?? document.createElement('canvas');
    canvas.width = this.table.traceLayer.width;
    canvas.height = this.table.traceLayer.height;
    if (canvas.width && canvas.height) {
      canvas.getContext('2d').drawImage(this.table.traceLayer, 0, 0);
      this.#pictures = this.#pictures.filter((p) => p !== oldest);
      this.#pictures.push({done: this.#done, canvas, fine});
      this.#pictures.sort((a, b) => a.done - b.done);
    }
  }

  /** What happens after what is shown, to an item and with it. */
  #add(last) {
    const {rows, startX, startY} = this.player;
    const path = new Path2D();
    for (let i = this.#done + 1; i <= last; i++) {
      const row = rows[i];
      if (row[KIND] === CUT) {
        path.moveTo(startX[i], startY[i]);
        traceSegment(path, startX[i], startY[i], row[X], row[Y], row[BULGE]);
      }
    }
    const ctx = this.#world();
    ctx.strokeStyle = this.table.colours.rose;
    ctx.lineWidth = 2.2 / this.table.view.k;
    ctx.stroke(path);
    this.#free(ctx, this.#done, last);
    this.#done = last;
  }

  #world() {
    const {k, ox, oy} = this.table.view;
    const {ratio} = this.table;
    const ctx = this.table.traceLayer.getContext('2d');
    ctx.setTransform(k * ratio, 0, 0, -k * ratio, ox * ratio, oy * ratio);
    return ctx;
  }

  /** Pieces that came free, under everything that was there before: what lies in them was free sooner. */
  #free(ctx, after, last) {
    ctx.globalCompositeOperation = 'destination-over';
    for (let i = this.#firstAfter(after); i < this.pieces.length && this.pieces[i][PIECE_ITEM] <= last; i++) {
      const piece = this.pieces[i];
      const path = new Path2D();
      tracePath(path, this.stops[piece[PIECE_STOP]].main);
      path.closePath();
      ctx.fillStyle = this.#colour(piece);
      ctx.fill(path);
    }
    ctx.globalCompositeOperation = 'source-over';
  }

  #firstAfter(item) {
    let low = 0;
    let high = this.pieces.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.pieces[middle][PIECE_ITEM] <= item) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  #colour(piece) {
    const {colours} = this.table;
    if (piece[REST] === FALLS) {
      return colours.tableGround;
    }
    if (!piece[KEPT]) {
      return colours.lineStrong;
    }
    return piece[REST] === TIPS ? colours.freeTips : colours.free;
  }
}
