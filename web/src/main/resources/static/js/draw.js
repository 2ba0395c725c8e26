import {ask} from './ask.js';
import {ghostOf} from './paths.js';

// Drawing on the table: a command asks for places, clicked or typed, and for values, then the server
// draws. The command stays in use until Escape, so that several lines or circles follow each other.

const apart = (a, b) => Math.hypot(b.x - a.x, b.y - a.y);
const degrees = (a, b) => Math.atan2(b.y - a.y, b.x - a.x) * 180 / Math.PI;
const rounded = (value) => String(Number(value.toFixed(4)));

/** What a place gives for a value, from the places before it: the words are the server's. */
const GIVES = {
  X: (p) => p.tx,
  Y: (p) => p.ty,
  DX: (p, [a]) => rounded(p.x - a.x),
  DY: (p, [a]) => rounded(p.y - a.y),
  DISTANCE: (p, [a]) => rounded(apart(a, p)),
  TWICE_THE_DISTANCE: (p, [a]) => rounded(2 * apart(a, p)),
  DIRECTION: (p, [a]) => rounded(degrees(a, p)),
  ACROSS: (p, [a]) => rounded(degrees(a, p) + 90),
  SWEEP: (p, [a, b]) => rounded((degrees(a, p) - degrees(a, b) + 720) % 360),
};

const given = ({gives}, p, before) =>
  Object.fromEntries(Object.entries(gives).map(([name, what]) => [name, GIVES[what](p, before)]));

/** Words whose figure is drawn at the pointer without asking. */
const INSTANT = new Set(['line', 'circle', 'rectangle']);

/** Values that stay when the command is used again. */
const KEPT = new Set(['radius', 'length', 'other', 'layer', 'distance', 'width', 'sides', 'height', 'turn', 'keep', 'away',
  'font', 'wide', 'slant', 'letters', 'words', 'pitch', 'align', 'along', 'across']);

export class Drawing {
  #places = [];

  /** Places that the command in use asks for. */
  #steps = [];
  #word = null;
  #kept = {};
  #waiting = false;
  #ghost = null;
  #asked = '';
  #asking = false;

  /** Typed before the fields of the command were there. */
  #early = '';

  /**
   * @param slip fetches the slip of the selection again
   * @param pictures see to it that a picture is traced before it is drawn
   */
  constructor({table, tools, job}, slip, pictures) {
    Object.assign(this, {table, tools, job, slip, pictures});
    document.addEventListener('click', (event) => this.#clicked(event));
    document.addEventListener('submit', (event) => this.#submitted(event));
    // before the keys of the page: while a command is in use, what is typed is its place
    document.addEventListener('keydown', (event) => this.#typedAnywhere(event), true);
    table.overlays.push((ctx, painter) => this.#preview(ctx, painter));
    document.addEventListener('input', ({target}) => {
      if (this.active && target.closest('#draw-form')) {
        this.#ask();
      } else if (target.id === 'kept') {
        this.#takeKept(target);
      }
    });
  }

  /** What the shop keeps under a name, as typed by whoever kept it. */
  #takeKept(list) {
    const values = list.selectedOptions[0]?.dataset.values;
    document.getElementById('kept-forget').hidden = !values;
    if (values) {
      this.#fillAll(JSON.parse(values));
      this.#prompt();
      this.#ask();
    }
  }

  async #forgetKept() {
    const list = document.getElementById('kept');
    const chosen = list.selectedOptions[0];
    await htmx.ajax('POST', `/jobs/${this.job}/shape/kept/forget`, {source: document.body, swap: 'none', values: {kept: chosen.value}});
    chosen.remove();
    list.value = '';
    document.getElementById('kept-forget').hidden = true;
    document.getElementById('draw-kept').hidden = list.options.length < 2;
  }

  get active() {
    return this.#word !== null;
  }

  get name() {
    return this.idle ? 'select' : 'draw';
  }

  /** Whether it wants no place: then clicks select what it works on. */
  get idle() {
    return this.#steps.length === 0;
  }

  get snaps() {
    return true;
  }

  get grid() {
    return true;
  }

  /** Directions start at the place before. */
  from() {
    return this.#places[this.#places.length - 1] ?? null;
  }

  #clicked({target}) {
    const button = target.closest('[data-draw]');
    if (button) {
      button.closest('details')?.removeAttribute('open');
      this.start(button.dataset.draw);
    } else if (target.closest('#kept-forget')) {
      this.#forgetKept();
    } else if (target.closest('[data-draw-end]')) {
      this.tools.leave(this);
    }
  }

  /** Digits, signs and commas typed anywhere go into the place field, or the value that is missing. */
  #typedAnywhere(event) {
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey;
    const elsewhere = !event.target.closest?.('input, select, textarea, dialog, [contenteditable]');
    if (!this.active || !plain || !elsewhere || document.querySelector('dialog[open]')) {
      return;
    }
    if (event.key === 'Enter' && !event.target.closest('button, a, summary')) {
      event.preventDefault();
      event.stopImmediatePropagation();
      this.#confirm();
    } else if (/^[0-9.,;+\-(]$/.test(event.key)) {
      event.preventDefault();
      event.stopImmediatePropagation();
      this.#early += event.key;
      this.#passOn();
    }
  }

  /** What was typed before the fields were there goes into them when they are. */
  #passOn() {
    const place = document.getElementById('draw-place');
    const field = place && !place.hidden ? document.getElementById('draw-typed') : this.#missing();
    if (this.#early && this.form && field) {
      field.value += this.#early;
      this.#early = '';
      field.focus();
      field.dispatchEvent(new Event('input', {bubbles: true}));
    }
  }

