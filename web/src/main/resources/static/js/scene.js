import {box, placed, trace} from './paths.js';

// What the server sent, with the paths the painter draws over and over made once.

export class Scene {
  constructor(data, stage) {
    Object.assign(this, data);
    this.stage = stage;
    this.stopById = new Map(this.stops.map((s) => [s.id, s]));
    this.featureById = new Map(this.features.map((f) => [f.id, f]));
    for (const stop of this.stops) {
      stop.box = stop.main.length ? box(stop.main) : null;
    }
    for (const feature of this.features) {
      feature.box = box(feature.d);
    }
    this.keptPath = this.#kept();
    if (stage !== 'shape') {
      this.#plan();
    }
  }

  #kept() {
    const parts = this.regions.map((contours) => {
      const path = new Path2D();
      contours.forEach((d) => {
        trace(path, d);
        path.closePath();
      });
      return path;
    });
    const all = new Path2D();
    const places = this.stage === 'shape' ? [[1, 0, 0, 1, 0, 0]] : this.placements;
    for (const t of places) {
      parts.forEach((p) => all.addPath(p, new DOMMatrix(t)));
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
    this.travelPath = new Path2D();
    let x = 0;
    let y = 0;
    for (const row of this.motion) {
      if (row[0] === 0) {
        this.travelPath.moveTo(x, y);
        this.travelPath.lineTo(row[1], row[2]);
      }
      if (row[0] !== 2) {
        x = row[1];
        y = row[2];
      }
    }
  }

  /** Everything that should be in sight at first. */
  extent() {
    if (this.stage === 'shape' || !this.stock) {
      return this.box;
    }
    const found = [...this.stock];
    for (const stop of this.stops) {
      if (stop.box) {
        found[0] = Math.min(found[0], stop.box[0]);
        found[1] = Math.min(found[1], stop.box[1]);
        found[2] = Math.max(found[2], stop.box[2]);
        found[3] = Math.max(found[3], stop.box[3]);
      }
    }
    return found;
  }

  /** Chains that can be picked: [id, path, box]. */
  pickable() {
    return this.stage === 'shape'
        ? this.features.map((f) => [f.id, f.d, f.box])
        : this.stops.filter((s) => s.box).map((s) => [s.id, s.main, s.box]);
  }

  placementOf(stop) {
    return this.placements[stop.copy - 1];
  }

  /** The drawn contour of a stop where it lies on the sheet. */
  drawnContour(stop) {
    return placed(this.featureById.get(stop.feature).d, this.placementOf(stop));
  }
}
