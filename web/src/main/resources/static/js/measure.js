// Measuring on the table: two places and what lies between them.

const number = (value, decimals) => value.toFixed(decimals);

export class Measure {
  name = 'measure';
  snaps = true;
  #points = [];
  #begun = false;

  /**
   * @param button switches it on and off
   * @param note shows a sentence below the table
   * @param rest shows what stands there otherwise
   */
  constructor({table, tools, note}, button, rest) {
    Object.assign(this, {table, tools, note, button, rest});
    table.overlays.push((ctx, painter) => this.#begun && this.#paint(ctx, painter));
    button?.addEventListener('click', () => (this.#begun ? tools.leave(this) : this.#begin()));
  }

  #begin() {
    this.#begun = true;
    this.#points = [];
    this.button.ariaPressed = 'true';
    this.tools.use(this);
  }

  end() {
    this.#begun = false;
    this.button.ariaPressed = 'false';
    this.rest();
  }

  click({snapped}) {
    this.#points = this.#points.length === 2 ? [snapped] : [...this.#points, snapped];
  }

  #paint(ctx, painter) {
    const {view, colours} = this.table;
    painter.screen();
    const points = [...this.#points];
    if (points.length === 1 && this.table.pointer) {
      points.push(this.table.pointerPlace);
    }
    if (points.length === 2) {
      const [a, b] = points.map((p) => view.toScreen(p.x, p.y));
      ctx.strokeStyle = colours.ink;
      ctx.lineWidth = 1.4;
      ctx.beginPath();
      ctx.moveTo(...a);
      ctx.lineTo(...b);
      ctx.stroke();
    }
    ctx.fillStyle = colours.ink;
    for (const p of points) {
      const [sx, sy] = view.toScreen(p.x, p.y);
      ctx.fillRect(sx - 2.5, sy - 2.5, 5, 5);
    }
    this.note(points.length === 2 ? between(...points) : 'Measure: click two places');
  }
}

function between(a, b) {
  const angle = Math.atan2(b.y - a.y, b.x - a.x) * 180 / Math.PI;
  return `${number(Math.hypot(b.x - a.x, b.y - a.y), 3)} mm at ${number(angle, 2)}°`
      + ` · x ${number(b.x - a.x, 3)} · y ${number(b.y - a.y, 3)}`;
}
