import {between, box, placed, trace} from './paths.js';

// What the server sent, with the paths the painter draws over and over made once.

export class Scene {
  /**
   * @param ownOf what the kind of work draws besides: {kept: a path instead of the parts, paint(painter): instead of
   * the paths of stops}; nothing where parts and paths say it all
   */
  constructor(data, stage, ownOf = () => null) {
    Object.assign(this, data, data.notes);
    this.data = data;
    this.stage = stage;
    // while there is no plan the drawing is shown
    this.isDrawing = stage === 'shape' || !this.stock;
    this.own = this.isDrawing ? null : ownOf(this);
    this.hiddenLayers = new Set();
    this.stopById = new Map(this.stops.map((s) => [s.id, s]));
    this.featureById = new Map(this.features.map((f) => [f.id, f]));
    for (const stop of this.stops) {
      stop.box = stop.main.length ? box(stop.main) : null;
    }
    if (stage === 'shape') {
      this.features.forEach((feature) => {
        feature.box = box(feature.d);
      });
    }
    this.keptPath = this.#kept();
    if (stage !== 'shape') {
      this.#plan();
    }
    if (stage !== 'shape' && this.isDrawing) {
      this.drawnPath = new Path2D();
      this.features.filter((f) => f.purpose === 'cut' || f.purpose === 'mark').forEach((f) => trace(this.drawnPath, f.d));
    }
  }

  #kept() {
    if (this.own?.kept) {
      return this.own.kept;
    }
    const parts = this.parts.map((contours) => {
      const path = new Path2D();
      contours.forEach((id) => {
        trace(path, this.featureById.get(id).d);
        path.closePath();
      });
      return path;
    });
    const all = new Path2D();
    const places = this.isDrawing ? [[1, 0, 0, 1, 0, 0, -1]] : this.placements;
    for (const [a, b, c, d, e, f, one] of places) {
      const there = one < 0 ? parts : [parts[one]];
      there.forEach((p) => all.addPath(p, new DOMMatrix([a, b, c, d, e, f])));
    }
    return all;
  }

  #plan() {
    this.mainPath = new Path2D();
    this.markPath = new Path2D();
    this.leadPath = new Path2D();
    for (const stop of this.stops) {
      trace(stop.kind === 'mark' ? this.markPath : this.mainPath, stop.main);
      trace(this.mainPath, stop.over);
      trace(this.leadPath, stop.in);
      trace(this.leadPath, stop.out);
    }
    const sizes = this.stops.filter((s) => s.box).map((s) => Math.max(s.box[2] - s.box[0], s.box[3] - s.box[1]));
    this.usualSize = sizes.sort((a, b) => a - b)[sizes.length >> 1] ?? 0;
    this.tabPath = new Path2D();
    for (const stop of this.stops) {
      for (let i = 0; i < stop.tabs.length; i += 2) {
        trace(this.tabPath, between(stop.main, stop.tabs[i], stop.tabs[i + 1]));
      }
    }
    this.travelPath = new Path2D();
    this.lowPath = new Path2D();
    for (const [low, x0, y0, x1, y1] of this.travel) {
      const path = low ? this.lowPath : this.travelPath;
      path.moveTo(x0, y0);
      path.lineTo(x1, y1);
    }
  }

  /** Boxes worth fitting, the first one first: what is cut, then the whole stock. */
  extents() {
    if (this.isDrawing) {
      return [this.box];
    }
    const cut = this.stops.filter((s) => s.box).map((s) => s.box).reduce(union, null);
    const all = cut ? union(cut, this.stock) : this.stock;
    return cut && this.stage !== 'sheet' ? [all, cut] : [all];
  }

  /** Chains that can be picked: [id, path, box]. */
  pickable() {
    return this.stage === 'shape'
        ? this.features.filter((f) => !this.hiddenLayers.has(f.layer)).map((f) => [f.id, f.d, f.box])
        : this.stops.filter((s) => s.box).map((s) => [s.id, s.main, s.box]);
  }

  placementOf(stop) {
    return this.placements[stop.copy - this.firstCopy];
  }

  /** The drawn contour of a stop where it lies on the sheet. */
  drawnContour(stop) {
    return placed(this.featureById.get(stop.feature).d, this.placementOf(stop));
  }
}

function union(a, b) {
  return a ? [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[2], b[2]), Math.max(a[3], b[3])] : b;
}
