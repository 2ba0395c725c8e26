// One pointing tool at a time works on the table. It ends when another one begins, when it is done, and by
// Escape; one that only asks for a place of another (a measure for its field) lies over it and gives way again.
//
// A tool is {name, click(hit), end()}; snaps: its places snap; grid: to the grid as well; from(): where
// directions start. A hit is {world, snapped, chain(): the line there, with a place on it}.

export class Tools {
  #present = null;
  #under = null;
  #closers = [];

  constructor(table) {
    this.table = table;
  }

  get present() {
    return this.#present;
  }

  /** Begins to use a tool; the one before ends. */
  use(tool) {
    const before = [this.#present, this.#under].filter((t) => t && t !== tool);
    this.#present = tool;
    this.#under = null;
    this.table.use(tool);
    before.forEach((t) => t.end());
  }

  /** Uses a tool for a while; the one before goes on when it is left. */
  lay(tool) {
    if (this.#present && !this.#under) {
      this.#under = this.#present;
    }
    this.#present = tool;
    this.table.use(tool);
  }

  /** Ends a tool, when it is in use; what it is laid over goes on. */
  leave(tool = this.#present) {
    if (!tool || tool !== this.#present) {
      return;
    }
    this.#present = this.#under;
    this.#under = null;
    this.table.use(this.#present);
    tool.end();
  }

  /** What is closed by Escape when no tool is in use; says whether there was something to close. */
  closing(close) {
    this.#closers.unshift(close);
  }

  /** The one meaning of Escape on the bench. */
  escape() {
    if (this.#present) {
      this.leave();
      return true;
    }
    return this.#closers.some((close) => close());
  }
}

/** A tool that a button of the slip begins and ends; it stays while the slip has its button. */
export class SlipTool {
  name = 'point';

  /**
   * @param id of the button
   * @param clicked is told of the one selected stop and of a hit
   * @param ended puts away what was half done
   */
  constructor(bench, id, clicked, ended = () => {}) {
    Object.assign(this, {bench, id, clicked, ended});
    bench.button('#' + id, () => this.#toggle());
    bench.addEventListener('slip', () => this.#follow());
  }

  get inUse() {
    return this.bench.tools.present === this;
  }

  click(hit) {
    const stop = this.bench.only();
    if (stop) {
      this.clicked(stop, hit);
    }
  }

  leave() {
    this.bench.tools.leave(this);
  }

  end() {
    this.ended();
    this.#mark();
  }

  #toggle() {
    if (this.inUse) {
      this.leave();
    } else {
      this.bench.tools.use(this);
      this.#mark();
    }
  }

  #follow() {
    if (this.inUse && !document.getElementById(this.id)) {
      this.leave();
    }
    this.#mark();
  }

  #mark() {
    document.getElementById(this.id)?.setAttribute('aria-pressed', String(this.inUse));
  }
}
