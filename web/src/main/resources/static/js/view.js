// Where the table's millimetres lie on the screen: sx = ox + k x, sy = oy - k y.

const MOST = 4000;
const LEAST = 0.005;

export class View {
  constructor() {
    this.k = 1;
    this.ox = 0;
    this.oy = 0;
    this.width = 100;
    this.height = 100;
  }

  copy() {
    return Object.assign(new View(), this);
  }

  toScreen(x, y) {
    return [this.ox + this.k * x, this.oy - this.k * y];
  }

  toWorld(sx, sy) {
    return [(sx - this.ox) / this.k, (this.oy - sy) / this.k];
  }

  zoomAt(sx, sy, factor) {
    const k = Math.max(LEAST, Math.min(MOST, this.k * factor));
    const [x, y] = this.toWorld(sx, sy);
    this.k = k;
    this.ox = sx - k * x;
    this.oy = sy + k * y;
  }

  pan(dx, dy) {
    this.ox += dx;
    this.oy += dy;
  }

  /**
   * Shows a box [left, bottom, right, top] with room for the rulers, and as much as can be of what
   * lies around it.
   */
  fit(box, ruler, around = box) {
    const margin = 36;
    const w = Math.max(this.width - ruler - 2 * margin, 40);
    const h = Math.max(this.height - ruler - 2 * margin, 40);
    this.k = Math.max(LEAST, Math.min(MOST, Math.min(w / Math.max(box[2] - box[0], 1e-3), h / Math.max(box[3] - box[1], 1e-3))));
    this.ox = ruler + margin + (w - this.k * (box[2] - box[0])) / 2 - this.k * box[0];
    this.oy = ruler + margin + (h + this.k * (box[3] - box[1])) / 2 + this.k * box[1];
    const [left, top] = this.toScreen(around[0], around[3]);
    const [right, bottom] = this.toScreen(around[2], around[1]);
    const first = ruler + margin;
    this.pan(slide(left, right, first, this.width - margin), slide(top, bottom, first, this.height - margin));
  }

  /** Moves a place to the middle. */
  centre(x, y) {
    const [sx, sy] = this.toScreen(x, y);
    this.pan(this.width / 2 - sx, this.height / 2 - sy);
  }

  isVisible(box) {
    const [left, top] = this.toScreen(box[0], box[3]);
    const [right, bottom] = this.toScreen(box[2], box[1]);
    return right > 0 && left < this.width && bottom > 0 && top < this.height;
  }
}

/** How far a span moves so that it fills the room, or lies in it when it is shorter. */
function slide(low, high, first, last) {
  const short = high - low < last - first;
  if (short ? low < first : low > first) {
    return first - low;
  }
  return (short ? high > last : high < last) ? last - high : 0;
}
