import {ask} from './ask.js';
import {apply, inverse, nearest, placeAt, trace} from './paths.js';
import {registerRemains} from './remains.js';
import {SlipTool} from './tools.js';

// What the bench has for sheets besides: dragging the start of a stop along its contour with what it would hit,
// tabs by pointing, why a lead lies where it does, and what is left after the last move.

export function register(bench) {
  const {table, job, stage, edits, post} = bench;
  new SlipTool(bench, 'put-tabs', (stop, {world}) => putTab(bench, stop, world));
  new Why(bench);
  // the ring of the one selected stop can be dragged along its contour
  table.grabs.push((at) => {
    const stop = stage === 'cuts' && edits ? bench.only() : null;
    return stop?.main.length && stop.kind === 'profile' && isAtStart(table.view, stop, at)
      ? new StartDrag(table, bench.scene, job, stop, post) : null;
  });
  if (bench.player) {
    registerRemains(bench);
  }
}

function isAtStart(view, stop, at) {
  const places = [[stop.main[0], stop.main[1]], ...(stop.in.length ? [[stop.in[0], stop.in[1]]] : [])];
  return places.some(([x, y]) => {
    const [sx, sy] = view.toScreen(x, y);
    return Math.hypot(sx - at.x, sy - at.y) < 10;
  });
}

/** The start of one stop under the pointer. What it would do there is asked for while it moves. */
class StartDrag {
  #asked = '';
  #asking = false;
  #trial = null;

  /**
   * @param post sends a value of the selected stops
   */
  constructor(table, scene, job, stop, post) {
    Object.assign(this, {table, job, stop, post});
    this.contour = scene.drawnContour(stop);
    this.back = inverse(scene.placementOf(stop));
    this.drawn = scene.featureById.get(stop.feature).d;
    this.paint = (ctx, painter) => this.#paint(ctx, painter);
    table.overlays.push(this.paint);
  }

  move(world) {
    this.at = nearest(this.contour, world.x, world.y);
    const [x, y] = apply(this.back, this.at.x, this.at.y);
    this.wanted = nearest(this.drawn, x, y).along.toFixed(3);
    this.#ask();
  }

