import {registerAlong} from './along.js';
import {askOfRun} from './ask.js';
import {closed, registerHeights} from './heights.js';
import {registerPods} from './pods.js';
import {registerRound} from './round.js';
import {trace} from './paths.js';

// What the bench has for a router besides: how deep the stock is cut, as shades; the depth of a place that is pointed at;
// the work cut open along a line that is dragged.

export function register(bench) {
  bench.sceneOwn = (scene) => (scene.router ? new RouterDrawing(scene) : null);
  registerAlong(bench);
  registerHeights(bench);
  registerRound(bench);
  registerPods(bench);
  bench.table.underlays.push((ctx, painter) => paintGaps(bench, ctx, painter));
  new DepthAt(bench);
  new SectionAlong(bench);
}

/** What is drawn instead of parts and paths of stops: parts without what lies in them, depths, ways, what is left. */
class RouterDrawing {
  constructor(scene) {
    const {thickness, round, shaded, bounds, stock, bodies, pods, kept, floors, grooves, holes, ways, gaps, rests, left, gone} = scene.router;
    Object.assign(this, {thickness, round, shaded, bounds, bodies, pods, rests});
    this.stock = closed(stock);
    this.left = closed(left);
    this.gaps = new Map(gaps.map(({stop, d}) => [stop, closed(d)]));
    this.gone = closed(gone);
    this.kept = closed(kept);
    this.floors = floors.map(({depth, d}) => [depth, closed(d)]);
    this.grooves = grooves.map(({depth, width, d}) => [depth, width, joined(d)]);
    this.holes = discs(holes);
    this.ways = joined(ways.flatMap(({d}) => d));
  }

  paint(painter) {
    const {ctx, c} = painter;
    const alpha = ctx.globalAlpha;
    ctx.globalAlpha = 1;
    painter.world();
    // shallow before deep, whichever tools they are of
    const all = [...this.floors.map((f) => [...f, null]), ...this.holes.map((h) => [...h, null]),
      ...this.grooves.map(([depth, width, path]) => [depth, path, width])]
        .sort((a, b) => a[0] - b[0]);
    for (const [depth, path, width] of all) {
      const shade = this.#shade(depth, c);
      if (width === null) {
        ctx.fillStyle = shade;
        ctx.fill(path, 'evenodd');
      } else {
        ctx.strokeStyle = shade;
        ctx.lineWidth = width;
        ctx.lineCap = 'round';
        ctx.stroke(path);
        ctx.lineCap = 'butt';
      }
    }
    for (const [, path, width] of all) {
      if (width === null) {
        painter.stroke(path, c.leafDeep, 0.6);
      }
    }
    this.#bodies(painter);
    ctx.globalAlpha = alpha;
    painter.stroke(this.ways, c.rose, 0.9);
    this.paintFaults(painter);
  }

  /** What is gone beyond what is wanted in the end, and what is left. */
  paintFaults(painter) {
    const {ctx, c} = painter;
    painter.world();
    ctx.fillStyle = c.rose;
    ctx.fill(this.gone, 'evenodd');
    painter.stroke(this.gone, c.rose, 1.6);
    ctx.fillStyle = c.amberPale;
    ctx.fill(this.left, 'evenodd');
    painter.stroke(this.left, c.amber, 1.2);
    this.#rests(painter);
  }

  /** What of the table tools must not come to; pods show through the stock. */
  #bodies(painter) {
    const path = new Path2D();
    this.bodies.forEach(([left, bottom, right, top]) => path.rect(left, bottom, right - left, top - bottom));
    painter.world();
    painter.stroke(path, painter.c.inkSoft, 1.4, [5, 3]);
  }

  /** From the colour of parts to a deep one; what is cut through shows the table. */
  #shade(depth, c) {
    return depth >= this.thickness - 1e-6 ? c.tableGround
        : `color-mix(in srgb, ${c.depth} ${Math.round(18 + 70 * depth / this.thickness)}%, ${c.kept})`;
  }

  /** A cross where stock is left that somebody wants gone. */
  #rests(painter) {
    const {ctx, c, view} = painter;
    painter.screen();
    ctx.beginPath();
    for (const [x, y] of this.rests) {
      const [sx, sy] = view.toScreen(x, y);
      for (const side of [-1, 1]) {
        ctx.moveTo(sx - 6, sy - 6 * side);
        ctx.lineTo(sx + 6, sy + 6 * side);
      }
    }
    ctx.strokeStyle = c.amber;
    ctx.lineWidth = 2.4;
    ctx.stroke();
  }
}

/** What the rounds of the selected pocket leave between them, before it is gone through. */
function paintGaps(bench, ctx, painter) {
  const gaps = bench.stage === 'cuts' && bench.scene?.own?.gaps?.get(bench.only()?.id);
  if (gaps) {
    painter.world();
    ctx.fillStyle = bench.table.colours.amber;
    ctx.fill(gaps, 'evenodd');
  }
}

