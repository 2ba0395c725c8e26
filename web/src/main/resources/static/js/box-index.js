// Finds what lies near a place among many boxes: a grid of cells, each with the items that reach into it.

const MOST_CELLS = 40000;

export class BoxIndex {
  /**
   * @param picks [id, path, box] each
   */
  constructor(picks) {
    this.picks = picks;
    this.bounds = picks.reduce((b, [, , box]) => [Math.min(b[0], box[0]), Math.min(b[1], box[1]),
      Math.max(b[2], box[2]), Math.max(b[3], box[3])], [Infinity, Infinity, -Infinity, -Infinity]);
    const [left, bottom, right, top] = this.bounds;
    const cells = Math.min(MOST_CELLS, Math.max(1, picks.length));
    this.size = Math.max(Math.sqrt((right - left) * (top - bottom) / cells), (right - left + top - bottom) / cells, 1e-6);
    this.columns = Math.floor((right - left) / this.size) + 1;
    this.cells = new Map();
    picks.forEach(([, , box], i) => this.#put(box, i));
  }

  #put(box, i) {
    this.#cellsOf(box, (cell) => {
      const list = this.cells.get(cell);
      if (list) {
        list.push(i);
      } else {
        this.cells.set(cell, [i]);
      }
    });
  }

  #cellsOf([left, bottom, right, top], visit) {
    const column = (x) => Math.floor((Math.max(this.bounds[0], Math.min(this.bounds[2], x)) - this.bounds[0]) / this.size);
    const row = (y) => Math.floor((Math.max(this.bounds[1], Math.min(this.bounds[3], y)) - this.bounds[1]) / this.size);
    for (let r = row(bottom); r <= row(top); r++) {
      for (let c = column(left); c <= column(right); c++) {
        visit(r * this.columns + c);
      }
    }
  }

  /** The picks whose boxes touch one. */
  touching(box) {
    const found = new Set();
    if (this.picks.length) {
      this.#cellsOf(box, (cell) => this.cells.get(cell)?.forEach((i) => found.add(i)));
    }
    return [...found].map((i) => this.picks[i])
        .filter(([, , b]) => b[0] <= box[2] && b[2] >= box[0] && b[1] <= box[3] && b[3] >= box[1]);
  }
}
