import {ask} from './ask.js';
import {ghostOf} from './paths.js';

// Values of what was drawn, changed where they stand: handles to drag, or to reach with Tab and move with the arrow
// keys; sizes to type into. Both belong to the step whose values the slip shows.

/** ms without another key until what the arrow keys moved is kept. */
const SETTLES = 350;

/** Lengths on the screen below which sizes would hide what they measure, px. */
const SHORT = 14;

/** Shares of a dimension line at which its number may stand. */
const ALONG = [0.5, 0.3, 0.7, 0.15, 0.85];

/** px that a number takes up. */
const WIDE = 46;
const HIGH = 20;

const ARROWS = {ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1]};
const DEGREES = /angle|sweep|turn/i;

export class Handles {
  #drawn = null;
  #handles = [];
  #sizes = [];
  #ghost = null;
  #asking = false;
  #wished = null;
  #keyed = 0;
  #focus = null;

  constructor(bench) {
    this.bench = bench;
    this.table = bench.table;
    this.layer = document.createElement('div');
    this.layer.className = 'handles';
    this.table.top.after(this.layer);
    bench.addEventListener('slip', () => this.#follow());
    this.table.addEventListener('viewpainted', () => this.#place());
    this.table.overlays.push((ctx, painter) => this.#paint(ctx, painter));
    bench.button('#put-bridge', () => this.#toggleAdding());
    document.getElementById('slip').addEventListener('input', ({target}) => this.#typing(target));
  }

  /** What would come of a value that is being typed. */
  #typing(target) {
    const field = target.closest('.step-values form')?.elements.field?.value;
    if (field && target.name === 'value' && this.#drawn) {
      this.#wish(`${field} ${target.value}`, '/value', {field, value: target.value});
    }
  }

  // ---- whose they are

  async #follow() {
    const drawn = document.querySelector('#slip .step-values')?.dataset.drawn ?? null;
    this.#drawn = drawn;
    this.#forget();
    // several at once have no handles
    if (!drawn || drawn.includes(',')) {
      this.#leaveAdding();
      this.#build([], []);
      return;
    }
    const found = await this.#ask('', {});
    if (found && this.#drawn === drawn) {
      this.#build(found.handles, found.sizes);
    }
  }

  #ask(what, parameters) {
    return ask(`/jobs/${this.bench.job}/shape/handles${what}?${new URLSearchParams({...parameters, drawn: this.#drawn})}`);
  }

  #forget() {
    this.#ghost = null;
    this.#wished = null;
  }

  #build(handles, sizes) {
    // a new slip may come twice: what has the focus keeps it
    this.#focus ??= this.#handles.find(({button}) => button === document.activeElement)?.to ?? null;
    this.layer.replaceChildren();
    this.#handles = handles.map((h) => ({...h, to: middle(h), button: this.#button(h)}));
    this.#sizes = sizes.map((s) => ({...s, button: this.#sizeButton(s)}));
    this.#place();
    this.table.refreshTop();
    if (this.#focus) {
      this.#refocus();
    }
  }

  /** Of what was moved by the keyboard the next press moves the same, whatever it is called now. */
  #refocus() {
    const near = (h) => Math.hypot(h.to[0] - this.#focus[0], h.to[1] - this.#focus[1]);
    const nearest = [...this.#handles].sort((a, b) => near(a) - near(b))[0];
    nearest?.button.focus({preventScroll: true});
    this.#focus = null;
  }

  // ---- handles

  #button(handle) {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = `handle ${handle.kind}`;
    button.dataset.handle = handle.name;
    button.ariaLabel = `${handle.label}: drag it, or move it with the arrow keys${handle.kind === 'strip' ? '; Delete takes it away' : ''}`;
    button.title = handle.label;
    button.addEventListener('pointerdown', (event) => this.#down(event, this.#of(handle.name)));
    button.addEventListener('keydown', (event) => this.#key(event, this.#of(handle.name)));
    this.layer.append(button);
    return button;
  }

  #of(name) {
    return this.#handles.find((h) => h.name === name);
  }

  #down(event, handle) {
    event.preventDefault();
    event.stopPropagation();
    handle.button.focus({preventScroll: true});
    handle.button.setPointerCapture(event.pointerId);
    const from = {x: event.clientX, y: event.clientY};
    let far = false;
    const move = (now) => {
      far ||= Math.hypot(now.clientX - from.x, now.clientY - from.y) > 3;
      if (far) {
        const frame = this.table.top.getBoundingClientRect();
        this.#to(handle, this.table.view.toWorld(now.clientX - frame.left, now.clientY - frame.top));
      }
    };
    const end = (how) => {
      handle.button.removeEventListener('pointermove', move);
      handle.button.removeEventListener('pointerup', drop);
      handle.button.removeEventListener('pointercancel', leave);
      document.removeEventListener('keydown', escape, true);
      if (how && far) {
        this.#keep(handle);
      } else {
        this.#putBack(handle);
      }
    };
    const drop = () => end(true);
    const leave = () => end(false);
    const escape = (pressed) => {
      if (pressed.key === 'Escape') {
        pressed.stopImmediatePropagation();
        end(false);
      }
    };
    handle.button.addEventListener('pointermove', move);
    handle.button.addEventListener('pointerup', drop);
    handle.button.addEventListener('pointercancel', leave);
    document.addEventListener('keydown', escape, true);
  }

