// Which layers the table shows. That is a way of looking, not part of the job: it stays with the browser.

export class Layers {
  #hidden;

  /**
   * @param table the table
   * @param job id
   * @param select selects features by their ids
   */
  constructor(table, job, select) {
    this.table = table;
    this.place = `hidden-layers-${job}`;
    this.#hidden = new Set(JSON.parse(sessionStorage.getItem(this.place) ?? '[]'));
    document.addEventListener('click', ({target}) => {
      const eye = target.closest('[data-layer-eye]');
      const lines = target.closest('[data-layer-lines]');
      if (eye) {
        this.#toggle(eye.dataset.layerEye);
      } else if (lines) {
        select(this.#features(lines.dataset.layerLines));
      }
    });
    document.addEventListener('htmx:afterSettle', () => this.mark());
    this.mark();
  }

  #toggle(layer) {
    if (!this.#hidden.delete(layer)) {
      this.#hidden.add(layer);
    }
    sessionStorage.setItem(this.place, JSON.stringify([...this.#hidden]));
    this.mark();
    this.apply(this.table.scene);
    this.table.show(this.table.scene);
  }

  #features(layer) {
    const {layers, features} = this.table.scene;
    return features.filter((f) => layers[f.layer] === layer).map((f) => f.id);
  }

  /** Hides what lies on the hidden layers of a scene, before it is shown. */
  apply(scene) {
    scene.hiddenLayers = new Set(scene.layers.map((name, i) => this.#hidden.has(name) ? i : -1));
  }

  /** The eyes on the slip say what is shown. */
  mark() {
    for (const eye of document.querySelectorAll('[data-layer-eye]')) {
      const shown = !this.#hidden.has(eye.dataset.layerEye);
      eye.ariaPressed = String(shown);
      eye.firstElementChild.className = shown ? 'bi bi-eye' : 'bi bi-eye-slash';
    }
  }
}
