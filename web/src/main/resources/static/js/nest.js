import {askOfRun, ask} from './ask.js';
import {Bodies} from './bodies.js';
import {Scene} from './scene.js';
import {box, placed, trace} from './paths.js';

// Nests on Sheet: parts in the tint and with the letter of their job, the best so far while a search is under way,
// parts selected, dragged and moved by keys. The page shows at once where a part that is dragged has room; the server
// decides where it comes to lie.

const SMALLEST_WITH_LETTER = 16;
const LIVE_EVERY = 700;

/** ms in which the page finds where a dragged part has room. */
const AT_ONCE = 10;

/** Where letters may stand, from the middle outwards, in halves of the box of a part. */
const PLACES = [0, 0.2, 0.4, 0.6, 0.75, 0.88].flatMap((r) => [0, 1, 2, 3, 4, 5, 6, 7].map((i) => [r * Math.cos(i * Math.PI / 4), r * Math.sin(i * Math.PI / 4)]));
const ARROWS = {ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1]};

export function register(bench) {
  const nest = new Nest(bench);
  bench.addEventListener('scene', () => nest.load());
  bench.addEventListener('slip', () => nest.showPart());
  bench.tools.closing(() => nest.selected !== null && (nest.select(null), true));
  bench.tools.closing(() => nest.begun && (nest.leave(), true));
  nest.follow();
  if (bench.scene) {
    nest.load();
  }
}

class Nest {
  selected = null;

  /** Whether others go aside for what is dragged. */
  makesRoom = false;
  #parts = [];
  #rest = null;
  #sheet = null;
  #live = null;
  #turnedBack = null;

  /** Asked for when the first part is dragged. */
  #bodies = null;

