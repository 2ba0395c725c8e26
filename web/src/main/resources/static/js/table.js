import {trace} from './paths.js';
import {Painter, readColours, RULER} from './painter.js';
import {BoxIndex} from './box-index.js';
import {chainAt, pickAt, pickWithin} from './picker.js';
import {snapAt} from './snap.js';
import {View} from './view.js';

// The table: three canvases over each other. The lowest holds what stands still, the middle one what
// the replay has cut, the top one what follows the pointer. While the view moves over a heavy picture
// the last one is shown shifted, and painted anew when the hand rests.

const QUICK = 14;
const REST = 110;
const FAR = 4;

export class Table extends EventTarget {
  #tool = null;
  #drag = null;
  #touches = new Map();

  constructor(top) {
    super();
    this.top = top;
    this.base = this.#under();
    this.traceLayer = this.#under();
    this.view = new View();
    this.colours = readColours();
    this.scene = null;
    this.selected = new Set();
    this.pointer = null;
    this.underlays = [];
    this.overlays = [];
    this.grabs = [];
    this.clicks = [];
    this.snapNote = document.getElementById('snap');
    new ResizeObserver(() => this.#resize()).observe(top.parentElement);
    this.#resize();
    this.#listen();
    addEventListener('themechange', () => {
      this.colours = readColours();
      this.refresh();
    });
    document.fonts.ready.then(() => this.refresh());
  }

  #under() {
    const canvas = document.createElement('canvas');
    canvas.className = 'table-layer';
    canvas.ariaHidden = 'true';
    this.top.before(canvas);
    return canvas;
  }

