import {ask} from './ask.js';
import {traceSegment} from './paths.js';

// A picture beside the line work that was made of it: parted by a line that can be dragged, its levels of grey with the one
// between ink and paper, and how far each line and arc is off. Line work of large pictures is waited for where one sees how
// far it is.

/** Pixels off up to which line work is as good as the picture, and from which on it should be looked at. */
const SHARP = 0.1;
const ROUGH = 0.4;

/** ms between two questions how far it is. */
const AGAIN = 250;

const LEVELS = 255;

export class PictureLook {
  #look = null;
  #image = null;
  #lines = [];
  #drawn = null;

  /**
   * @param renew fetches the slip anew
   */
  constructor(bench, renew) {
    this.renew = renew;
    this.bench = bench;
    this.table = bench.table;
    this.share = 0.5;
    this.divider = this.#divider();
    this.table.underlays.push((ctx, painter) => this.#paint(ctx, painter));
    this.table.addEventListener('viewpainted', () => this.#place());
    bench.addEventListener('slip', () => this.#follow());
    document.body.addEventListener('htmx:confirm', (event) => this.#waitForStep(event));
  }

  async #follow() {
    const box = document.querySelector('#slip .step-values[data-command="picture"]');
    const drawn = box?.dataset.drawn ?? null;
    this.#drawn = drawn;
    if (!drawn || drawn.includes(',')) {
      this.#show(null, null);
      return;
    }
    const look = await ask(`/jobs/${this.bench.job}/shape/picture?${new URLSearchParams({drawn})}`);
    const image = look && await loaded(look.href);
    if (this.#drawn === drawn) {
      this.#show(look, image);
    }
  }

  #show(look, image) {
    this.#look = image ? look : null;
    this.#image = image;
    this.#lines = look ? sorted(look.off) : [];
    this.divider.hidden = !this.#look;
    const panel = document.querySelector('#slip .picture-panel');
    if (panel && look) {
      panel.replaceChildren(levels(look.bars, look.level, (value) => this.#level(value)), ...look.told.map(sentence), legend());
    }
    this.#place();
    this.table.refreshTop();
  }

  /** The slider stands for the field of the level, which shows what would come of it and keeps it. */
  #level(value) {
    const form = [...document.querySelectorAll('#slip .step-values form')].find((f) => f.elements.field?.value === 'level');
    const field = form?.elements.value;
    if (field) {
      field.value = value;
    }
    return field;
  }

  // ---- the line between both

  #divider() {
    const divider = document.createElement('div');
    divider.className = 'picture-divider';
    divider.hidden = true;
    divider.tabIndex = 0;
    divider.role = 'slider';
    divider.ariaLabel = 'Picture to the left, line work to the right: drag it, or move it with the arrow keys';
    divider.ariaValueMin = '0';
    divider.ariaValueMax = '100';
    divider.addEventListener('pointerdown', (event) => {
      event.preventDefault();
      divider.focus({preventScroll: true});
      divider.setPointerCapture(event.pointerId);
    });
    divider.addEventListener('pointermove', (event) => {
      if (divider.hasPointerCapture(event.pointerId)) {
        const [left, right] = this.#sides();
        this.#to((event.clientX - this.table.top.getBoundingClientRect().left - left) / (right - left));
      }
    });
    divider.addEventListener('keydown', (event) => {
      const by = {ArrowLeft: -0.02, ArrowRight: 0.02, Home: -1, End: 1}[event.key];
      if (by) {
        event.preventDefault();
        event.stopPropagation();
        this.#to(this.share + by);
      }
    });
    this.table.top.after(divider);
    return divider;
  }

  #to(share) {
    this.share = Math.max(0, Math.min(1, share));
    this.#place();
    this.table.refreshTop();
  }

  /** Left and right of the picture on the screen. */
  #sides() {
    const {place: [a, b, c, d, e, f], width, height} = this.#look;
    const x = [[0, 0], [width, 0], [0, height], [width, height]]
        .map(([u, v]) => this.table.view.toScreen(a * u + c * v + e, b * u + d * v + f)[0]);
    return [Math.min(...x), Math.max(...x)];
  }