  constructor(bench) {
    Object.assign(this, {bench, table: bench.table});
    this.table.overlays.unshift((ctx, painter) => this.#paint(ctx, painter));
    this.table.clicks.push((world) => this.#clicked(world));
    if (bench.edits) {
      this.table.grabs.push((at, world) => this.#grab(world));
      document.addEventListener('keydown', (event) => this.#key(event), true);
    }
    document.addEventListener('click', ({target}) => this.#pressed(target));
    document.addEventListener('change', (event) => this.#typed(event));
    document.addEventListener('submit', (event) => event.target.matches('.nest-turn') && event.preventDefault());
  }

  /** Whether a click is waited for. */
  get begun() {
    return this.chosen !== undefined || Boolean(this.laying);
  }

  leave() {
    this.chosen = undefined;
    this.laying = null;
    this.bench.note('');
  }

  get run() {
    return Number(document.querySelector('#bench-state [name=run]').value);
  }

  /** What the parts of the scene are of. */
  async load() {
    const answer = await askOfRun(this.bench.job, `${this.bench.stage}/nest/scene`);
    // none where the parts lie in rows again
    this.#parts = answer?.sheet?.parts ?? [];
    this.#rest = answer?.sheet?.rest ?? null;
    this.#sheet = answer?.sheet ?? null;
    if (this.selected !== null && this.selected >= this.#parts.length) {
      this.selected = null;
    }
    this.#bodies = null;
    this.#outlines(this.#parts);
    this.showPart();
    this.table.refreshTop();
    document.body.dataset.nest = this.#parts.length;
  }

  #outlines(parts) {
    const scene = this.bench.scene;
    this.shapes = parts.map((p) => this.#outline(scene, p));
  }

  #outline(scene, placement) {
    const {part, to: [a, b, c, d, e, f]} = placement;
    const own = new Path2D();
    (scene.parts[part] ?? []).forEach((id) => {
      trace(own, scene.featureById.get(id).d);
      own.closePath();
    });
    const there = new Path2D();
    there.addPath(own, new DOMMatrix([a, b, c, d, e, f]));
    return {path: there, letter: this.#letterPlace(scene, placement, there)};
  }

  /** A place within the part for its letter, near its middle, and how large the part is. */
  #letterPlace(scene, {part, to}, there) {
    const outline = scene.parts[part]?.[0];
    if (!outline) {
      return null;
    }
    const [x0, y0, x1, y1] = box(placed(scene.featureById.get(outline).d, to));
    const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const at = PLACES.map(([u, v]) => [mx + u * (x1 - x0) / 2, my + v * (y1 - y0) / 2]).find(([x, y]) => this.#within(there, x, y));
    return {x: at?.[0] ?? mx, y: at?.[1] ?? my, size: Math.min(x1 - x0, y1 - y0)};
  }

  #within(path, x, y) {
    const ctx = this.table.top.getContext('2d');
    ctx.save();
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    const within = ctx.isPointInPath(path, x, y, 'evenodd');
    ctx.restore();
    return within;
  }

  // ---- the picture

  #paint(ctx, painter) {
    const parts = this.#live ? this.#live.parts : this.#parts;
    const shapes = this.#live ? this.#live.shapes : this.shapes;
    if (!this.bench.scene || !shapes) {
      return;
    }
    parts.forEach((p, i) => {
      painter.world();
      ctx.fillStyle = tint(p.letter, 0.28);
      ctx.fill(shapes[i].path, 'evenodd');
      if (p.locked) {
        painter.stroke(shapes[i].path, this.table.colours.ink, 1.6, [5, 3]);
      }
    });
    this.#paintHeads(painter, this.#live ? this.#live.sheet : this.#sheet, shapes);
    painter.screen();
    ctx.font = '600 12px Commissioner, sans-serif';
    ctx.textAlign = 'center';
    ctx.textBaseline = 'middle';
    ctx.fillStyle = this.table.colours.ink;
    parts.forEach((p, i) => this.#letter(ctx, p, shapes[i].letter));
    ctx.textAlign = 'left';
    if (!this.#live) {
      this.#paintRest(ctx, painter);
      this.#paintSelected(painter);
    }
  }

  /** What the other heads cut, and what of the sheet is used at all. */
  #paintHeads(painter, sheet, shapes) {
    if (!sheet?.zone) {
      return;
    }
    const others = new Path2D();
    for (let k = 1; k < sheet.heads; k++) {
      shapes.forEach(({path}) => others.addPath(path, new DOMMatrix([1, 0, 0, 1, 0, k * sheet.pitch])));
    }
    painter.stroke(others, this.table.colours.ink, 0.8, [2, 3]);
    const [x0, y0, x1, y1] = sheet.zone;
    const zone = new Path2D();
    zone.rect(x0, y0, x1 - x0, y1 - y0);
    const [left, bottom, right, top] = sheet.box;
    const whole = new Path2D();
    whole.rect(left, bottom, right - left, top - bottom);
    painter.stroke(whole, this.table.colours.ink, 1);
    painter.stroke(zone, this.table.colours.ink, 1, [10, 4, 2, 4]);
  }

  #letter(ctx, {letter, locked}, at) {
    if (!at || at.size * this.table.view.k < SMALLEST_WITH_LETTER) {
      return;
    }
    const [x, y] = this.table.view.toScreen(at.x, at.y);
    ctx.fillText(letter + (locked ? ' ▪' : ''), x, y);
  }

  #paintRest(ctx, painter) {
    if (!this.#rest) {
      return;
    }
    const [x0, y0, x1, y1] = this.#rest;
    const path = new Path2D();
    path.rect(x0, y0, x1 - x0, y1 - y0);
    painter.stroke(path, this.table.colours.sea, 1.6, [8, 5]);
    painter.screen();
    const [left, top] = this.table.view.toScreen(x0, y1);
    ctx.font = '560 12px Commissioner, sans-serif';
    ctx.textBaseline = 'top';
    ctx.fillStyle = this.table.colours.sea;
    ctx.fillText(`rest ${(x1 - x0).toFixed(0)} × ${(y1 - y0).toFixed(0)}`, left + 8, top + 8);
  }

  #paintSelected(painter) {
    if (this.selected !== null && this.shapes[this.selected]) {
      painter.stroke(this.shapes[this.selected].path, this.table.colours.rose, 2.6);
    }
    if (this.drag) {
      this.drag.paint(painter);
    }
  }

  // ---- selecting

  #at(world) {
    const found = (this.shapes ?? []).findLastIndex(({path}) => this.#within(path, world.x, world.y));
    return found < 0 ? null : found;
  }

  #clicked(world) {
    if (!this.#parts.length && !this.laying) {
      return false;
    }
    if (this.laying) {
      this.bench.post('nest/lay', {line: this.laying, x: world.x, y: world.y});
      this.laying = null;
      this.bench.note('');
      return true;
    }
    const part = this.#at(world);
    if (this.chosen !== undefined) {
      this.#withOther(part);
      return true;
    }
    this.select(part);
    return true;
  }

