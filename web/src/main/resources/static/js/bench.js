import {askOfRun} from './ask.js';
import './event-form.js';
import {addKeys} from './commands.js';
import {area, length} from './paths.js';
import {Player} from './player.js';
import {connectReplay} from './replay.js';
import {ProgramList} from './program.js';
import {RunLine} from './run-line.js';
import {Scene} from './scene.js';
import {Table} from './table.js';
import {Drawing} from './draw.js';
import {Handles} from './handles.js';
import {takePictures} from './picture.js';
import {PictureLook} from './picture-look.js';
import {Layers} from './layers.js';
import {Measure} from './measure.js';
import {Taking} from './take.js';
import {Tools} from './tools.js';

// The bench: keeps run line, table, slip and replay on the same selection and the same moment. What the kind of
// work of the job has besides registers itself: its tools, its views, what it draws.

const {job, stage, edits, module} = document.body.dataset;
const table = new Table(document.getElementById('table'));
const runLine = new RunLine(document.querySelector('.left'));
const replays = stage === 'proof' || stage === 'release';
const player = replays ? new Player(table) : null;
const program = stage === 'release' ? new ProgramList(document.getElementById('program'), player) : null;
const state = () => document.getElementById('bench-state');
const number = (value, decimals) => value.toFixed(decimals);

const fetchSlip = () => htmx.ajax('GET', `/jobs/${job}/${stage}/slip`, {target: '#slip', swap: 'innerHTML', source: document.body});
const note = (sentence) => {
  document.getElementById('summary').textContent = sentence;
};
const layers = stage === 'shape' ? new Layers(table, job, (ids) => select(ids)) : null;

/** What tools and views of a kind of work are given; tells of each new scene and each new slip. */
class Bench extends EventTarget {
  table = table;
  tools = new Tools(table);
  player = player;
  job = job;
  stage = stage;
  edits = edits === 'true';
  note = note;
  post = (path, values) => post(path, values);
  say = (sentence) => say(sentence);

  /** Gives what the kind draws of a scene besides; see Scene. */
  sceneOwn = () => null;
  #buttons = [];

  get scene() {
    return scene;
  }

  /** The one selected stop; null when there is none or several. */
  only() {
    return (selection.length === 1 && scene?.stopById.get(selection[0])) || null;
  }

  /** A button of the slip, which comes and goes. */
  button(selector, pressed) {
    this.#buttons.push([selector, pressed]);
  }

  /** Whether a click was on one of the buttons. */
  pressed(target) {
    const found = this.#buttons.find(([selector]) => target.closest(selector));
    found?.[1]();
    return found !== undefined;
  }

  tell(what) {
    this.dispatchEvent(new Event(what));
  }
}

const bench = new Bench();
bench.tools.closing(() => selection.length > 0 && (select([]), true));
new Measure(bench, document.getElementById('tool-measure'), () => summarise());
if (bench.edits) {
  new Taking(bench);
}
const pictures = stage === 'shape' ? new PictureLook(bench, fetchSlip) : null;
if (stage === 'shape' && bench.edits) {
  takePictures(table.top, new Drawing(bench, fetchSlip, pictures));
  new Handles(bench);
}

/** A longer selection would make an address that cannot be sent on. */
const MOST_IN_ADDRESS = 100;

let selection = state().querySelector('[name=stop]').value.split(',').filter(Boolean);
let scene = null;

const nextPicture = () => new Promise((shown) => requestAnimationFrame(() => setTimeout(shown)));

async function fetched(path, parameters) {
  const answer = await askOfRun(job, path, parameters);
  if (answer === null) {
    throw new Error(`no answer to ${path}`);
  }
  return answer;
}

/** The picture first: what the replay plays is more, and would be in its way. */
async function loadScene() {
  try {
    const [data] = await Promise.all([fetched('scene', {planned: stage !== 'shape'}), registered]);
    scene = new Scene(data, stage, bench.sceneOwn);
    layers?.apply(scene);
    table.show(scene);
    applySelection();
    await nextPicture();
    performance.mark('picture');
    await follow(player ? await fetched('replay') : null);
  } catch (failure) {
    say('The drawing could not be fetched. Reload the page.');
    throw failure;
  }
}

async function follow(replay) {
  if (replay && replay.step !== scene.step) {
    // the job went on between the two questions
    await loadScene();
    return;
  }
  player?.load(scene, replay);
  program?.load(job);
  bench.tell('scene');
  bench.tell('slip');
  document.body.dataset.scene = scene.step;
  runLine.complete();
}

// ---- selection

function select(ids, withSlip = true) {
  selection = ids;
  state().querySelector('[name=stop]').value = ids.join(',');
  const address = new URL(location);
  if (ids.length && ids.length <= MOST_IN_ADDRESS) {
    address.searchParams.set('stop', ids.join(','));
  } else {
    address.searchParams.delete('stop');
  }
  history.replaceState(null, '', address);
  applySelection();
  if (withSlip && stage !== 'sheet' && !isWriting()) {
    fetchSlip();
  }
  if (player && ids.length === 1) {
    player.seekStop(ids[0]);
  }
}

