import {ask} from './ask.js';
import * as THREE from 'three';
import {Stage, vector} from './stage.js';

// Panels in space: a product put together or pulled apart, or one panel with what is taken away from its faces. It is
// turned, moved and zoomed by pointer, touch and keys; what is clicked is opened.

/** mm that marks lie before their face, so that they are seen. */
const BEFORE = 0.4;

/** Pixels that a click may move. */
const CLICK = 4;

class Space extends Stage {
  constructor(element) {
    super(element);
    this.apart = 0;
    element.addEventListener('pointerdown', (e) => { this.down = [e.clientX, e.clientY]; });
    element.addEventListener('pointerup', (e) => this.#click(e));
  }

  /** Fetches and shows it; says why when it cannot be shown. */
  async show() {
    this.data ??= await ask(this.element.dataset.space);
    if (!this.data?.bodies.length) {
      return 'No panel of this product has a place in it yet: its file says none.';
    }
    if (!this.open()) {
      return 'This browser cannot draw in space: it has no WebGL.';
    }
    this.#build();
    this.resize();
    this.element.dataset.shown = this.data.bodies.length;
    return '';
  }

  pull(factor) {
    this.apart = factor;
    for (const group of this.groups ?? []) {
      group.position.copy(group.userData.away).multiplyScalar(factor);
    }
    this.draw();
  }

  #build() {
    if (this.scene) {
      return;
    }
    const c = this.lit();
    const box = new THREE.Box3();
    for (const body of this.data.bodies) {
      box.union(boxOf(body));
    }
    this.lookAt(box);
    this.groups = this.data.bodies.map((body) => this.#body(body, c));
    this.scene.add(...this.groups);
  }

  #body(body, c) {
    const group = new THREE.Group();
    const helper = body.role !== 'panel';
    const geometry = new THREE.BoxGeometry(...body.size);
    const material = new THREE.MeshLambertMaterial({
      color: new THREE.Color(helper ? c.inkSoft : c.kept), transparent: helper, opacity: helper ? 0.25 : 1, polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1});
    const solid = new THREE.Mesh(geometry, material);
    const turn = new THREE.Matrix4().makeBasis(vector(body.x), vector(body.y), vector(body.z));
    const half = vector(body.size).multiplyScalar(0.5).applyMatrix4(turn);
    const middle = vector(body.origin).add(half);
    for (const part of [solid, new THREE.LineSegments(new THREE.EdgesGeometry(geometry), new THREE.LineBasicMaterial({color: new THREE.Color(c.leafDeep)}))]) {
      part.setRotationFromMatrix(turn);
      part.position.copy(middle);
      part.userData = {panel: helper ? '' : body.id, title: body.name};
      group.add(part);
    }
    body.marks.forEach((mark) => group.add(...this.#mark(body, mark, c)));
    group.userData.away = middle.clone().sub(this.middle);
    return group;
  }

  /** What is taken away, drawn on its face; of what goes through on the other side too. */
  #mark(body, mark, c) {
    const turn = new THREE.Matrix4().makeBasis(vector(mark.u), vector(mark.v), vector(mark.outward));
    const colour = new THREE.Color(mark.through ? c.inkSoft : c.depth);
    const places = [];
    for (let i = 0; i + 1 < mark.uv.length; i += 2) {
      places.push(new THREE.Vector2(mark.uv[i], mark.uv[i + 1]));
    }
    const shape = mark.closed
      ? new THREE.Mesh(new THREE.ShapeGeometry(new THREE.Shape(places.slice(0, -1))), new THREE.MeshBasicMaterial({color: colour, side: THREE.DoubleSide}))
      : new THREE.Line(new THREE.BufferGeometry().setFromPoints(places), new THREE.LineBasicMaterial({color: colour}));
    const outward = vector(mark.outward);
    const before = [BEFORE];
    if (mark.through) {
      before.push(-mark.depth - BEFORE);
    }
    return before.map((far) => {
      const one = shape.clone();
      one.setRotationFromMatrix(turn);
      one.position.copy(vector(mark.origin)).addScaledVector(outward, far);
      one.userData = {panel: body.id, feature: mark.feature, title: `${body.name}: ${mark.title}`};
      return one;
    });
  }

  #click(event) {
    const moved = !this.down || Math.hypot(event.clientX - this.down[0], event.clientY - this.down[1]) > CLICK;
    if (moved || !this.camera) {
      return;
    }
    const at = this.element.getBoundingClientRect();
    const place = new THREE.Vector2((event.clientX - at.left) / at.width * 2 - 1, 1 - (event.clientY - at.top) / at.height * 2);
    const ray = new THREE.Raycaster();
    ray.setFromCamera(place, this.camera);
    const hit = ray.intersectObjects(this.groups, true).find((h) => h.object.isMesh && h.object.userData.panel);
    if (hit) {
      const {panel, feature} = hit.object.userData;
      const base = this.element.dataset.panels;
      window.location.assign(`${base}/${encodeURIComponent(panel)}${feature ? `?feature=${encodeURIComponent(feature)}` : ''}`);
    }
  }
}

function boxOf({origin, x, y, z, size}) {
  const box = new THREE.Box3();
  const corner = vector(origin);
  const far = corner.clone().addScaledVector(vector(x), size[0]).addScaledVector(vector(y), size[1]).addScaledVector(vector(z), size[2]);
  return box.setFromPoints([corner, far]);
}

const element = document.getElementById('space');
const button = document.getElementById('show-space');
if (element && button) {
  const space = new Space(element);
  const told = document.getElementById('space-told');
  const apart = document.getElementById('apart');
  button.addEventListener('click', async () => {
    const on = button.getAttribute('aria-pressed') !== 'true';
    button.setAttribute('aria-pressed', on);
    element.hidden = !on;
    told.textContent = on ? await space.show() : '';
    element.hidden ||= told.textContent !== '';
    if (apart) {
      apart.closest('label').hidden = element.hidden;
    }
  });
  apart?.addEventListener('input', () => space.pull(Number(apart.value)));
}