  /** What was chosen for the selected part is done with another one, which is clicked. */
  #withOther(other) {
    const {part, path, values} = this.chosen;
    this.leave();
    if (other !== null && other !== part) {
      this.bench.post('nest/' + path, {part: part + 1, other: other + 1, ...values});
    }
  }

  #waitForOther(note, path, values) {
    this.chosen = {part: this.selected, path, values};
    this.bench.note(note);
  }

  select(part) {
    this.selected = part;
    this.showPart();
    this.table.refreshTop();
  }

  /** Says beside that why it lies there; the answer for a part that is not selected any more is late. */
  async #showWhy() {
    const part = this.selected;
    const said = await askOfRun(this.bench.job, `${this.bench.stage}/nest/part`, {part: part + 1}, 'text');
    const place = document.getElementById('nest-part-why');
    if (place && this.selected === part) {
      place.innerHTML = said ?? '';
    }
  }

  /** Says on the slip which part is selected. */
  showPart() {
    const box = document.getElementById('nest-part');
    if (!box) {
      return;
    }
    const part = this.selected === null ? null : this.#parts[this.selected];
    box.hidden = !part;
    document.querySelectorAll('.nest-line').forEach((line) => line.classList.toggle('selected', part?.line === line.dataset.line));
    if (!part) {
      return;
    }
    const line = document.getElementById('line-' + part.line);
    const [a, b, c, d] = part.to;
    const mirrored = a * d - b * c < 0;
    const angle = ((Math.atan2(b, mirrored ? -a : a) * 180 / Math.PI) * (mirrored ? -1 : 1) + 360) % 360;
    document.getElementById('nest-part-name').textContent = `${part.letter} ${line?.querySelector('.nest-name b')?.textContent ?? ''}, `
        + `turned ${angle.toFixed(2).replace(/\.?0+$/, '')}°${mirrored ? ', other side up' : ''}${part.locked ? ', fixed' : ''}`;
    this.#showWhy();
    const lock = box.querySelector('[data-hand=lock]');
    if (lock) {
      lock.textContent = part.locked ? 'Let loose' : 'Fix';
    }
    box.dataset.mirrored = mirrored;
    const room = document.getElementById('nest-room');
    if (room) {
      room.checked = this.makesRoom;
    }
  }

  // ---- by hand

  #send(path, values) {
    this.bench.post('nest/' + path, {part: this.selected + 1, ...values});
  }

  #pressed(target) {
    const hand = target.closest('[data-hand]')?.dataset.hand;
    const lay = target.closest('[data-lay]')?.dataset.lay;
    if (target.closest('[data-choose-all]')) {
      document.querySelectorAll('.nest-choose [data-waits=true]').forEach((box) => {
        box.checked = true;
      });
    }
    if (lay) {
      this.laying = lay;
      this.bench.note('Click where its middle is to lie.');
    }
    if (target.matches('#nest-room')) {
      this.makesRoom = target.checked;
    }
    const push = target.closest('[data-push]')?.dataset.push;
    if (push && this.selected !== null) {
      this.#send('push', {to: push});
    }
    if (!hand || this.selected === null) {
      return;
    }
    const part = this.#parts[this.selected];
    const act = {
      turn: () => this.#send('place', {turn: 90}),
      mirror: () => this.#send('place', {mirrored: document.getElementById('nest-part').dataset.mirrored !== 'true'}),
      lock: () => this.#send('place', {locked: !part.locked}),
      off: () => this.#send('take-off', {}),
      swap: () => this.#waitForOther('Click the part to exchange it with.', 'swap'),
    };
    act[hand]();
  }

  #typed(event) {
    if (event.target.matches('.nest-turn [name=turn]') && event.target.value.trim() && this.selected !== null) {
      this.#send('place', {turn: event.target.value.replace(',', '.')});
    } else if (event.target.matches('#nest-align') && event.target.value && this.selected !== null) {
      this.#waitForOther('Click the part to align it with.', 'align', {edge: event.target.value});
      event.target.value = '';
    } else if (event.target.matches('.nest-turn [name=sheet]') && event.target.value && this.selected !== null) {
      this.#send('place', {sheet: event.target.value});
    }
  }

  #key(event) {
    const arrow = ARROWS[event.key];
    const typing = event.target.closest('input, select, textarea, dialog');
    if (!arrow || typing || this.selected === null || event.metaKey) {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    if (event.ctrlKey) {
      this.#send('push', {to: event.key.slice('Arrow'.length).toLowerCase()});
      return;
    }
    const step = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
    this.#send('place', {dx: arrow[0] * step, dy: arrow[1] * step});
  }

  #grab(world) {
    const part = this.#at(world);
    if (this.begun) {
      return null;
    }
    if (part === null || this.#live || this.#parts[part].locked) {
      return null;
    }
    this.select(part);
    this.#bodies ??= askOfRun(this.bench.job, `${this.bench.stage}/nest/bodies`).then((data) => data && new Bodies(data));
    this.drag = new Drag(this, part, world, this.#bodies);
    return this.drag;
  }

  // ---- a search that is under way

  /** Draws what the search has found so far. */
  async follow() {
    for (;;) {
      await new Promise((next) => setTimeout(next, LIVE_EVERY));
      const going = document.getElementById('nest-search');
      if (!going) {
        this.#endLive();
        continue;
      }
      const answer = await askOfRun(this.bench.job, `${this.bench.stage}/nest/scene`);
      const sheet = answer?.best?.[Math.min(this.run, answer.best.length) - 1];
      if (sheet && this.bench.scene) {
        this.#showLive(sheet);
      }
    }
  }

  #showLive(sheet) {
    const scene = this.bench.scene;
    this.#turnedBack ??= scene;
    const data = {...this.#turnedBack.data, stock: sheet.box, outline: sheet.outline, stops: [], travel: [], flags: [],
      placements: sheet.parts.map((p) => [...p.to, p.part])};
    const shown = new Scene(data, this.bench.stage);
    this.#live = {sheet, parts: sheet.parts, shapes: sheet.parts.map((p) => this.#outline(shown, p))};
    this.table.show(shown);
    document.body.dataset.nestLive = sheet.parts.length;
  }

  #endLive() {
    if (this.#live) {
      this.#live = null;
      if (this.bench.scene === this.#turnedBack) {
        this.table.show(this.bench.scene);
      }
      this.#turnedBack = null;
      delete document.body.dataset.nestLive;
    }
  }
}