/** Whether a reason is being written that a new slip would take away. */
const isWriting = () => [...document.querySelectorAll('#slip .accept [name=reason]')].some((reason) => reason.value);

function applySelection() {
  runLine.mark(selection);
  table.select(selection);
  summarise();
  for (const link of document.querySelectorAll('#rail a')) {
    const address = new URL(link.href);
    if (stage !== 'shape' && selection.length && selection.length <= MOST_IN_ADDRESS && !address.pathname.endsWith('/shape')) {
      address.searchParams.set('stop', selection.join(','));
    } else {
      address.searchParams.delete('stop');
    }
    link.href = address;
  }
}

function picked({detail: {ids, add, at}}) {
  if (!add) {
    select(ids);
  } else if (ids.length) {
    const known = new Set(selection);
    ids.forEach((id) => (known.has(id) ? known.delete(id) : known.add(id)));
    select([...known]);
  }
  if (ids.length === 1) {
    runLine.reveal(ids[0]);
    if (player && at && !add) {
      player.seekNear(ids[0], at);
    }
  }
}

table.addEventListener('picked', picked);
runLine.addEventListener('picked', picked);

function summarise() {
  if (!scene || !selection.length) {
    document.getElementById('summary').textContent = '';
    return;
  }
  const paths = table.picks.filter(([id]) => table.selected.has(id)).map(([, d]) => d);
  if (!paths.length) {
    document.getElementById('summary').textContent = '';
    return;
  }
  const long = paths.reduce((sum, d) => sum + length(d), 0);
  const closed = paths.filter((d) => d.length && Math.hypot(d[0] - d[d.length - 3], d[1] - d[d.length - 2]) < 1e-6);
  const inside = closed.reduce((sum, d) => sum + area(d), 0);
  const what = stage === 'shape' ? 'line' : 'stop';
  const count = `${paths.length} ${what}${paths.length === 1 ? '' : 's'} selected`;
  document.getElementById('summary').textContent = `${count} · ${number(long, 1)} mm`
      + (closed.length ? ` · ${number(inside, 1)} mm² inside` : '');
}

// ---- edits from the run line and the table

function post(path, values) {
  htmx.ajax('POST', `/jobs/${job}/${stage}/${path}`, {source: document.body, swap: 'none', values});
}

runLine.addEventListener('moved', ({detail: {moved, before = '', shift = ''}}) => {
  if (edits === 'true') {
    post('order', {moved: moved.join(','), before, shift});
  }
});

// ---- flags of findings on the table

table.overlays.push((ctx, painter) => {
  if (stage === 'shape') {
    return;
  }
  painter.screen();
  ctx.font = '640 11px Commissioner, sans-serif';
  ctx.textBaseline = 'middle';
  // of what is shown: a search that is under way has no findings yet
  for (const flag of table.scene.flags) {
    if (flag.x !== null) {
      paintFlag(ctx, flag);
    }
  }
});

function paintFlag(ctx, flag) {
  const [sx, sy] = table.view.toScreen(flag.x, flag.y);
  const c = table.colours;
  ctx.beginPath();
  ctx.moveTo(sx, sy);
  ctx.lineTo(sx + 9, sy - 12);
  ctx.strokeStyle = flag.severity === 'must fix' ? c.rose : c.amber;
  ctx.lineWidth = 1.5;
  ctx.stroke();
  ctx.beginPath();
  ctx.rect(sx + 5, sy - 27, 21, 16);
  ctx.fillStyle = flag.severity === 'must fix' ? c.rosePale : c.amberPale;
  ctx.fill();
  ctx.stroke();
  ctx.fillStyle = c.ink;
  ctx.textAlign = 'center';
  ctx.fillText(flag.id.slice(1), sx + 15.5, sy - 18.5);
  ctx.textAlign = 'left';
}

// ---- foot, notices

table.addEventListener('pointed', ({detail: {x, y}}) => {
  const shown = document.querySelectorAll('#pointer b');
  shown[0].textContent = number(x, 2);
  shown[1].textContent = number(y, 2);
});

function say(sentence) {
  const notice = document.createElement('p');
  notice.className = 'problem notice';
  notice.setAttribute('role', 'alert');
  notice.textContent = sentence;
  document.getElementById('slip').prepend(notice);
}

// ---- buttons

const on = (id, action) => document.getElementById(id)?.addEventListener('click', action);
on('tool-fit', () => table.fit());
on('tool-in', () => table.zoom(1.4));
on('tool-out', () => table.zoom(1 / 1.4));
on('tool-selection', () => table.fitSelection());
on('tool-dimensions', ({currentTarget}) => {
  table.hidesDimensions = !table.hidesDimensions;
  currentTarget.ariaPressed = String(!table.hidesDimensions);
  table.refresh();
});
on('tool-legend', ({currentTarget}) => {
  const legend = document.getElementById('legend');
  legend.hidden = !legend.hidden;
  currentTarget.ariaPressed = String(!legend.hidden);
});

