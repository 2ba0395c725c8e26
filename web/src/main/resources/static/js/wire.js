import {FANS} from './fan.js';
import {FlankTools} from './flanks.js';
import {apply, inverse, nearest} from './paths.js';

// What the bench has for a wire machine besides: the fan of passes, the view in space, start holes and holds
// by pointing.

export class WireTools {
  #fan = 0;
  #mode = null;

  /**
   * @param post sends a value of the selected stop
   * @param only the one selected stop, if there is one
   * @param say shows a sentence
   */
  constructor(table, player, job, post, only, say) {
    Object.assign(this, {table, player, job, post, only, say});
    this.flanks = new FlankTools(table, post, only, say);
    table.addEventListener('pointedAt', ({detail}) => this.#pointed(detail));
    document.getElementById('tool-fan')?.addEventListener('click', () => this.#nextFan());
    document.getElementById('tool-solid')?.addEventListener('click', (e) => this.#showSolid(e.currentTarget));
  }

  /** The scene changed: what was being pointed at may be gone. */
  follow(scene) {
    this.scene = scene;
    if (!scene.wire) {
      return;
    }
    scene.fanOut(FANS[this.#fan]);
    if (this.solid && !this.solid.element.hidden) {
      this.solid.show(this.job);
    }
    this.followSlip();
  }

  /** The slip is a new one. */
  followSlip() {
    if (this.scene?.wire) {
      this.#press();
      this.flanks.follow(this.scene);
    }
  }

  click(target) {
    const button = target.closest('#set-hole, #set-start, #put-holds');
    if (!button) {
      if (this.flanks.click(target)) {
        this.#mode = null;
        this.#press();
        return true;
      }
      return false;
    }
    this.flanks.set(null);
    this.#set(this.#mode === button.id ? null : button.id);
    return true;
  }

  /** Whether something was being pointed at, which ends. */
  cancel() {
    const active = this.#mode !== null || this.flanks.active;
    this.#set(null);
    this.flanks.set(null);
    return active;
  }

  #set(mode) {
    if (mode || this.#mode) {
      this.#mode = mode;
      this.table.setMode(mode ? 'tabs' : 'select');
      this.#press();
    }
  }

  #press() {
    for (const id of ['set-hole', 'set-start', 'put-holds']) {
      document.getElementById(id)?.setAttribute('aria-pressed', String(this.#mode === id));
    }
  }

  #pointed(world) {
    const stop = this.only();
    if (!this.#mode || !stop) {
      return;
    }
    if (this.#mode === 'set-hole') {
      const [x, y] = apply(inverse(this.scene.placementOf(stop)), world.x, world.y);
      this.#set(null);
      this.post('values', {field: 'hole', value: `${x.toFixed(3)} ${y.toFixed(3)}`});
      return;
    }
    const place = nearest(this.scene.drawnContour(stop), world.x, world.y);
    if (place.distance * this.table.view.k > 14) {
      return;
    }
    if (this.#mode === 'set-start') {
      this.#set(null);
      this.post('values', {field: 'start', value: place.along.toFixed(2)});
    } else {
      this.post('values', {field: 'holdAt', value: `+${place.along.toFixed(2)}`});
    }
  }

  #nextFan() {
    this.#fan = (this.#fan + 1) % FANS.length;
    const factor = FANS[this.#fan];
    const button = document.getElementById('tool-fan');
    button.setAttribute('aria-pressed', String(factor > 1));
    button.title = `Pass fan ${factor}x (N)`;
    button.querySelector('span').textContent = factor > 1 ? `${factor}x` : '';
    this.scene?.fanOut(factor);
    this.solid?.fanOut(factor);
    this.table.refresh();
  }

  async #showSolid(button) {
    const element = document.getElementById('solid');
    element.hidden = !element.hidden;
    button.setAttribute('aria-pressed', String(!element.hidden));
    if (element.hidden) {
      return;
    }
    if (!this.solid) {
      const {Solid} = await import('./solid.js');
      this.solid = new Solid(element, this.player);
      this.solid.fan = FANS[this.#fan];
    }
    const problem = await this.solid.show(this.job);
    if (problem) {
      element.hidden = true;
      button.setAttribute('aria-pressed', 'false');
      this.say(problem);
    }
  }
}