/** A part under the pointer: where it is wished, and where it has room: as the page sees it, then as the server does. */
class Drag {
  #asking = false;
  #asked = '';
  #place = {found: true, dx: 0, dy: 0, touches: ''};

  /** @param bodies when they are there */
  constructor(nest, part, from, bodies) {
    Object.assign(this, {nest, part, from, dx: 0, dy: 0});
    bodies.then((all) => {
      this.bodies = all;
    });
  }

  move(world) {
    this.dx = world.x - this.from.x;
    this.dy = world.y - this.from.y;
    if (this.bodies && !this.nest.makesRoom) {
      const [dx, dy] = this.bodies.nearest(this.part, [this.dx, this.dy], [this.#place.dx, this.#place.dy], AT_ONCE);
      this.#place = {found: true, dx, dy, touches: ''};
    }
    this.#ask();
  }

  async #ask() {
    const {bench, run} = this.nest;
    const wish = this.#wish(run);
    if (this.#asking || wish === this.#asked || this.nest.makesRoom) {
      return;
    }
    this.#asking = true;
    this.#asked = wish;
    const found = await ask(`/jobs/${bench.job}/${bench.stage}/nest/try?${wish}`);
    this.#asking = false;
    if (this.nest.drag !== this) {
      return;
    }
    if (wish === this.#wish(run) || !this.bodies) {
      this.#place = found?.found ? found : {...this.#place, found: false, problem: found?.problem ?? ''};
      this.nest.table.refreshTop();
    }
    this.#ask();
  }

  #wish(run) {
    return new URLSearchParams({run, part: this.part + 1, dx: this.dx.toFixed(4), dy: this.dy.toFixed(4)}).toString();
  }

  paint(painter) {
    const {shapes, table} = this.nest;
    const own = shapes[this.part].path;
    const wished = new Path2D();
    wished.addPath(own, new DOMMatrix([1, 0, 0, 1, this.dx, this.dy]));
    painter.stroke(wished, table.colours.ink, 1.4, [5, 4]);
    const {found, dx, dy, touches, problem} = this.#place;
    if (found && !this.nest.makesRoom) {
      const there = new Path2D();
      there.addPath(own, new DOMMatrix([1, 0, 0, 1, dx, dy]));
      painter.stroke(there, table.colours.rose, 2.2);
    }
    this.nest.bench.note(found ? touches : problem);
  }

  drop(world, far) {
    this.cancel();
    if (far) {
      this.nest.bench.post(this.nest.makesRoom ? 'nest/make-room' : 'nest/drop', {part: this.part + 1, dx: world.x - this.from.x, dy: world.y - this.from.y});
    }
  }

  cancel() {
    this.nest.drag = null;
    this.nest.bench.note('');
  }
}

/** The tint of a job: letters that follow each other lie far apart on the circle of colours. */
function tint(letter, alpha) {
  const number = [...letter].reduce((sum, c) => 26 * sum + c.charCodeAt(0) - 64, 0);
  return letter ? `hsl(${(number * 137.5 + 20) % 360} 62% 52% / ${alpha})` : `hsl(150 30% 45% / ${alpha / 2})`;
}