document.addEventListener('click', ({target}) => {
  const place = target.closest('.place, [data-features]');
  const chosen = target.closest('[data-select-features]');
  if (target.closest('[data-clear-selection]')) {
    select([]);
  } else if (chosen?.dataset.selectFeatures) {
    select(chosen.dataset.selectFeatures.split(','));
  } else if (bench.pressed(target)) {
    return;
  } else if (target.closest('#time-scale')) {
    runLine.setScaled(!runLine.scaled);
  } else if (place?.dataset.features) {
    table.select(place.dataset.features.split(','));
  } else if (place) {
    visit(place.dataset);
  }
});

function visit({x, y, t, stopId}) {
  if (player && t !== undefined) {
    player.seek(Number(t));
  }
  if (stopId && scene.stopById.has(stopId)) {
    select([stopId], false);
    runLine.reveal(stopId);
  }
  if (x !== '') {
    table.goTo(Number(x), Number(y));
  }
}

document.addEventListener('keydown', (event) => {
  if (event.key === 'Escape' && !document.querySelector('dialog[open]')) {
    bench.tools.escape();
  } else if (event.ctrlKey && event.key === 'a' && !event.target.closest('input, textarea, select, dialog')) {
    event.preventDefault();
    select(table.picks.map(([id]) => id));
  }
});
addKeys([['Alt+ArrowUp', 'Run line: move the stop up'], ['Alt+ArrowDown', 'Run line: move the stop down'],
  ['ArrowUp', 'Run line or program: the one before'], ['ArrowDown', 'Run line or program: the next one'],
  ['Shift+drag', 'Table: select in a rectangle'], ['Ctrl+A', 'Table: select all of it'], ['Ctrl+click', 'Add to the selection']]);

// ---- replay

if (player) {
  connectReplay(player);
  runLine.follow(player);
}

// ---- fragments that come back from the server

let kept = null;

/** What was open and in sight in a part of the run line that is yet to come. */
let late = null;

document.addEventListener('htmx:beforeSwap', () => {
  kept ??= {
    closed: [...document.querySelectorAll('.line-group')].filter((g) => !g.open).map((g) => g.id),
    open: [...document.querySelectorAll('.line-group')].filter((g) => g.open).map((g) => g.id),
    line: runLine.scroll?.scrollTop,
    slip: document.getElementById('slip').scrollTop,
    focus: document.activeElement?.closest('.stop')?.dataset.stop,
  };
});

document.addEventListener('htmx:afterSettle', () => {
  if (!kept) {
    return;
  }
  const {closed, open, line} = late ?? kept;
  const {slip, focus} = kept;
  late = runLine.partial ? late ?? kept : null;
  kept = null;
  closed.forEach((id) => document.getElementById(id)?.removeAttribute('open'));
  open.forEach((id) => document.getElementById(id)?.setAttribute('open', ''));
  if (runLine.scroll) {
    runLine.scroll.scrollTop = line;
  }
  document.getElementById('slip').scrollTop = slip;
  if (runLine.scaled) {
    runLine.setScaled(true);
  }
  if (focus) {
    document.querySelector(`.stop[data-stop="${CSS.escape(focus)}"] .stop-button`)?.focus({preventScroll: true});
  }
  selection = state().querySelector('[name=stop]').value.split(',').filter(Boolean);
  applySelection();
  runLine.placeMarker();
  needNest();
  bench.tell('slip');
  if (scene) {
    runLine.complete();
  }
});

// a plan or a proof that was waited for changes the scene of the step that is shown
document.addEventListener('sceneChanged', ({detail: {step, planned}}) => {
  if (!scene || planned || step !== scene.step) {
    loadScene();
  }
});

document.addEventListener('programChanged', () => {
  const shown = document.querySelector('.releases .shown .revision');
  if (program && shown) {
    program.element.dataset.revision = shown.textContent;
    history.replaceState(null, '', shown.href);
    program.load(job);
  }
});

// values are sent when they change, never by submitting their form
document.addEventListener('submit', (event) => {
  if (event.target.matches('[data-auto]')) {
    event.preventDefault();
  }
});

document.addEventListener('htmx:sendError', () => say('The server cannot be reached. Look whether what you set is there before you set it again.'));
document.addEventListener('htmx:responseError', ({detail: {xhr}}) => {
  if (xhr.status === 403) {
    say('Your role may look at jobs and take programs, not change them.');
  } else if (xhr.status >= 500) {
    say(xhr.status === 503
      ? 'Too much is going on at this moment. Look whether your change is there, and try again in a few seconds.'
      : 'Something went wrong on our side. Look whether your change is there before you make it again.');
  }
});

// what the kind of work adds comes while the drawing is on its way
const registered = module
  ? import('./' + module).then((own) => own.register(bench))
  : Promise.resolve();
loadScene();

let nests = false;

/** Parts may be nested from one moment to the next. */
function needNest() {
  if (!nests && document.querySelector('.nest-parts')) {
    nests = true;
    import('./nest.js').then((own) => own.register(bench));
  }
}
needNest();