  #place() {
    if (this.#look) {
      const [left, right] = this.#sides();
      this.divider.style.transform = `translateX(${left + this.share * (right - left)}px) translateX(-50%)`;
      this.divider.ariaValueNow = String(Math.round(100 * this.share));
    }
  }

  #paint(ctx, painter) {
    if (!this.#look) {
      return;
    }
    const [left, right] = this.#sides();
    painter.screen();
    ctx.save();
    ctx.beginPath();
    ctx.rect(0, 0, left + this.share * (right - left), this.table.view.height);
    ctx.clip();
    painter.world();
    const {place, width, height} = this.#look;
    ctx.transform(...place);
    ctx.transform(1, 0, 0, -1, 0, height);
    ctx.globalAlpha = 0.92;
    ctx.drawImage(this.#image, 0, 0, width, height);
    ctx.restore();
    const {colours} = this.table;
    [[colours.leaf, 1.4], [colours.amber, 2.4], [colours.rose, 4]].forEach(([colour, wide], i) => {
      painter.stroke(this.#lines[i], colour, wide);
    });
  }

  // ---- long work

  /** Sees to it that a picture is traced before an edit asks for it; false: somebody stopped that. */
  async ready(values) {
    const send = (what) => fetch(`/jobs/${this.bench.job}/shape/picture/work${what}`, {
      method: 'POST', body: new URLSearchParams(values), headers: JSON.parse(document.body.getAttribute('hx-headers')),
    }).then((answer) => (answer.ok && answer.status !== 204 ? answer.json() : null)).catch(() => null);
    let stopped = false;
    let notice = null;
    const stop = () => {
      stopped = true;
      send('/stop');
    };
    for (;;) {
      const state = await send('');
      if (stopped || !state || !['WAITING', 'RUNNING'].includes(state.phase)) {
        notice?.remove();
        return !stopped;
      }
      notice ??= progress(stop);
      notice.querySelector('progress').value = state.share;
      notice.querySelector('span').textContent = state.doing || 'Making line work of the picture';
      await new Promise((over) => setTimeout(over, AGAIN));
    }
  }

  /** Another value of a picture is sent when its line work is there. */
  #waitForStep(event) {
    const {path, elt} = event.detail;
    if (!/\/shape\/steps\?/.test(path) || !elt.closest?.('.step-values[data-command="picture"]')) {
      return;
    }
    event.preventDefault();
    const form = Object.fromEntries(new FormData(elt.closest('form') ?? undefined));
    this.ready({...form, drawn: this.#drawn}).then((there) => (there ? event.detail.issueRequest(true) : this.renew()));
  }
}

async function loaded(href) {
  const answer = await fetch(href).catch(() => null);
  return answer?.ok ? createImageBitmap(await answer.blob(), {imageOrientation: 'from-image'}).catch(() => null) : null;
}

/** Lines and arcs by how far they are off: hardly, some, much. */
function sorted(rows) {
  const paths = [new Path2D(), new Path2D(), new Path2D()];
  for (const [x0, y0, x1, y1, bulge, off] of rows) {
    const path = paths[off <= SHARP ? 0 : off <= ROUGH ? 1 : 2];
    path.moveTo(x0, y0);
    traceSegment(path, x0, y0, x1, y1, bulge);
  }
  return paths;
}

function sentence(text) {
  const p = document.createElement('p');
  p.className = 'quiet';
  p.textContent = text;
  return p;
}

function legend() {
  const p = document.createElement('p');
  p.className = 'quiet picture-legend';
  [['near', `up to ${SHARP} pixels off`], ['some', `up to ${ROUGH}`], ['far', 'more']].forEach(([name, text]) => {
    const mark = document.createElement('i');
    mark.className = name;
    p.append(mark, ` ${text} `);
  });
  return p;
}

function progress(stop) {
  const notice = document.createElement('div');
  notice.className = 'picture-work';
  notice.role = 'status';
  notice.innerHTML = '<span></span><progress max="1" value="0"></progress><button type="button" class="btn btn-outline">Stop</button>';
  notice.querySelector('button').addEventListener('click', stop);
  document.getElementById('slip').prepend(notice);
  return notice;
}

/**
 * The levels of grey of a picture, with a slider for the one between ink and paper.
 *
 * @param field gives the field of the level, with a value put into it
 */
export function levels(bars, level, field) {
  const box = document.createElement('div');
  box.className = 'picture-levels';
  const most = Math.max(...bars.map(Math.sqrt), 1);
  const columns = bars.map((n, i) => `<rect x="${i}" y="${(1 - Math.sqrt(n) / most).toFixed(4)}" width="0.86" height="${(Math.sqrt(n) / most).toFixed(4)}"/>`);
  const at = (l) => l * bars.length / (LEVELS + 1);
  box.innerHTML = `<svg viewBox="0 0 ${bars.length} 1" preserveAspectRatio="none" role="img" aria-label="How many pixels have which level of grey, black to the left">
    ${columns.join('')}<line class="level" x1="${at(level)}" x2="${at(level)}" y1="0" y2="1"/></svg>
    <input type="range" min="0" max="${LEVELS}" step="1" value="${Math.round(level)}" aria-label="Level between ink and paper"><output>${Math.round(level)}</output>`;
  const range = box.querySelector('input');
  const line = box.querySelector('line');
  const put = (kind) => {
    box.querySelector('output').textContent = range.value;
    line.setAttribute('x1', at(range.value));
    line.setAttribute('x2', at(range.value));
    field(range.value)?.dispatchEvent(new Event(kind, {bubbles: true}));
  };
  range.addEventListener('input', () => put('input'));
  range.addEventListener('change', () => put('change'));
  return box;
}
