import {FANS, passPaths} from './fan.js';
import {FlankTools} from './flanks.js';
import {apply, inverse, nearest, trace} from './paths.js';
import {SlipTool} from './tools.js';

// What the bench has for a wire machine besides: the passes with their fan, the view in space, start holes,
// starts and holds by pointing.

const REACH = 14;

export function register(bench) {
  const fan = new Fan(bench);
  bench.sceneOwn = ({wire}) => (wire ? new WireDrawing(wire, fan.factor) : null);
  new SpaceView(bench, fan);
  new FlankTools(bench);
  const hole = new SlipTool(bench, 'set-hole', (stop, {world}) => {
    const [x, y] = apply(inverse(bench.scene.placementOf(stop)), world.x, world.y);
    hole.leave();
    bench.post('values', {field: 'hole', value: `${x.toFixed(3)} ${y.toFixed(3)}`});
  });
  const start = new SlipTool(bench, 'set-start', onContour(bench, (place) => {
    start.leave();
    bench.post('values', {field: 'start', value: place.along.toFixed(2)});
  }));
  new SlipTool(bench, 'put-holds', onContour(bench, (place) =>
    bench.post('values', {field: 'holdAt', value: `+${place.along.toFixed(2)}`})));
}

/** Places off the contour of the stop are none. */
const onContour = (bench, pointed) => (stop, {world}) => {
  const place = nearest(bench.scene.drawnContour(stop), world.x, world.y);
  if (place.distance * bench.table.view.k <= REACH) {
    pointed(place);
  }
};

/** What is drawn instead of parts and paths of stops: kept material, passes, the contour above, start holes. */
class WireDrawing {
  constructor(wire, factor) {
    this.wire = wire;
    this.kept = new Path2D();
    for (const d of wire.kept) {
      trace(this.kept, d);
      this.kept.closePath();
    }
    this.upper = new Path2D();
    wire.upper.forEach((d) => trace(this.upper, d));
    this.fanOut(factor);
  }

  /** Spreads the passes by a factor. */
  fanOut(factor) {
    this.passes = passPaths(this.wire.passes, factor);
  }

  /** The first pass is a solid line; later ones are lighter, their dashes shorter with each. */
  paint(painter) {
    const {ctx, c, view} = painter;
    const alpha = ctx.globalAlpha;
    painter.stroke(this.upper, c.leafDeep, 1, [2, 2]);
    this.passes.forEach((path, pass) => {
      ctx.globalAlpha = alpha * Math.max(0.45, 1.1 - 0.15 * pass);
      painter.stroke(path, c.rose, pass === 1 ? 1.5 : 1.1, pass === 1 ? [] : [14 / pass, 3]);
    });
    ctx.globalAlpha = alpha;
    painter.screen();
    for (const [x, y, diameter, proposed] of this.wire.holes) {
      const [sx, sy] = view.toScreen(x, y);
      ctx.beginPath();
      ctx.arc(sx, sy, Math.max(3, diameter / 2 * view.k), 0, 2 * Math.PI);
      ctx.setLineDash(proposed ? [3, 2] : []);
      ctx.strokeStyle = c.ink;
      ctx.lineWidth = 1.1;
      ctx.stroke();
      ctx.setLineDash([]);
    }
  }
}

/** How far the passes are spread on the screen. */
class Fan extends EventTarget {
  #step = 0;

  constructor(bench) {
    super();
    const button = document.getElementById('tool-fan');
    button?.addEventListener('click', () => {
      this.#step = (this.#step + 1) % FANS.length;
      button.setAttribute('aria-pressed', String(this.factor > 1));
      button.title = `Pass fan ${this.factor}x (N)`;
      button.querySelector('span').textContent = this.factor > 1 ? `${this.factor}x` : '';
      bench.scene?.own?.fanOut(this.factor);
      bench.table.refresh();
      this.dispatchEvent(new Event('changed'));
    });
  }

  get factor() {
    return FANS[this.#step];
  }
}

/** The work in space, in the place of the table. */
class SpaceView {
  #solid = null;

  constructor(bench, fan) {
    Object.assign(this, {bench, fan, element: document.getElementById('solid'), button: document.getElementById('tool-solid')});
    this.button?.addEventListener('click', () => (this.element.hidden ? this.#show() : this.#hide()));
    fan.addEventListener('changed', () => this.#solid?.fanOut(fan.factor));
    bench.addEventListener('scene', () => this.button && !this.element.hidden && this.#show());
  }

  #hide() {
    this.element.hidden = true;
    this.button.setAttribute('aria-pressed', 'false');
    this.#solid?.clear();
  }

  async #show() {
    this.element.hidden = false;
    this.button.setAttribute('aria-pressed', 'true');
    if (!this.#solid) {
      const {Solid} = await import('./solid.js');
      this.#solid = new Solid(this.element, this.bench.player);
    }
    this.#solid.fan = this.fan.factor;
    const problem = await this.#solid.show(this.bench.job);
    if (problem) {
      this.#hide();
      this.bench.say(problem);
    }
  }
}
