import {ask} from './ask.js';
import * as THREE from 'three';
import {depthsOf} from './heights.js';
import {Stage} from './stage.js';

// A clamping while it is worked, in space: the stock as deep as it is cut at a moment, the way of the tool until then
// and where it is. The moment is chosen with a slider, or runs.

const COLUMNS = 280;

/** Numbers of a place on the way: x, y, z, when it is there, and whether it cuts on the way to it. */
const [X, Y, Z, WHEN, CUTS] = [0, 1, 2, 3, 4];
const STEP = 5;

/** s in which all of it is shown when it runs. */
const SHOWN_IN = 12;

class Machining extends Stage {
  moment = 0;
  #asking = false;
  #again = false;

  async show(url) {
    this.data = await ask(url);
    if (!this.data) {
      return 'What is done in this clamping could not be fetched.';
    }
    if (!this.open()) {
      return 'This browser cannot draw in space: it has no WebGL.';
    }
    this.#build();
    this.resize();
    await this.seek(0);
    this.element.dataset.shown = this.data.job;
    return '';
  }

  #build() {
    const c = this.lit();
    this.colours = c;
    const [x1, y1, x2, y2] = this.data.box;
    const {thickness} = this.data;
    this.lookAt(new THREE.Box3(new THREE.Vector3(x1, y1, -thickness), new THREE.Vector3(x2, y2, 0)), 1.5, 0.75);
    this.stock = null;
    const path = this.data.path;
    const count = path.length / STEP;
    const places = [];
    const shades = [];
    const [cut, rapid] = [new THREE.Color(c.rose), new THREE.Color(c.inkSoft)];
    for (let i = 1; i < count; i++) {
      const shade = path[STEP * i + CUTS] ? cut : rapid;
      for (const j of [i - 1, i]) {
        places.push(path[STEP * j + X], path[STEP * j + Y], path[STEP * j + Z] + 0.3);
        shades.push(shade.r, shade.g, shade.b);
      }
    }
    const lines = new THREE.BufferGeometry();
    lines.setAttribute('position', new THREE.Float32BufferAttribute(places, 3));
    lines.setAttribute('color', new THREE.Float32BufferAttribute(shades, 3));
    this.way = new THREE.LineSegments(lines, new THREE.LineBasicMaterial({vertexColors: true}));
    this.tool = new THREE.Mesh(new THREE.ConeGeometry(4, 24, 20), new THREE.MeshLambertMaterial({color: new THREE.Color(c.leafDeep)}));
    this.tool.rotation.x = -Math.PI / 2;
    this.scene.add(this.way, this.tool);
  }

  async seek(moment) {
    this.moment = moment;
    const path = this.data.path;
    let low = 0;
    let high = path.length / STEP - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      [low, high] = path[STEP * middle + WHEN] < moment ? [middle + 1, high] : [low, middle];
    }
    this.way.geometry.setDrawRange(0, 2 * low);
    this.tool.position.set(...this.#place(low, moment));
    this.draw();
    await this.#ask();
  }

  /** Where the tool is, on the way to one of its places; the cone stands on its tip. */
  #place(index, moment) {
    const path = this.data.path;
    const at = (i) => [path[STEP * i + X], path[STEP * i + Y], path[STEP * i + Z]];
    const before = Math.max(0, index - 1);
    const [from, to] = [at(before), at(index)];
    const [t0, t1] = [path[STEP * before + WHEN], path[STEP * index + WHEN]];
    const share = t1 > t0 ? Math.min(1, Math.max(0, (moment - t0) / (t1 - t0))) : 1;
    return from.map((v, i) => v + share * (to[i] - v) + (i === 2 ? 12 : 0));
  }

  /** One question at a time: the last moment is what counts. */
  async #ask() {
    if (this.#asking) {
      this.#again = true;
      return;
    }
    this.#asking = true;
    const [x1, y1, x2, y2] = this.data.box;
    const query = new URLSearchParams({x1, y1, x2, y2, columns: COLUMNS, t: this.moment.toFixed(3)});
    const bytes = await ask(`/jobs/${this.data.job}/heights?${query}`, 'arrayBuffer');
    this.#asking = false;
    if (bytes) {
      const numbers = new DataView(bytes);
      this.#stock(numbers.getUint16(0), numbers.getUint16(2), depthsOf(numbers, 4));
      this.draw();
    }
    if (this.#again) {
      this.#again = false;
      await this.#ask();
    }
  }

  /** Its surface from above, and its four sides down to the lower face. */
  #stock(columns, rows, depths) {
    const [x1, y1, x2, y2] = this.data.box;
    const {thickness} = this.data;
    const places = [];
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        const x = x1 + (x2 - x1) * column / Math.max(1, columns - 1);
        const y = y2 - (y2 - y1) * row / Math.max(1, rows - 1);
        places.push(x, y, -Math.min(thickness, depths[row * columns + column]));
      }
    }
    const triangles = [];
    for (let row = 0; row + 1 < rows; row++) {
      for (let column = 0; column + 1 < columns; column++) {
        const i = row * columns + column;
        triangles.push(i, i + columns, i + 1, i + 1, i + columns, i + columns + 1);
      }
    }
    skirt(places, triangles, rim(columns, rows), thickness);
    const geometry = new THREE.BufferGeometry();
    geometry.setAttribute('position', new THREE.Float32BufferAttribute(places, 3));
    geometry.setIndex(triangles);
    geometry.computeVertexNormals();
    if (this.stock) {
      this.stock.geometry.dispose();
      this.stock.geometry = geometry;
    } else {
      this.stock = new THREE.Mesh(geometry, new THREE.MeshLambertMaterial({color: new THREE.Color(this.colours.kept), side: THREE.DoubleSide}));
      this.scene.add(this.stock);
    }
  }
}