  async #ask() {
    const wish = this.wanted;
    if (this.#asking || wish === this.#asked) {
      return;
    }
    this.#asking = true;
    this.#asked = wish;
    const question = new URLSearchParams({stop: this.stop.id, start: wish});
    this.#trial = await ask(`/jobs/${this.job}/cuts/lead?${question}`);
    this.#asking = false;
    this.table.refreshTop();
    if (this.table.overlays.includes(this.paint)) {
      this.#ask();
    }
  }

  #paint(ctx, painter) {
    if (!this.at) {
      return;
    }
    const c = this.table.colours;
    if (this.#trial?.lead.length) {
      painter.world();
      painter.stroke(trace(new Path2D(), this.#trial.lead), c.sea, 2.5);
    }
    painter.screen();
    const [sx, sy] = this.table.view.toScreen(this.at.x, this.at.y);
    ctx.beginPath();
    ctx.arc(sx, sy, 7, 0, 2 * Math.PI);
    ctx.fillStyle = c.card;
    ctx.fill();
    ctx.strokeStyle = this.#trial && !this.#trial.fits ? c.rose : c.sea;
    ctx.lineWidth = 3;
    ctx.stroke();
    if (this.#trial?.says) {
      sayAt(ctx, c, sx + 14, sy - 14, this.#trial.says, this.table.view.width);
    }
  }

  drop(world, far) {
    this.cancel();
    if (far) {
      this.post('values', {field: 'start', value: this.wanted});
    }
  }

  cancel() {
    this.table.overlays.splice(this.table.overlays.indexOf(this.paint), 1);
  }
}

/** A sentence beside a place, in lines short enough to read, kept within the table. */
function sayAt(ctx, c, x, y, text, width) {
  ctx.font = '500 12px Commissioner, sans-serif';
  ctx.textBaseline = 'middle';
  const lines = [];
  let line = '';
  for (const word of text.split(' ')) {
    if (ctx.measureText(`${line} ${word}`).width > 260 && line) {
      lines.push(line);
      line = word;
    } else {
      line = line ? `${line} ${word}` : word;
    }
  }
  lines.push(line);
  const wide = Math.max(...lines.map((l) => ctx.measureText(l).width)) + 16;
  const left = Math.min(x, width - wide - 4);
  const high = lines.length * 16 + 10;
  const top = Math.max(4, y - high);
  ctx.fillStyle = c.card;
  ctx.strokeStyle = c.lineStrong;
  ctx.lineWidth = 1;
  ctx.beginPath();
  ctx.rect(left, top, wide, high);
  ctx.fill();
  ctx.stroke();
  ctx.fillStyle = c.ink;
  lines.forEach((l, i) => ctx.fillText(l, left + 8, top + 13 + 16 * i));
}

/** A click on the contour of the stop puts a tab, a click on one put by hand takes it away. */
function putTab({table, scene, post}, stop, world) {
  const place = nearest(scene.drawnContour(stop), world.x, world.y);
  if (place.distance * table.view.k > 14) {
    return;
  }
  const [x, y] = apply(inverse(scene.placementOf(stop)), place.x, place.y);
  const along = nearest(scene.featureById.get(stop.feature).d, x, y).along.toFixed(2);
  post('values', {field: hasTabNear(table.view, stop, world) ? 'tabs.remove' : 'tabs.add', value: along});
}

function hasTabNear(view, {main, tabs}, {x, y}) {
  for (let i = 0; i < tabs.length; i += 2) {
    const p = placeAt(main, (tabs[i] + tabs[i + 1]) / 2);
    if (Math.hypot(p.x - x, p.y - y) * view.k < 9) {
      return true;
    }
  }
  return false;
}

const TERMS = [['room', 'room for the pierce', 4], ['straight', 'straight element', 1], ['near', 'near the way', 0.3], ['slats', 'clear of slats', 0.2]];

/** Every place that was looked at for a lead, as bars along the contour, and its worth in words. */
class Why {
  constructor(bench) {
    Object.assign(this, {bench, table: bench.table, job: bench.job, reasons: null});
    bench.table.overlays.push((ctx, painter) => this.#paint(ctx, painter));
    bench.button('#why-here', () => (this.#active ? this.#hide() : this.#show()));
    bench.addEventListener('slip', () => this.#active && this.#show());
    bench.tools.closing(() => {
      const was = this.#active;
      this.#hide();
      return was;
    });
  }

  get #active() {
    return this.reasons !== null;
  }

  /** Of the one selected stop; of none it ends. */
  async #show() {
    const stop = this.bench.only();
    if (!stop) {
      this.#hide();
      return;
    }
    this.reasons = await ask(`/jobs/${this.job}/cuts/why?${new URLSearchParams({stop: stop.id})}`);
    this.#write();
    this.table.refreshTop();
  }

  #hide() {
    this.reasons = null;
    this.#write();
    this.table.refreshTop();
  }

  #write() {
    document.getElementById('why-here')?.setAttribute('aria-pressed', String(this.#active));
    const place = document.getElementById('why');
    if (!place) {
      return;
    }
    place.replaceChildren();
    if (!this.reasons) {
      return;
    }
    const sentence = document.createElement('p');
    sentence.className = 'quiet';
    sentence.textContent = this.reasons.sentence;
    place.append(sentence);
    const chosen = this.reasons.places[this.reasons.chosen];
    if (chosen) {
      const list = document.createElement('dl');
      list.className = 'figures worth';
      for (const [name, label, weight] of TERMS) {
        const row = document.createElement('div');
        const term = document.createElement('dt');
        const value = document.createElement('dd');
        term.textContent = label;
        value.textContent = `${(100 * chosen[name]).toFixed(0)} % of ${weight}`;
        row.append(term, value);
        list.append(row);
      }
      place.append(list);
    }
  }

  /** A bar at each place, as long as it is worth; a cross where no lead fits. */
  #paint(ctx, painter) {
    if (!this.reasons) {
      return;
    }
    const c = this.table.colours;
    const {places, chosen} = this.reasons;
    const most = Math.max(...places.map((p) => p.worth), 1);
    painter.world();
    places.forEach((p, i) => {
      if (p.fits) {
        painter.stroke(trace(new Path2D(), p.lead), c.sea, i === chosen ? 2.5 : 0.9, i === chosen ? [] : [3, 3]);
      }
    });
    painter.screen();
    ctx.font = '600 11px Commissioner, sans-serif';
    ctx.textBaseline = 'middle';
    places.forEach((p, i) => {
      const d = p.lead;
      if (!d.length) {
        return;
      }
      const [sx, sy] = this.table.view.toScreen(d[d.length - 3], d[d.length - 2]);
      if (!p.fits) {
        ctx.beginPath();
        for (const [a, b] of [[-4, -4], [-4, 4]]) {
          ctx.moveTo(sx + a, sy + b);
          ctx.lineTo(sx - a, sy - b);
        }
        ctx.strokeStyle = c.rose;
        ctx.lineWidth = 1.6;
        ctx.stroke();
        return;
      }
      const high = 26 * p.worth / most;
      ctx.fillStyle = i === chosen ? c.leaf : c.leafPale;
      ctx.strokeStyle = c.leaf;
      ctx.lineWidth = 1;
      ctx.beginPath();
      ctx.rect(sx - 3, sy - high, 6, high);
      ctx.fill();
      ctx.stroke();
      if (i === chosen) {
        ctx.lineWidth = 3;
        ctx.strokeStyle = c.card;
        ctx.strokeText(p.worth.toFixed(2), sx + 6, sy - high);
        ctx.fillStyle = c.ink;
        ctx.fillText(p.worth.toFixed(2), sx + 6, sy - high);
      }
    });
  }
}