  /** As fine as the screen shows. */
  get #step() {
    return this.table.view.k > 8 ? 0.01 : 0.1;
  }

  #to(handle, place) {
    handle.to = place.map((v) => Math.round(v / this.#step) * this.#step);
    this.#place();
    this.table.refreshTop();
    const [x, y] = handle.to;
    this.#wish(`${handle.name} ${x} ${y}`, '/preview', {handle: handle.name, x, y});
  }

  #putBack(handle) {
    handle.to = middle(handle);
    this.#forget();
    this.#place();
    this.table.refreshTop();
  }

  #keep(handle) {
    const [x, y] = handle.to.map((v) => Number(v.toFixed(4)));
    this.bench.post('handles', {drawn: this.#drawn, handle: handle.name, x, y});
  }

  #key(event, handle) {
    const way = ARROWS[event.key];
    if (way && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      event.stopPropagation();
      const by = (event.shiftKey ? 10 : 1) * (event.altKey ? 0.1 : 1);
      this.#to(handle, [handle.to[0] + way[0] * by, handle.to[1] + way[1] * by]);
      clearTimeout(this.#keyed);
      this.#keyed = setTimeout(() => {
        this.#focus = handle.to;
        this.#keep(handle);
      }, SETTLES);
    } else if (handle.kind === 'strip' && (event.key === 'Delete' || event.key === 'Backspace')) {
      event.preventDefault();
      event.stopPropagation();
      this.bench.post('handles/remove', {drawn: this.#drawn, handle: handle.name});
    }
  }

  /** Shows what would come of something, always of what was wished last. */
  #wish(key, what, parameters) {
    this.#wished = {key, what, parameters};
    this.#preview();
  }

  async #preview() {
    if (this.#asking || !this.#wished) {
      return;
    }
    this.#asking = true;
    const {key, what, parameters} = this.#wished;
    const drawn = this.#drawn;
    const ghost = await this.#ask(what, parameters);
    this.#asking = false;
    if (this.#wished && this.#drawn === drawn) {
      this.#ghost = ghost && ghostOf(ghost);
      this.table.refreshTop();
      if (this.#wished.key !== key) {
        this.#preview();
      }
    }
  }

  // ---- sizes

  #sizeButton(size) {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = 'size';
    button.dataset.size = size.name;
    button.textContent = String(Number(size.value.toFixed(3))) + (DEGREES.test(size.label) ? '°' : '');
    button.title = size.label;
    button.ariaLabel = `${size.label}: ${button.textContent}, change it`;
    button.addEventListener('click', () => this.#type(size, button));
    this.layer.append(button);
    return button;
  }

  #type(size, button) {
    const input = document.createElement('input');
    input.type = 'text';
    input.className = 'size';
    input.value = this.#typed(size.name) || String(Number(size.value.toFixed(4)));
    input.ariaLabel = size.label;
    input.style.transform = button.style.transform;
    button.replaceWith(input);
    this.#sizes.find((s) => s.name === size.name && s.button === button).button = input;
    input.select();
    input.focus();
    let over = false;
    const leave = (kept) => {
      if (over) {
        return;
      }
      over = true;
      if (kept && input.value.trim() !== button.textContent) {
        this.bench.post('steps', {drawn: this.#drawn, field: size.name, value: input.value});
      }
      input.replaceWith(button);
      this.#sizes.find((s) => s.button === input).button = button;
      button.focus({preventScroll: true});
    };
    input.addEventListener('keydown', (event) => {
      event.stopPropagation();
      if (event.key === 'Enter' || event.key === 'Escape') {
        event.preventDefault();
        leave(event.key === 'Enter');
      }
    });
    input.addEventListener('blur', () => leave(false));
  }

  /** What was typed for a value: a formula stays one. */
  #typed(name) {
    const form = [...document.querySelectorAll('#slip .step-values form')].find((f) => f.elements.field?.value === name);
    return form?.elements.value?.value ?? '';
  }

  // ---- one more, by a click

  #adding = null;

  #toggleAdding() {
    if (this.#adding) {
      this.#leaveAdding();
      return;
    }
    const tool = {
      name: 'point',
      click: ({world}) => this.bench.post('handles/add', {drawn: this.#drawn, x: world.x.toFixed(3), y: world.y.toFixed(3)}),
      end: () => {
        this.#adding = null;
        document.getElementById('put-bridge')?.setAttribute('aria-pressed', 'false');
      },
    };
    this.#adding = tool;
    this.bench.tools.use(tool);
    document.getElementById('put-bridge')?.setAttribute('aria-pressed', 'true');
  }

  #leaveAdding() {
    if (this.#adding) {
      this.bench.tools.leave(this.#adding);
    }
  }

  // ---- the picture

  #place() {
    const view = this.table.view;
    for (const {to, button} of this.#handles) {
      const [x, y] = view.toScreen(...to);
      button.style.transform = `translate(${x}px, ${y}px) translate(-50%, -50%)`;
    }
    this.#placeSizes(view);
  }

  /** Each on its line where no other stands; beside the last one when all of the line is taken. */
  #placeSizes(view) {
    const taken = this.#handles.map(({to}) => view.toScreen(...to));
    const isFree = ([x, y]) => taken.every(([tx, ty]) => Math.abs(tx - x) > WIDE || Math.abs(ty - y) > HIGH);
    for (const {from, to, button} of this.#sizes) {
      const [a, b] = [view.toScreen(...from), view.toScreen(...to)];
      const tries = ALONG.map((t) => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]);
      let at = tries.find(isFree) ?? tries[0];
      while (!isFree(at)) {
        at = [at[0], at[1] + HIGH + 1];
      }
      taken.push(at);
      button.style.transform = `translate(${at[0]}px, ${at[1]}px) translate(-50%, -50%)`;
    }
  }

  #paint(ctx, painter) {
    const {colours, view} = this.table;
    if (this.#ghost) {
      painter.stroke(this.#ghost.gone, colours.tableGround, 3);
      painter.stroke(this.#ghost.gone, colours.lineStrong, 1.4, [2, 4]);
      painter.stroke(this.#ghost.drawn, colours.leaf, 1.6, [6, 3]);
    }
    for (const handle of this.#handles) {
      const path = handle.kind === 'strip' ? strip(handle) : line(handle.about, handle.to);
      painter.stroke(path, handle.kind === 'strip' ? colours.rose : colours.leaf, handle.kind === 'strip' ? 1.6 : 1.1, handle.kind === 'strip' ? [] : [3, 3]);
    }
    for (const {from, to} of this.#sizes) {
      if (Math.hypot(from[0] - to[0], from[1] - to[1]) * view.k > SHORT) {
        painter.stroke(dimension(from, to, 5 / view.k), colours.inkSoft ?? colours.lineStrong, 1);
      }
    }
  }
}

const middle = ({kind, at, about}) => (kind === 'strip' ? [(at[0] + about[0]) / 2, (at[1] + about[1]) / 2] : at);

function line(a, b) {
  const path = new Path2D();
  path.moveTo(...a);
  path.lineTo(...b);
  return path;
}

/** A line with a stroke across at each end. */
function dimension(a, b, half) {
  const path = line(a, b);
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [sx, sy] = [-(b[1] - a[1]) / long * half, (b[0] - a[0]) / long * half];
  for (const [x, y] of [a, b]) {
    path.moveTo(x - sx, y - sy);
    path.lineTo(x + sx, y + sy);
  }
  return path;
}

/** The outline of a bridge, where it is moved to. */
function strip({at, about, width, to}) {
  const [mx, my] = [(at[0] + about[0]) / 2, (at[1] + about[1]) / 2];
  const long = Math.hypot(about[0] - at[0], about[1] - at[1]) || 1;
  const [dx, dy] = [(about[0] - at[0]) / 2, (about[1] - at[1]) / 2];
  const [sx, sy] = [-dy / long * width, dx / long * width];
  const path = new Path2D();
  [[-1, -1], [1, -1], [1, 1], [-1, 1]].forEach(([a, s], i) => {
    const [x, y] = [to[0] + a * dx + s * sx, to[1] + a * dy + s * sy];
    i ? path.lineTo(x, y) : path.moveTo(x, y);
  });
  path.closePath();
  return path;
}
