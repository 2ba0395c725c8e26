// Pods under the stock are moved by dragging them, while no stop is chosen; all of them are one value of the job.

/** Millimetres that places are rounded to. */
const GRID = 1;

export function registerPods(bench) {
  bench.table.grabs.push((at, world) => {
    const pods = bench.scene?.own?.pods ?? [];
    if (bench.stage !== 'cuts' || !bench.edits || bench.only() || !pods.length) {
      return null;
    }
    const index = pods.findIndex(([left, bottom, right, top]) => world.x > left && world.x < right && world.y > bottom && world.y < top);
    return index < 0 ? null : new PodDrag(bench, pods, index, world);
  });
}

class PodDrag {
  constructor({table, post}, pods, index, world) {
    Object.assign(this, {table, post, pods, index, from: world, by: [0, 0]});
    this.paint = (ctx, painter) => this.#draw(ctx, painter);
    table.overlays.push(this.paint);
  }

  get #moved() {
    const [left, bottom, right, top] = this.pods[this.index];
    return [left + this.by[0], bottom + this.by[1], right + this.by[0], top + this.by[1]];
  }

  move(world) {
    this.by = [world.x - this.from.x, world.y - this.from.y].map((v) => Math.round(v / GRID) * GRID);
    this.table.refreshTop();
  }

  cancel() {
    this.table.overlays.splice(this.table.overlays.indexOf(this.paint), 1);
  }

  drop(world, far) {
    this.cancel();
    if (far) {
      const all = this.pods.map((pod, i) => (i === this.index ? this.#moved : pod));
      const value = all.map(([left, bottom, right, top]) => [left, bottom, right - left, top - bottom].map((v) => Number(v.toFixed(3))).join(', ')).join('; ');
      this.post('values', {field: 'pods', value});
    }
  }

  #draw(ctx, painter) {
    const [left, bottom, right, top] = this.#moved;
    const path = new Path2D();
    path.rect(left, bottom, right - left, top - bottom);
    painter.world();
    painter.stroke(path, this.table.colours.sea, 2.4);
  }
}