/** Places round a grid, one after the other. */
function rim(columns, rows) {
  const places = [];
  for (let c = 0; c < columns; c++) {
    places.push(c);
  }
  for (let r = 1; r < rows; r++) {
    places.push(r * columns + columns - 1);
  }
  for (let c = columns - 2; c >= 0; c--) {
    places.push((rows - 1) * columns + c);
  }
  for (let r = rows - 2; r > 0; r--) {
    places.push(r * columns);
  }
  return places;
}

/** Sides with places of their own, so that the edges of the stock look sharp. */
function skirt(places, triangles, round, thickness) {
  const first = places.length / 3;
  for (const i of round) {
    const [x, y, z] = places.slice(3 * i, 3 * i + 3);
    places.push(x, y, z, x, y, -thickness);
  }
  for (let k = 0; k < round.length; k++) {
    const [a, b] = [first + 2 * k, first + 2 * ((k + 1) % round.length)];
    triangles.push(a, b, a + 1, b, b + 1, a + 1);
  }
}

const element = document.getElementById('machining');
if (element) {
  const machining = new Machining(element);
  const told = document.getElementById('machining-told');
  const slider = document.getElementById('machining-moment');
  const play = document.getElementById('machining-play');
  const clock = document.getElementById('machining-clock');
  let runs = false;
  const shown = () => {
    const minutes = Math.floor(machining.moment / 60);
    clock.textContent = `${minutes}:${(machining.moment % 60).toFixed(0).padStart(2, '0')}`;
    slider.value = machining.moment / machining.data.total;
  };
  const step = (before) => requestAnimationFrame(async (now) => {
    if (!runs) {
      return;
    }
    const next = Math.min(machining.data.total, machining.moment + (now - before) / 1000 * machining.data.total / SHOWN_IN);
    machining.seek(next);
    shown();
    runs = next < machining.data.total;
    play.ariaPressed = String(runs);
    step(now);
  });
  for (const button of document.querySelectorAll('[data-machining]')) {
    button.addEventListener('click', async () => {
      runs = false;
      const frame = element.closest('section');
      frame.hidden = false;
      told.textContent = await machining.show(button.dataset.machining);
      frame.querySelector('h2').textContent = button.dataset.title;
      element.hidden = told.textContent !== '';
      if (!element.hidden) {
        machining.resize();
        shown();
        frame.scrollIntoView({block: 'nearest'});
        slider.focus();
      }
    });
  }
  slider.addEventListener('input', () => {
    runs = false;
    play.ariaPressed = 'false';
    machining.seek(slider.value * machining.data.total);
    shown();
  });
  play.addEventListener('click', () => {
    runs = !runs;
    play.ariaPressed = String(runs);
    if (runs && machining.moment >= machining.data.total) {
      machining.moment = 0;
    }
    step(performance.now());
  });
}
