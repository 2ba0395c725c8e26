import {forSegments, nearest, placed, placeAt, pointOf} from './paths.js';

// Flanks by pointing: the numbers of the elements, angles and corners of single ones, and the lines that join a
// contour with the one above it.

const REACH = 14;
const BUTTONS = ['set-elements', 'set-corners', 'draw-lines'];

export class FlankTools {
  #mode = null;
  #from = null;
  #open = false;

  /**
   * @param post sends a value of the selected stop
   * @param only the one selected stop, if there is one
   * @param say shows a sentence
   */
  constructor(table, post, only, say) {
    Object.assign(this, {table, post, only, say});
    table.overlays.push((ctx, painter) => this.#paint(ctx, painter));
    table.addEventListener('pointedAt', ({detail}) => this.#pointed(detail));
    document.addEventListener('toggle', ({target}) => {
      if (target.matches?.('[data-elements]')) {
        this.#open = target.open;
        table.refreshTop();
      }
    }, true);
  }

  /** The scene or the slip is a new one. */
  follow(scene) {
    this.scene = scene;
    this.#from = null;
    const elements = document.querySelector('[data-elements]');
    if (elements && this.#open) {
      elements.open = true;
    }
    if (this.#mode && !document.getElementById(this.#mode)) {
      this.set(null);
    }
    this.#press();
    this.table.refreshTop();
  }

  click(target) {
    const button = target.closest(BUTTONS.map((id) => '#' + id).join());
    if (!button) {
      return false;
    }
    this.set(this.#mode === button.id ? null : button.id);
    return true;
  }

  get active() {
    return this.#mode !== null;
  }

  set(mode) {
    if (mode || this.#mode) {
      this.#mode = mode;
      this.#from = null;
      this.table.setMode(mode ? 'tabs' : 'select');
      this.#press();
    }
  }

  #press() {
    for (const id of BUTTONS) {
      document.getElementById(id)?.setAttribute('aria-pressed', String(this.#mode === id));
    }
  }

  #pointed(world) {
    const stop = this.only();
    if (!this.#mode || !stop) {
      return;
    }
    const contour = this.scene.drawnContour(stop);
    const place = this.#near(contour, world);
    if (this.#mode === 'draw-lines') {
      this.#line(stop, world, place);
    } else if (place && this.#mode === 'set-elements') {
      const angle = document.getElementById('element-angle').value.trim();
      this.post('values', {field: 'elements', value: `+${place.index + 1}: ${angle}`});
    } else if (place && contour[3 * place.index + 4] === 0) {
      this.say(`Element ${place.index + 1} is a line; corners are arcs.`);
    } else if (place) {
      this.post('values', {field: 'cornerOf', value: `+${place.index + 1}`});
    }
  }

  #near(contour, world) {
    const place = nearest(contour, world.x, world.y);
    return place.distance * this.table.view.k > REACH ? null : place;
  }

  /** Each end of a line lies on the contour that it is nearer to. */
  #line(stop, world, lower) {
    const upper = this.#near(this.#above(stop), world);
    if (!lower && !upper) {
      return;
    }
    const end = !upper || (lower && lower.distance < upper.distance) ? {lower, place: lower} : {upper, place: upper};
    const both = {...this.#from, ...end};
    if (both.lower && both.upper) {
      this.#from = null;
      this.post('values', {field: 'lines', value: `+${both.lower.along.toFixed(3)} > ${both.upper.along.toFixed(3)}`});
    } else {
      this.#from = end;
      this.table.refreshTop();
    }
  }

  #above(stop) {
    const {upper} = document.querySelector('[data-upper]').dataset;
    return placed(this.scene.featureById.get(upper).d, this.scene.placementOf(stop));
  }

  // ---- what is drawn over the table

  #paint(ctx, painter) {
    const stop = this.only();
    if (!stop || !this.scene?.wire || this.scene.stage !== 'cuts') {
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
    if (!joined || !this.scene.featureById.has(joined.dataset.upper)) {
      return;
    }
    const lower = this.scene.drawnContour(stop);
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
    forSegments(this.scene.drawnContour(stop), (...segment) => {
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