  #confirm() {
    const missing = this.#missing();
    if (missing) {
      missing.focus();
    } else if (this.form) {
      this.#submit();
    }
  }

  async start(word, values = {}, from = null) {
    if (this.#word !== word) {
      this.#early = '';
      this.#steps = [];
    }
    this.#word = word;
    this.#places = from ? [from] : [];
    this.#forget();
    this.tools.use(this);
    document.querySelector('.draw-command')?.removeAttribute('data-ready');
    for (const button of document.querySelectorAll('[data-draw]')) {
      button.ariaPressed = String(button.dataset.draw === word);
    }
    await htmx.ajax('GET', `/jobs/${this.job}/shape/commands/${word}`, {target: '#slip', swap: 'innerHTML', source: document.body});
    if (this.#word !== word) {
      return;
    }
    for (const [name, value] of Object.entries(values)) {
      this.#fill(name, value);
    }
    this.#steps = JSON.parse(document.querySelector('.draw-command').dataset.places);
    const asksForPlace = !this.idle;
    this.tools.use(this);
    if (from) {
      this.#fillAll(given(this.#steps[0], from, []));
    }
    this.#prompt();
    document.querySelector('.draw-command').dataset.ready = 'true';
    this.#passOn();
    if (!asksForPlace) {
      if (!this.#missing() && word !== 'fit') {
        this.#submit();
      } else {
        (this.#missing() ?? this.form.querySelector('input[type=text]'))?.focus();
      }
    }
  }

  end() {
    this.#early = '';
    this.#word = null;
    this.#places = [];
    this.#forget();
    for (const button of document.querySelectorAll('[data-draw]')) {
      button.ariaPressed = 'false';
    }
    this.slip();
  }

  #forget() {
    this.#ghost = null;
    this.#asked = '';
  }

  get form() {
    return document.getElementById('draw-form');
  }


  #field(name) {
    return this.form?.elements[`v.${name}`];
  }

  #fill(name, value) {
    const field = this.#field(name);
    if (field) {
      field.value = value;
    }
  }

  #fillAll(values) {
    Object.entries(values).forEach(([name, value]) => this.#fill(name, value));
  }

  #missing() {
    return [...this.form?.querySelectorAll('[data-required=true]') ?? []].find((f) => !f.value.trim());
  }

  #prompt() {
    const prompt = document.getElementById('draw-prompt');
    const next = this.#steps[this.#places.length];
    if (prompt) {
      prompt.textContent = next ? `Click ${next.asks}, or type it.` : this.#missing() ? 'Type what is missing.' : 'Enter draws.';
      document.getElementById('draw-place').hidden = !this.#steps.length;
    }
    this.table.refreshTop();
  }

  click({snapped: p}) {
    if (this.#waiting) {
      return;
    }
    this.#take({...p, tx: rounded(p.x), ty: rounded(p.y)});
  }

  #take(p) {
    const next = this.#steps[this.#places.length];
    if (!next) {
      return;
    }
    this.#fillAll(given(next, p, this.#places));
    this.#places.push(p);
    if (this.#places.length < this.#steps.length) {
      this.#prompt();
      return;
    }
    const missing = this.#missing();
    if (missing) {
      this.#prompt();
      missing.focus();
    } else {
      this.#submit();
    }
  }

  #submitted(event) {
    if (event.target.id === 'draw-form') {
      event.preventDefault();
      this.#confirm();
    } else if (event.target.id === 'draw-place') {
      event.preventDefault();
      this.#typed(document.getElementById('draw-typed'));
    }
  }

  /** A place as text: 40, 25 · by 10, 5 · 50 at 30. Formulas stay formulas. */
  #typed(field) {
    const last = this.#places[this.#places.length - 1] ?? {x: 0, y: 0, tx: '0', ty: '0'};
    const text = field.value.trim();
    const relative = text.match(/^by\s+(.+)$/i);
    const polar = text.match(/^(.+?)\s+at\s+(.+)$/i);
    const pair = (relative ? relative[1] : text).split(text.includes(';') ? ';' : ',').map((s) => s.trim());
    let p = null;
    if (polar) {
      const [l, a] = [Number(polar[1]), Number(polar[2]) * Math.PI / 180];
      p = {x: last.x + l * Math.cos(a), y: last.y + l * Math.sin(a), tx: `${last.tx} + (${polar[1]})*COS(${polar[2]})`,
        ty: `${last.ty} + (${polar[1]})*SIN(${polar[2]})`};
    } else if (pair.length === 2 && pair.every(Boolean)) {
      p = relative
          ? {x: last.x + Number(pair[0]), y: last.y + Number(pair[1]), tx: `${last.tx} + (${pair[0]})`, ty: `${last.ty} + (${pair[1]})`}
          : {x: Number(pair[0]), y: Number(pair[1]), tx: pair[0], ty: pair[1]};
    }
    if (!p) {
      this.#refuse('A place is x, y - or by dx, dy - or length at angle.');
      return;
    }
    field.value = '';
    this.#take(p);
    document.getElementById('draw-typed')?.focus();
  }

  #refuse(sentence) {
    const error = document.getElementById('draw-error');
    if (error) {
      error.textContent = sentence;
      error.hidden = !sentence;
    }
  }

  async #submit() {
    const word = this.#word;
    const data = Object.fromEntries(new FormData(this.form));
    const near = this.#places[this.#places.length - 1];
    if (near && !Number.isNaN(near.x)) {
      Object.assign(data, {nearX: near.x, nearY: near.y});
    }
    const targets = document.querySelector('.draw-command')?.dataset.targets;
    const chained = word === 'line' ? this.#places[1] : null;
    this.#waiting = true;
    if (word === 'picture' && !await this.pictures.ready(data)) {
      this.#waiting = false;
      return;
    }
    await htmx.ajax('POST', `/jobs/${this.job}/shape/draw`, {source: document.body, swap: 'none', values: data});
    this.#waiting = false;
    const refused = document.getElementById('draw-refused')?.textContent ?? document.getElementById('bench-error')?.textContent;
    if (this.#word !== word) {
      return;
    }
    if (refused) {
      const values = Object.fromEntries(Object.entries(data).filter(([k]) => k.startsWith('v.')).map(([k, v]) => [k.slice(2), v]));
      await this.start(word, values);
      this.#refuse(refused);
      this.table.dispatchEvent(new CustomEvent('refused', {detail: refused}));
    } else if (targets === 'some') {
      this.tools.leave(this);
    } else {
      const kept = Object.fromEntries(Object.entries(data).map(([k, v]) => [k.replace(/^v\./, ''), v])
          .filter(([k]) => KEPT.has(k) && !(word === 'slot' && (k === 'length' || k === 'turn'))
              && !(word === 'rectangle' && (k === 'width' || k === 'height')) && !(word === 'polygon' && k === 'turn')
              && !word.startsWith('arc')));
      await this.start(word, kept, chained);
    }
  }

  // ---- what would be drawn, at the pointer

  /** What would be sent if the next place were the pointer's; null while more is missing. */
  #wish() {
    const steps = this.#steps;
    const p = this.table.pointerPlace;
    const data = Object.fromEntries(new FormData(this.form));
    let near = this.#places[this.#places.length - 1];
    if (this.#places.length < steps.length) {
      if (!p || this.#places.length < steps.length - 1) {
        return null;
      }
      near = {...p, tx: rounded(p.x), ty: rounded(p.y)};
      const filled = given(steps[this.#places.length], near, this.#places);
      Object.entries(filled).forEach(([name, value]) => {
        data[`v.${name}`] = value;
      });
    }
    const missing = [...this.form.querySelectorAll('[data-required=true]')].some((f) => !data[f.name]?.trim());
    if (missing) {
      return null;
    }
    if (near && !Number.isNaN(near.x)) {
      Object.assign(data, {nearX: near.x, nearY: near.y});
    }
    return {...data, stop: document.querySelector('#bench-state [name=stop]').value};
  }

  /** Asks the server what would come of it, one question at a time, always of the latest wish. */
  async #ask() {
    const wish = this.form && !this.#waiting ? this.#wish() : null;
    const question = wish ? new URLSearchParams(wish).toString() : '';
    if (question === this.#asked || this.#asking) {
      return;
    }
    this.#asked = question;
    if (!wish) {
      this.#ghost = null;
      return;
    }
    this.#asking = true;
    const preview = await ask(`/jobs/${this.job}/shape/preview?${question}`);
    const ghost = preview && ghostOf(preview);
    this.#asking = false;
    // the command may have ended, or another one begun, while the server was at it
    this.#ghost = this.#asked === question ? ghost : null;
    this.table.refreshTop();
  }

  #preview(ctx, painter) {
    if (!this.active) {
      return;
    }
    this.#ask();
    if (this.#ghost) {
      painter.stroke(this.#ghost.gone, this.table.colours.tableGround, 3);
      painter.stroke(this.#ghost.gone, this.table.colours.lineStrong, 1.4, [2, 4]);
      painter.stroke(this.#ghost.drawn, this.table.colours.leaf, 1.6, [6, 3]);
    }
    if (!this.#places.length || !this.table.pointerPlace) {
      return;
    }
    const p = this.table.pointerPlace;
    const [a, b] = this.#places;
    if (!this.#ghost || INSTANT.has(this.#word)) {
      painter.stroke(this.#band(a, b, p), this.table.colours.leaf, 1.4, [6, 3]);
    }
    painter.screen();
    const [sx, sy] = this.table.view.toScreen(p.x, p.y);
    const last = b ?? a;
    ctx.font = '500 12px Commissioner, sans-serif';
    ctx.fillStyle = this.table.colours.ink;
    ctx.fillText(`${apart(last, p).toFixed(2)} mm at ${degrees(last, p).toFixed(1)}°`, sx + 14, sy - 12);
  }

  /** What follows the pointer at once, before the server has said what comes of it. */
  #band(a, b, p) {
    const path = new Path2D();
    if (['circle', 'polygon'].includes(this.#word) || (this.#word === 'arc-centre' && !b)) {
      path.arc(a.x, a.y, apart(a, p), 0, 2 * Math.PI);
    } else if (this.#word === 'rectangle') {
      path.rect(Math.min(a.x, p.x), Math.min(a.y, p.y), Math.abs(p.x - a.x), Math.abs(p.y - a.y));
    } else {
      path.moveTo(a.x, a.y);
      if (b) {
        path.lineTo(b.x, b.y);
      }
      path.lineTo(p.x, p.y);
    }
    return path;
  }
}