/** Holes of one depth together. */
function discs(holes) {
  const byDepth = new Map();
  for (const [x, y, diameter, depth] of holes) {
    const path = byDepth.get(depth) ?? new Path2D();
    path.moveTo(x + diameter / 2, y);
    path.arc(x, y, diameter / 2, 0, 2 * Math.PI);
    byDepth.set(depth, path);
  }
  return [...byDepth];
}

function joined(all) {
  const path = new Path2D();
  all.forEach((d) => trace(path, d));
  return path;
}

/** Asks how deep a place is cut, and by which stop; on Proof at the moment that is shown. */
class DepthAt {
  name = 'depth';

  constructor(bench) {
    Object.assign(this, {bench, button: document.getElementById('tool-depth')});
    this.button?.addEventListener('click', () => (this.button.ariaPressed === 'true' ? bench.tools.leave(this) : this.#begin()));
  }

  #begin() {
    this.button.ariaPressed = 'true';
    this.bench.tools.use(this);
    this.bench.note('Click a place: how deep it is cut');
  }

  end() {
    this.button.ariaPressed = 'false';
  }

  async click({world}) {
    const place = {x: world.x.toFixed(3), y: world.y.toFixed(3)};
    const moment = this.bench.player?.moment > 0 ? {t: this.bench.player.moment} : {};
    const sentence = await askOfRun(this.bench.job, 'depth', {...place, ...moment}, 'text');
    this.bench.note(sentence ?? 'The plan is not there yet.');
  }
}

/** Shows the work cut open along a line: dragged, or between two places that are clicked; its ends can be dragged on. */
class SectionAlong {
  name = 'section';
  #ends = [];
  #asking = false;
  #again = false;

  constructor(bench) {
    Object.assign(this, {bench, button: document.getElementById('tool-section'), figure: document.getElementById('section')});
    bench.table.overlays.push((ctx, painter) => this.button?.ariaPressed === 'true' && this.#paint(ctx, painter));
    this.button?.addEventListener('click', () => (this.button.ariaPressed === 'true' ? bench.tools.leave(this) : this.#begin()));
  }

  #begin() {
    this.#ends = [];
    this.button.ariaPressed = 'true';
    this.bench.tools.use(this);
    this.bench.note('Drag a line, or click its two ends');
  }

  end() {
    this.button.ariaPressed = 'false';
    this.figure.hidden = true;
    this.bench.note('');
  }

  click({world}) {
    this.#ends = this.#ends.length === 1 ? [this.#ends[0], world] : [world];
    this.#show();
  }

  /** Dragging from an end moves it; from elsewhere it draws another line. */
  grab(world) {
    const {view} = this.bench.table;
    const near = this.#ends.findIndex((end) => {
      const [ax, ay] = view.toScreen(end.x, end.y);
      const [bx, by] = view.toScreen(world.x, world.y);
      return Math.hypot(ax - bx, ay - by) < 10;
    });
    const kept = near >= 0 && this.#ends.length === 2 ? this.#ends[1 - near] : world;
    const before = this.#ends;
    return {
      move: (to) => {
        this.#ends = [kept, to];
        this.#show();
      },
      drop: (to, far) => {
        this.#ends = far ? [kept, to] : before;
        if (far) {
          this.#show();
        } else {
          this.click({world: to});
        }
      },
      cancel: () => {
        this.#ends = before;
      },
    };
  }

  async #show() {
    this.bench.table.refreshTop();
    if (this.#ends.length < 2) {
      this.figure.hidden = true;
      return;
    }
    if (this.#asking) {
      this.#again = true;
      return;
    }
    this.#asking = true;
    const [a, b] = this.#ends;
    const line = {x1: a.x.toFixed(3), y1: a.y.toFixed(3), x2: b.x.toFixed(3), y2: b.y.toFixed(3)};
    const moment = this.bench.player?.moment > 0 ? {t: this.bench.player.moment} : {};
    const drawn = await askOfRun(this.bench.job, 'section', {...line, ...moment}, 'text');
    if (drawn && this.button.ariaPressed === 'true') {
      this.figure.innerHTML = drawn;
      this.figure.hidden = false;
    }
    this.#asking = false;
    if (this.#again) {
      this.#again = false;
      this.#show();
    }
  }

  #paint(ctx, painter) {
    const {view, colours} = this.bench.table;
    painter.screen();
    const ends = this.#ends.map((p) => view.toScreen(p.x, p.y));
    ctx.strokeStyle = colours.ink;
    ctx.fillStyle = colours.ink;
    ctx.lineWidth = 1.4;
    if (ends.length === 2) {
      ctx.beginPath();
      ctx.moveTo(...ends[0]);
      ctx.lineTo(...ends[1]);
      ctx.stroke();
    }
    ends.forEach(([x, y]) => ctx.fillRect(x - 3, y - 3, 6, 6));
  }
}
