import {apply, inverse, nearest, placeAt} from './paths.js';
import {SlipTool} from './tools.js';

// Places along the contour of a stop that are set by pointing, for every kind of work: where it starts, and its tabs.

/** px from a place that count as at it */
const NEAR = 10;

/**
 * @param trial asks what would happen if a stop started mm along its contour: what to draw (lead), whether it fits, and a
 *     sentence (says); null: nothing is asked
 */
export function registerAlong(bench, trial = null) {
  new SlipTool(bench, 'put-tabs', (stop, {world}) => putTab(bench, stop, world));
  bench.table.grabs.push((at) => {
    const stop = bench.stage === 'cuts' && bench.edits ? bench.only() : null;
    if (!stop?.main.length || stop.kind !== 'profile') {
      return null;
    }
    const tab = tabAt(bench.table.view, stop, at);
    if (tab >= 0 && document.getElementById('put-tabs')) {
      return new TabDrag(bench, stop, tab);
    }
    return isAtStart(bench.table.view, stop, at) ? new StartDrag(bench, stop, trial) : null;
  });
}

/** mm along the drawn contour of a stop nearest to a place on the table. */
function alongDrawn(scene, stop, x, y) {
  const [dx, dy] = apply(inverse(scene.placementOf(stop)), x, y);
  return nearest(scene.featureById.get(stop.feature).d, dx, dy).along;
}

function isAtStart(view, stop, at) {
  const places = [[stop.main[0], stop.main[1]], ...(stop.in.length ? [[stop.in[0], stop.in[1]]] : [])];
  return places.some(([x, y]) => isNear(view, {x, y}, at));
}

function isNear(view, {x, y}, at) {
  const [sx, sy] = view.toScreen(x, y);
  return Math.hypot(sx - at.x, sy - at.y) < NEAR;
}

/** Middles of the tabs of a stop, on the table. */
function middles({main, tabs}) {
  const all = [];
  for (let i = 0; i < tabs.length; i += 2) {
    all.push(placeAt(main, (tabs[i] + tabs[i + 1]) / 2));
  }
  return all;
}

/** Index of the tab at a place on the screen; -1: none. */
function tabAt(view, stop, at) {
  return middles(stop).findIndex((place) => isNear(view, place, at));
}

/** The contour that is drawn, for what is dragged along it. */
class Drag {
  constructor({table, scene, job, post}, stop) {
    Object.assign(this, {table, scene, job, post, stop, contour: scene.drawnContour(stop)});
    this.paint = (ctx, painter) => this.at && this.draw(ctx, painter);
    table.overlays.push(this.paint);
  }

  move(world) {
    this.at = nearest(this.contour, world.x, world.y);
    this.wanted = alongDrawn(this.scene, this.stop, this.at.x, this.at.y).toFixed(3);
    this.table.refreshTop();
  }

  cancel() {
    this.table.overlays.splice(this.table.overlays.indexOf(this.paint), 1);
  }

  handle(ctx, painter, colour) {
    painter.screen();
    const [sx, sy] = this.table.view.toScreen(this.at.x, this.at.y);
    ctx.beginPath();
    ctx.arc(sx, sy, 7, 0, 2 * Math.PI);
    ctx.fillStyle = this.table.colours.card;
    ctx.fill();
    ctx.strokeStyle = colour;
    ctx.lineWidth = 3;
    ctx.stroke();
    return [sx, sy];
  }
}

/** The start of one stop under the pointer. What it would do there is asked for while it moves. */
class StartDrag extends Drag {
  #asked = '';
  #asking = false;
  #found = null;

  constructor(bench, stop, trial) {
    super(bench, stop);
    this.trial = trial;
  }

  move(world) {
    super.move(world);
    this.#ask();
  }

  async #ask() {
    const wish = this.wanted;
    if (!this.trial || this.#asking || wish === this.#asked) {
      return;
    }
    this.#asking = true;
    this.#asked = wish;
    this.#found = await this.trial(this.stop, wish);
    this.#asking = false;
    this.table.refreshTop();
    if (this.table.overlays.includes(this.paint)) {
      this.#ask();
    }
  }

  draw(ctx, painter) {
    const c = this.table.colours;
    this.#found?.paint(painter);
    const [sx, sy] = this.handle(ctx, painter, this.#found && !this.#found.fits ? c.rose : c.sea);
    if (this.#found?.says) {
      sayAt(ctx, c, sx + 14, sy - 14, this.#found.says, this.table.view.width);
    }
  }

  drop(world, far) {
    this.cancel();
    if (far) {
      this.post('values', {field: 'start', value: this.wanted});
    }
  }
}

/** One tab under the pointer: all of them stay where they are by hand then. */
class TabDrag extends Drag {
  constructor(bench, stop, tab) {
    super(bench, stop);
    this.others = middles(stop).filter((_, i) => i !== tab)
        .map(({x, y}) => alongDrawn(this.scene, stop, x, y).toFixed(3));
  }

  draw(ctx, painter) {
    const {colours, view} = this.table;
    const [sx, sy] = this.handle(ctx, painter, colours.leaf);
    sayAt(ctx, colours, sx + 14, sy - 14, `${Number(this.wanted).toFixed(1)} mm along`, view.width);
  }

  drop(world, far) {
    this.cancel();
    if (far) {
      this.post('values', {field: 'tabs.put', value: [...this.others, this.wanted].join(' ')});
    }
  }
}

/** A click on the contour of the stop puts a tab, a click on one takes it away. */
function putTab({table, scene, post}, stop, world) {
  const place = nearest(scene.drawnContour(stop), world.x, world.y);
  if (place.distance * table.view.k > 14) {
    return;
  }
  const [x, y] = table.view.toScreen(world.x, world.y);
  const tab = tabAt(table.view, stop, {x, y});
  if (tab < 0) {
    post('values', {field: 'tabs.add', value: alongDrawn(scene, stop, place.x, place.y).toFixed(2)});
    return;
  }
  const left = middles(stop).filter((_, i) => i !== tab).map((p) => alongDrawn(scene, stop, p.x, p.y).toFixed(3));
  post('values', {field: 'tabs.put', value: left.join(' ') || 'none'});
}

/** A sentence beside a place, in lines short enough to read, kept within the table. */
export function sayAt(ctx, c, x, y, text, width) {
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
