import {askOfRun} from './ask.js';
import {trace} from './paths.js';

// What is left after the last move, compared with the drawing: where material stays that should have gone,
// and where some is missing. Areas that are too small to be seen get a ring.

const SMALLEST = 5;
const RING = 7;
const MOST_DEPTHS = 60;

export function registerRemains(bench) {
  const remains = new Remains(bench);
  const button = document.getElementById('tool-remains');
  button?.addEventListener('click', async () => {
    button.ariaPressed = String(await remains.toggle());
  });
  bench.addEventListener('scene', () => remains.load());
}

class Remains {
  #shown = false;
  #areas = null;

  constructor({table, player, job, note}) {
    Object.assign(this, {table, player, job, note});
    table.overlays.push((ctx, painter) => this.#shown && this.#paint(ctx, painter));
  }

  async toggle() {
    this.#shown = !this.#shown;
    if (this.#shown) {
      this.player.seek(this.player.total);
      await this.load();
    }
    this.table.refreshTop();
    return this.#shown;
  }

  /** Fetched anew after each edit. */
  async load() {
    if (!this.#shown) {
      this.#areas = null;
      return;
    }
    const found = (await askOfRun(this.job, 'remains')) ?? {sentence: 'What is left could not be computed.', areas: []};
    this.#areas = found.areas.map((area) => ({...area, path: this.#path(area.d)}));
    this.note(found.sentence);
    this.table.refreshTop();
  }

  #path(contours) {
    const path = new Path2D();
    contours.forEach((d) => {
      trace(path, d);
      path.closePath();
    });
    return path;
  }

  #paint(ctx, painter) {
    const {view, colours} = this.table;
    let depths = 0;
    for (const area of this.#areas ?? []) {
      if (!view.isVisible(area.box)) {
        continue;
      }
      const colour = area.gouge ? colours.rose : colours.amber;
      painter.world();
      ctx.fillStyle = colour;
      ctx.fill(area.path, 'evenodd');
      painter.screen();
      const [x, y] = view.toScreen((area.box[0] + area.box[2]) / 2, (area.box[1] + area.box[3]) / 2);
      const size = Math.max(area.box[2] - area.box[0], area.box[3] - area.box[1]) * view.k;
      if (size < SMALLEST) {
        ctx.strokeStyle = colour;
        ctx.lineWidth = 1.6;
        ctx.beginPath();
        ctx.arc(x, y, RING, 0, 2 * Math.PI);
        ctx.stroke();
      } else if (depths++ < MOST_DEPTHS) {
        ctx.fillStyle = colours.ink;
        ctx.font = '600 11px Commissioner, sans-serif';
        ctx.fillText(area.text, x + RING + 2, y - 2);
      }
    }
  }
}