  #resize() {
    const {width, height} = this.top.parentElement.getBoundingClientRect();
    this.ratio = devicePixelRatio || 1;
    const fitted = this.scene && this.fittedView && this.#sameView(this.fittedView);
    for (const canvas of [this.base, this.traceLayer, this.top]) {
      canvas.width = Math.max(1, Math.round(width * this.ratio));
      canvas.height = Math.max(1, Math.round(height * this.ratio));
      canvas.style.width = width + 'px';
      canvas.style.height = height + 'px';
      canvas.style.position = 'absolute';
      canvas.style.inset = '0';
    }
    this.view.width = width;
    this.view.height = height;
    if (fitted) {
      this.#fitBox(this.scene.extents()[this.fitted], this.scene.extents().at(-1));
      this.fittedView = this.view.copy();
    } else {
      this.refresh();
    }
  }

  #sameView(other) {
    return other.k === this.view.k && other.ox === this.view.ox && other.oy === this.view.oy;
  }

  show(scene) {
    const first = !this.scene?.extents().some(Boolean) || this.picks.length === 0;
    const untouched = this.fittedView && this.#sameView(this.fittedView);
    this.scene = scene;
    this.picks = scene.pickable();
    this.index = new BoxIndex(this.picks);
    if (first || (untouched && this.#isCutOff())) {
      this.fittedView = null;
      this.fit();
    }
    this.refresh();
  }

  /** Whether what is shown goes on beside the table. */
  #isCutOff() {
    const box = this.scene.extents()[0];
    if (!box) {
      return false;
    }
    const [left, top] = this.view.toScreen(box[0], box[3]);
    const [right, bottom] = this.view.toScreen(box[2], box[1]);
    return left < 0 || top < 0 || right > this.view.width || bottom > this.view.height;
  }

  /** Fits the whole stock; once more, what is cut. */
  fit() {
    const boxes = this.scene?.extents() ?? [];
    const again = this.fittedView && this.#sameView(this.fittedView);
    this.fitted = again ? (this.fitted + 1) % boxes.length : 0;
    this.#fitBox(boxes[this.fitted], boxes[0]);
    this.fittedView = this.view.copy();
  }

  #fitBox(box, around = box) {
    if (box) {
      this.view.fit(box, RULER, around);
      this.refresh();
    }
  }

  fitSelection() {
    const boxes = this.picks.filter(([id]) => this.selected.has(id)).map(([, , b]) => b);
    if (boxes.length) {
      this.#fitBox([Math.min(...boxes.map((b) => b[0])), Math.min(...boxes.map((b) => b[1])),
        Math.max(...boxes.map((b) => b[2])), Math.max(...boxes.map((b) => b[3]))]);
    }
  }

  zoom(factor) {
    this.view.zoomAt(this.view.width / 2, this.view.height / 2, factor);
    this.#moved();
  }

  goTo(x, y) {
    this.view.k = Math.max(this.view.k, Math.min(8, this.view.width / 120));
    this.view.centre(x, y);
    this.ping = {x, y, until: performance.now() + 1600};
    this.refresh();
  }

  select(ids) {
    this.selected = new Set(ids);
    this.refreshTop();
  }

  /** Clicks go to a tool from now on; without one they select. */
  use(tool) {
    this.#tool = tool;
    this.top.dataset.tool = tool?.name ?? 'select';
    this.snapNote.hidden = true;
    this.refreshTop();
  }

  /** The tool that clicks go to; none while it wants no place. */
  get #pointing() {
    return this.#tool && !this.#tool.idle ? this.#tool : null;
  }

  /** Everything anew, at the next frame. */
  refresh() {
    this.#baseDue = true;
    this.#schedule();
  }

  refreshTop() {
    this.#schedule();
  }

  #baseDue = false;
  #frame = 0;
  #cost = 0;
  #resting = 0;

  #schedule() {
    this.#frame ||= requestAnimationFrame(() => {
      this.#frame = 0;
      if (this.#baseDue) {
        this.#baseDue = false;
        this.#paintBase();
      }
      this.#paintTop();
    });
  }

  /** After a change of the view from elsewhere. */
  moved() {
    this.#moved();
  }

  #moved() {
    if (this.#cost < QUICK || !this.paintedView) {
      this.refresh();
      return;
    }
    this.#blit();
    this.#schedule();
    clearTimeout(this.#resting);
    this.#resting = setTimeout(() => this.refresh(), REST);
  }

  #blit() {
    const ctx = this.base.getContext('2d');
    const factor = this.view.k / this.paintedView.k;
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.fillStyle = this.colours.tableGround;
    ctx.fillRect(0, 0, this.base.width, this.base.height);
    ctx.setTransform(factor, 0, 0, factor,
        (this.view.ox - factor * this.paintedView.ox) * this.ratio, (this.view.oy - factor * this.paintedView.oy) * this.ratio);
    ctx.drawImage(this.kept, 0, 0);
  }

  #paintBase() {
    const began = performance.now();
    const ctx = this.base.getContext('2d');
    const painter = new Painter(ctx, this.view, this.ratio, this.colours);
    painter.hidesDimensions = this.hidesDimensions;
    painter.paint(this.scene);
    this.#cost = performance.now() - began;
    this.paintedView = this.view.copy();
    this.top.dataset.view = [this.view.k, this.view.ox, this.view.oy].join(' ');
    if (this.#cost >= QUICK) {
      this.kept ||= document.createElement('canvas');
      this.kept.width = this.base.width;
      this.kept.height = this.base.height;
      this.kept.getContext('2d').drawImage(this.base, 0, 0);
    }
    this.dispatchEvent(new Event('viewpainted'));
  }

  #paintTop() {
    const ctx = this.top.getContext('2d');
    const painter = new Painter(ctx, this.view, this.ratio, this.colours);
    painter.screen();
    ctx.clearRect(0, 0, this.view.width, this.view.height);
    // browsers that paint without a graphics card leave the old picture when nothing but this is done
    ctx.fillStyle = 'rgb(0 0 0 / 1%)';
    ctx.fillRect(0, 0, 1, 1);
    if (!this.scene) {
      return;
    }
    this.underlays.forEach((paint) => paint(ctx, painter));
    this.#paintSelection(painter);
    this.overlays.forEach((paint) => paint(ctx, painter));
    painter.screen();
    this.#paintBand(ctx);
    this.#paintPing(ctx);
  }

  #paintSelection(painter) {
    const path = new Path2D();
    for (const [id, d, box] of this.picks) {
      if (this.selected.has(id) && this.view.isVisible(box)) {
        trace(path, d);
      }
    }
    painter.stroke(path, this.colours.rose, 3.4);
  }

  #paintBand(ctx) {
    if (this.#drag?.kind === 'band') {
      const {x, y, nowX, nowY} = this.#drag;
      ctx.setLineDash([4, 3]);
      ctx.strokeStyle = this.colours.rose;
      ctx.lineWidth = 1;
      ctx.strokeRect(Math.min(x, nowX), Math.min(y, nowY), Math.abs(nowX - x), Math.abs(nowY - y));
      ctx.setLineDash([]);
    }
  }

  #paintPing(ctx) {
    if (this.ping && performance.now() < this.ping.until) {
      const left = (this.ping.until - performance.now()) / 1600;
      const [sx, sy] = this.view.toScreen(this.ping.x, this.ping.y);
      ctx.strokeStyle = this.colours.amber;
      ctx.lineWidth = 3;
      ctx.beginPath();
      ctx.arc(sx, sy, 8 + 26 * left, 0, 2 * Math.PI);
      ctx.stroke();
      this.refreshTop();
    }
  }

  // ---- the pointer

  #listen() {
    const top = this.top;
    top.addEventListener('wheel', (e) => {
      e.preventDefault();
      const {x, y} = this.#at(e);
      this.view.zoomAt(x, y, 1.0016 ** -e.deltaY);
      this.#moved();
    }, {passive: false});
    top.addEventListener('pointerdown', (e) => this.#down(e));
    top.addEventListener('pointermove', (e) => this.#move(e));
    top.addEventListener('pointerup', (e) => this.#up(e));
    top.addEventListener('pointercancel', (e) => this.#cancel(e));
    top.addEventListener('pointerleave', () => {
      this.pointer = null;
      this.snapNote.hidden = true;
      this.refreshTop();
    });
    top.addEventListener('keydown', (e) => this.#key(e));
  }

  #key(event) {
    const pans = {ArrowLeft: [60, 0], ArrowRight: [-60, 0], ArrowUp: [0, 60], ArrowDown: [0, -60]};
    const by = pans[event.key];
    if (by && !event.altKey && !event.ctrlKey) {
      event.preventDefault();
      this.view.pan(...by);
      this.#moved();
    }
  }

  #at(event) {
    const frame = this.top.getBoundingClientRect();
    return {x: event.clientX - frame.left, y: event.clientY - frame.top};
  }

  #world({x, y}) {
    const [wx, wy] = this.view.toWorld(x, y);
    return {x: wx, y: wy};
  }

  /** What of the picture is taken hold of at a place; null: nothing. */
  #grabbed(at) {
    for (const grab of this.grabs) {
      const handle = grab(at, this.#world(at));
      if (handle) {
        return handle;
      }
    }
    return null;
  }

  #down(event) {
    if (event.button > 1) {
      return;
    }
    this.top.setPointerCapture(event.pointerId);
    const at = this.#at(event);
    this.#touches.set(event.pointerId, at);
    const band = event.shiftKey && !this.#pointing;
    const grabbed = band ? null : this.#pointing ? this.#pointing.grab?.(this.#world(at)) : this.#grabbed(at);
    this.#drag = {kind: grabbed ? 'handle' : band ? 'band' : 'pan', grabbed, x: at.x, y: at.y, nowX: at.x, nowY: at.y, far: false};
  }

  #move(event) {
    const at = this.#at(event);
    this.pointer = at;
    if (this.#touches.size === 2 && this.#touches.has(event.pointerId)) {
      this.#pinch(event.pointerId, at);
      return;
    }
    const drag = this.#drag;
    if (drag) {
      const dx = at.x - drag.nowX;
      const dy = at.y - drag.nowY;
      drag.far ||= Math.hypot(at.x - drag.x, at.y - drag.y) > FAR;
      drag.nowX = at.x;
      drag.nowY = at.y;
      this.#touches.set(event.pointerId, at);
      if (drag.kind === 'handle') {
        drag.grabbed.move(this.#world(at));
      } else if (drag.kind === 'pan' && drag.far) {
        this.view.pan(dx, dy);
        this.#moved();
      }
    }
    this.#noteSnap(at);
    this.dispatchEvent(new CustomEvent('pointed', {detail: this.#world(at)}));
    this.refreshTop();
  }

  #pinch(id, at) {
    const [other] = [...this.#touches].filter(([k]) => k !== id).map(([, p]) => p);
    const before = this.#touches.get(id);
    const factor = Math.hypot(at.x - other.x, at.y - other.y) / (Math.hypot(before.x - other.x, before.y - other.y) || 1);
    this.view.zoomAt((at.x + other.x) / 2, (at.y + other.y) / 2, factor);
    this.view.pan((at.x - before.x) / 2, (at.y - before.y) / 2);
    this.#touches.set(id, at);
    this.#drag = null;
    this.#moved();
  }

  #up(event) {
    const drag = this.#drag;
    this.#touches.delete(event.pointerId);
    this.#drag = null;
    if (!drag) {
      return;
    }
    const at = this.#at(event);
    if (drag.kind === 'handle') {
      drag.grabbed.drop(this.#world(at), drag.far);
    } else if (drag.kind === 'band' && drag.far) {
      this.dispatchEvent(new CustomEvent('picked', {detail: {ids: pickWithin(this.index, this.view, drag), add: false}}));
    } else if (!drag.far) {
      this.#click(at, event);
    }
    this.refreshTop();
  }

  #cancel(event) {
    this.#touches.delete(event.pointerId);
    this.#drag?.grabbed?.cancel();
    this.#drag = null;
    this.refreshTop();
  }

  #click(at, event) {
    if (this.#pointing) {
      this.#pointing.click({world: this.#world(at), snapped: this.#snapped(at), chain: () => chainAt(this.index, this.view, at)});
      return;
    }
    if (this.clicks.some((clicked) => clicked(this.#world(at)))) {
      return;
    }
    const id = pickAt(this.index, this.view, at);
    this.dispatchEvent(new CustomEvent('picked', {detail: {ids: id ? [id] : [], at: this.#world(at), add: event.ctrlKey || event.metaKey || event.shiftKey}}));
  }

  /** The place to snap to, or the place itself. */
  #snapped(at) {
    return this.#snap(at) ?? this.#world(at);
  }

  #snap(at) {
    return this.index ? snapAt(this.index, this.view, at, {points: this.scene.points, guides: this.scene.guides,
      from: this.#tool?.from?.() ?? null, grid: this.#tool?.grid ?? false}) : null;
  }

  /** Where the pointer is, snapped; null off the table. */
  get pointerPlace() {
    return this.pointer && this.scene ? this.#snapped(this.pointer) : null;
  }

  /** Writes at the pointer what a tool would snap to. */
  #noteSnap(at) {
    const place = this.#pointing?.snaps ? this.#snap(at) : null;
    this.snapNote.hidden = !place;
    if (place) {
      this.snapNote.textContent = place.kind;
      this.snapNote.style.left = at.x + 14 + 'px';
      this.snapNote.style.top = at.y + 12 + 'px';
    }
  }
}
