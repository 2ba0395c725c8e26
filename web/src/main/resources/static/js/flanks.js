import {forSegments, nearest, placed, placeAt, pointOf} from './paths.js';
import {SlipTool} from './tools.js';

// Flanks by pointing: the numbers of the elements, angles and corners of single ones, and the lines that join a
// contour with the one above it.

const REACH = 14;

export class FlankTools {
  #from = null;
  #open = false;

  constructor(bench) {
    Object.assign(this, {bench, table: bench.table});
    this.elements = new SlipTool(bench, 'set-elements', (stop, {world}) => this.#element(stop, world));
    this.corners = new SlipTool(bench, 'set-corners', (stop, {world}) => this.#corner(stop, world));
    this.lines = new SlipTool(bench, 'draw-lines', (stop, {world}) => this.#line(stop, world), () => this.#half(null));
    bench.table.overlays.push((ctx, painter) => this.#paint(ctx, painter));
    bench.addEventListener('slip', () => this.#follow());
    document.addEventListener('toggle', ({target}) => {
      if (target.matches?.('[data-elements]')) {
        this.#open = target.open;
        this.table.refreshTop();
      }
    }, true);
  }

  /** The scene or the slip is a new one. */
  #follow() {
    this.#half(null);
    const elements = document.querySelector('[data-elements]');
    if (elements && this.#open) {
      elements.open = true;
    }
  }

  /** One end of a line, which the other one is to be joined with. */
  #half(end) {
    this.#from = end;
    this.table.refreshTop();
  }

  #element(stop, world) {
    const place = this.#near(this.bench.scene.drawnContour(stop), world);
    if (place) {
      const angle = document.getElementById('element-angle').value.trim();
      this.bench.post('values', {field: 'elements', value: `+${place.index + 1}: ${angle}`});
    }
  }

  #corner(stop, world) {
    const contour = this.bench.scene.drawnContour(stop);
    const place = this.#near(contour, world);
    if (place && contour[3 * place.index + 4] === 0) {
      this.bench.say(`Element ${place.index + 1} is a line; corners are arcs.`);
    } else if (place) {
      this.bench.post('values', {field: 'cornerOf', value: `+${place.index + 1}`});
    }
  }

  #near(contour, world) {
    const place = nearest(contour, world.x, world.y);
    return place.distance * this.table.view.k > REACH ? null : place;
  }

  /** Each end of a line lies on the contour that it is nearer to. */
  #line(stop, world) {
    const lower = this.#near(this.bench.scene.drawnContour(stop), world);
    const upper = this.#near(this.#above(stop), world);
    if (!lower && !upper) {
      return;
    }
    const end = !upper || (lower && lower.distance < upper.distance) ? {lower, place: lower} : {upper, place: upper};
    const both = {...this.#from, ...end};
    if (both.lower && both.upper) {
      this.#half(null);
      this.bench.post('values', {field: 'lines', value: `+${both.lower.along.toFixed(3)} > ${both.upper.along.toFixed(3)}`});
    } else {
      this.#half(end);
    }
  }

  #above(stop) {
    const {upper} = document.querySelector('[data-upper]').dataset;
    return placed(this.bench.scene.featureById.get(upper).d, this.bench.scene.placementOf(stop));
  }

  // ---- what is drawn over the table

  #paint(ctx, painter) {
    const stop = this.bench.only();
    if (!stop || !this.bench.scene?.wire || this.bench.scene.stage !== 'cuts') {
      return;
    }
    painter.screen();
    this.#paintLines(ctx, stop);
    if (document.querySelector('[data-elements][open]')) {
      this.#paintNumbers(ctx, stop);
    }
  }

  #paintLines(ctx, stop) {
    const joined = document.querySelector('[data-upper]');
    if (!joined || !this.bench.scene.featureById.has(joined.dataset.upper)) {
      return;
    }
    const lower = this.bench.scene.drawnContour(stop);
    const upper = this.#above(stop);
    const lines = (joined.dataset.lines ?? '').split(';').filter(Boolean).map((pair) => pair.split(' ').map(Number));
    ctx.beginPath();
    for (const [a, b] of lines) {
      this.#between(ctx, placeAt(lower, a), placeAt(upper, b));
    }
    if (this.#from && this.table.pointer) {
      const [x, y] = this.table.view.toWorld(this.table.pointer.x, this.table.pointer.y);
      this.#between(ctx, this.#from.place, {x, y});
    }
    ctx.strokeStyle = this.table.colours.leafDeep;
    ctx.lineWidth = 1.6;
    ctx.stroke();
  }

  #between(ctx, a, b) {
    ctx.moveTo(...this.table.view.toScreen(a.x, a.y));
    ctx.lineTo(...this.table.view.toScreen(b.x, b.y));
  }

  #paintNumbers(ctx, stop) {
    ctx.font = '600 11px Commissioner, sans-serif';
    ctx.textAlign = 'center';
    ctx.textBaseline = 'middle';
    let number = 0;
    forSegments(this.bench.scene.drawnContour(stop), (...segment) => {
      const middle = pointOf(...segment, 0.5);
      const [sx, sy] = this.table.view.toScreen(middle.x, middle.y);
      const text = String(++number);
      ctx.lineWidth = 4;
      ctx.strokeStyle = this.table.colours.card;
      ctx.strokeText(text, sx, sy);
      ctx.fillStyle = this.table.colours.ink;
      ctx.fillText(text, sx, sy);
    });
    ctx.textAlign = 'left';
  }
}
