import {registerAlong} from './along.js';
import {ask} from './ask.js';
import {trace} from './paths.js';
import {registerRemains} from './remains.js';

// What the bench has for sheets besides: what a lead would hit where a start is dragged to, why a lead lies where it
// does, and what is left after the last move.

export function register(bench) {
  registerAlong(bench, (stop, start) => trial(bench, stop, start));
  new Why(bench);
  if (bench.player) {
    registerRemains(bench);
  }
}

/** The lead that a stop would have. */
async function trial({job, table}, stop, start) {
  const found = await ask(`/jobs/${job}/cuts/lead?${new URLSearchParams({stop: stop.id, start})}`);
  return found && {
    ...found,
    paint: (painter) => {
      if (found.lead.length) {
        painter.world();
        painter.stroke(trace(new Path2D(), found.lead), table.colours.sea, 2.5);
      }
    },
  };
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
